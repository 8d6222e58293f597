/** What the server said when it did not do as asked: the message is for people; status 0 means that it was not reached. */
export class Refusal extends Error {
    constructor(
        message: string,
        readonly status: number,
        readonly pointer = '',
    ) {
        super(message);
    }
}

function token(): string {
    const found = document.cookie.split('; ').find((part) => part.startsWith('XSRF-TOKEN='));
    return found ? decodeURIComponent(found.slice('XSRF-TOKEN='.length)) : '';
}

const SAID: Record<number, string> = {
    401: 'You are signed out. Open the sign-in page in another tab, sign in, then try again here.',
    404: 'This job is not there, or belongs to another crew.',
    419: 'The page is too old. Open the sign-in page in another tab, then try again here.',
    429: 'Too many tries. Wait a minute.',
};

/** Asks the server for JSON and says in plain words what went wrong. */
export async function ask<T>(method: 'GET' | 'POST' | 'DELETE', url: string, body?: object | FormData): Promise<T> {
    const form = body instanceof FormData;
    let response: Response;
    try {
        response = await fetch(url, {
            method,
            body: body === undefined ? undefined : form ? body : JSON.stringify(body),
            headers: {
                Accept: 'application/json',
                'X-XSRF-TOKEN': token(),
                ...(form || body === undefined ? {} : { 'Content-Type': 'application/json' }),
            },
        });
    } catch {
        throw new Refusal('The server is not reached.', 0);
    }
    const said = (await response.json().catch(() => ({}))) as { message?: string; pointer?: string };
    if (!response.ok) {
        throw new Refusal(SAID[response.status] ?? said.message ?? `The server answered ${response.status}.`, response.status, said.pointer ?? '');
    }
    return said as T;
}
