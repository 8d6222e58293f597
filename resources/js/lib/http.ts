import { heardTime } from './clock';

export type Over = { kind: 'undo' | 'redo'; number: number; words: string };

/** Error answer of the server: the message is for people; status 0 means not reached. */
export class Refusal extends Error {
    constructor(
        message: string,
        readonly status: number,
        readonly pointer = '',
        /** The change of one's own that undo or redo cannot go through, and that can be stepped over. */
        readonly over: Over | null = null,
    ) {
        super(message);
    }
}

/** Message for a failed request. */
export function inWords(error: unknown): string {
    return error instanceof Refusal ? error.message : String(error);
}

/** The field that a refusal is about, as a JSON Pointer; empty where there is none. */
export function pointerOf(error: unknown): string {
    return error instanceof Refusal ? error.pointer : '';
}

function token(): string {
    const found = document.cookie.split('; ').find((part) => part.startsWith('XSRF-TOKEN='));
    return found ? decodeURIComponent(found.slice('XSRF-TOKEN='.length)) : '';
}

const SAID: Record<number, string> = {
    401: 'You are signed out. Open the sign-in page in another tab, sign in, then try again here.',
    404: 'This job is not there, or belongs to another crew.',
    419: 'The page has expired. Open the sign-in page in another tab, then try again here.',
    429: 'Too many tries. Wait a minute.',
};

/** Statuses that will never succeed on retry. */
export const FINAL = [404, 422];

export const NOT_REACHED = 'The server is not reached.';
export const IN_BETWEEN =
    'The server is not reached: something in between answered in its place. The network may require a sign-in.';
const CUT_OFF = 'The server’s answer did not arrive whole.';
/** Our answers carry the server’s time; others come from something in between. */
const OURS = 'X-Ember-Now';

/** The page's token is not the session's any more: the session has ended, or another tab has begun one. */
export const EXPIRED = 419;

/** Fetches a new token for the open page. Whether the server was reached. */
export async function renewed(): Promise<boolean> {
    return fetch('/time', { headers: { Accept: 'application/json' } }).then(
        (response) => response.headers.has(OURS),
        () => false,
    );
}

/** A page that goes is let finish no more than that, all it asks together. */
const LAST_BYTES = 60_000;

interface Asked {
    /** The page is closing: requests continue without it. */
    leaving?: boolean;
    /** Milliseconds after which a request is given up: it counts as not reached. */
    patience?: number;
    /** Ends the request early. */
    signal?: AbortSignal;
    /** Id of the person whose work is sent: the server refuses it while another person is signed in on this device. */
    by?: number;
}

/** Asks the server for JSON and says in plain words what went wrong. An answer that is not the server’s own, or not whole, is none. */
export async function ask<T>(
    method: 'GET' | 'POST' | 'DELETE',
    url: string,
    body?: object | FormData,
    { leaving = false, by, patience, signal }: Asked = {},
): Promise<T> {
    const form = body instanceof FormData;
    const text = body === undefined || form ? undefined : JSON.stringify(body);
    const sent = Date.now();
    const send = () =>
        fetch(url, {
            method,
            signal: patience === undefined ? signal : AbortSignal.timeout(patience),
            body: form ? body : text,
            keepalive: leaving && new TextEncoder().encode(text).length < LAST_BYTES,
            headers: {
                Accept: 'application/json',
                'X-XSRF-TOKEN': token(),
                ...(by === undefined ? {} : { 'X-Ember-By': String(by) }),
                ...(form || body === undefined ? {} : { 'Content-Type': 'application/json' }),
            },
        });
    let response: Response;
    try {
        response = await send();
        // Renewed in place: the input is sent again.
        if (response.status === EXPIRED && (await renewed())) {
            response = await send();
        }
    } catch {
        throw new Refusal(NOT_REACHED, 0);
    }
    const time = Number(response.headers.get(OURS));
    if (!time) {
        throw new Refusal(IN_BETWEEN, 0);
    }
    heardTime(time, sent, Date.now());
    let said: unknown;
    try {
        said = await response.json();
    } catch {
        said = null;
    }
    if (typeof said !== 'object' || said === null) {
        throw response.ok
            ? new Refusal(CUT_OFF, 0)
            : new Refusal(SAID[response.status] ?? `The server answered ${response.status}.`, response.status);
    }
    if (!response.ok) {
        const { message, pointer, over } = said as { message?: string; pointer?: string; over?: Over | null };
        throw new Refusal(
            SAID[response.status] ?? message ?? `The server answered ${response.status}.`,
            response.status,
            pointer ?? '',
            over ?? null,
        );
    }
    return said as T;
}
