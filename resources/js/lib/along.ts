import { ref } from 'vue';
import { NOT_REACHED, Refusal } from './http';
import { person } from './person';

/** Stages whose pages are kept on this device with a job that is taken along. */
const PAGES = ['survey', 'build', 'bench', 'join'];
const TAKEN = 'ember-taken-';
const BEFORE = 'ember-taken-before';
const store = () => caches.open(`${TAKEN}${person()?.id ?? ''}`);

/** Whether this page can be opened without a signal at all: over TLS, or on the machine itself. */
export const canTake = window.isSecureContext && 'serviceWorker' in navigator && 'caches' in window;

/** Jobs of the signed-in person that are on this device. */
export const taken = ref<number[]>([]);

async function look(): Promise<void> {
    const paths = (await (await store()).keys()).map((one) => new URL(one.url).pathname);
    taken.value = [...new Set(paths.map((path) => Number(path.split('/')[2])))];
}

async function fetched(path: string): Promise<Response> {
    const answer = await fetch(path, { headers: { Accept: 'text/html' } }).catch(() => {
        throw new Refusal(NOT_REACHED, 0);
    });
    if (!answer.ok || answer.redirected) {
        throw new Refusal(`The page ${path} could not be taken along: the server answered ${answer.status}.`, 0);
    }
    return answer;
}

/** Keeps the pages and photos of a job on this device: all of them, or none. */
export async function takeAlong(job: number): Promise<void> {
    await navigator.serviceWorker.register('/sw.js');
    await navigator.serviceWorker.ready;
    const kept = await Promise.all(
        PAGES.map(async (page) => [`/jobs/${job}/${page}`, await fetched(`/jobs/${job}/${page}`)] as const),
    );
    const survey = (await kept[0]![1].clone().text()).replaceAll('\\/', '/');
    const photos = [...new Set(survey.match(new RegExp(`/jobs/${job}/photos/\\d+(?:/[a-z]+)?`, 'g')) ?? [])];
    const seen = await Promise.all(photos.map(async (path) => [path, await fetched(path)] as const));
    const cache = await store();
    for (const [path, answer] of [...kept, ...seen]) {
        await cache.put(path, answer);
    }
    await look();
}

/** Keeps a page of a job again after a change of it, where it was taken along; where that fails the older one stays. */
export async function keepAgain(job: number, page: string): Promise<void> {
    if (!canTake) {
        return;
    }
    const path = `/jobs/${job}/${page}`;
    const cache = await store();
    if (await cache.match(path)) {
        await fetched(path).then(
            (answer) => cache.put(path, answer),
            () => undefined,
        );
    }
}

/** Takes a job off this device. */
export async function leaveHere(job: number): Promise<void> {
    const cache = await store();
    for (const request of await cache.keys()) {
        if (new URL(request.url).pathname.startsWith(`/jobs/${job}/`)) {
            await cache.delete(request);
        }
    }
    await look();
}

/** Takes everything off this device that was taken along, except the store of that name. */
export async function forgetTaken(but = ''): Promise<void> {
    if (canTake) {
        const names = (await caches.keys()).filter((name) => name.startsWith(TAKEN) && name !== but);
        await Promise.all(names.map((name) => caches.delete(name)));
    }
}

/** Removes the pages of an expired session and keeps the numbers of their jobs for the next sign-in. */
async function lapse(): Promise<void> {
    for (const name of (await caches.keys()).filter((one) => one.startsWith(TAKEN))) {
        const paths = (await (await caches.open(name)).keys()).map((one) => new URL(one.url).pathname);
        const jobs = [...new Set(paths.map((path) => Number(path.split('/')[2])))];
        localStorage.setItem(BEFORE, JSON.stringify({ store: name, jobs }));
    }
    await forgetTaken();
}

/** Takes along again the jobs of an expired session; those that cannot be loaded are not listed as here. */
async function again(): Promise<void> {
    const before = JSON.parse(localStorage.getItem(BEFORE) ?? '{}') as { store?: string; jobs?: number[] };
    localStorage.removeItem(BEFORE);
    for (const job of before.store === `${TAKEN}${person()?.id}` ? (before.jobs ?? []) : []) {
        await takeAlong(job).catch(() => undefined);
    }
}

/** Run when a page opens, and at each sign-in: removes other people’s pages and lists one’s own. */
export async function startTaken(): Promise<void> {
    const me = person();
    if (canTake && me) {
        await forgetTaken(`${TAKEN}${me.id}`);
        await again();
        if ((await caches.keys()).includes(`${TAKEN}${me.id}`)) {
            await look();
        }
    } else if (canTake && window.location.pathname === '/sign-in') {
        await lapse();
    }
}

const mark = () => document.querySelector<HTMLMetaElement>('meta[name="kept-page"]');

/** Moment by the server's clock at which the open page was kept, milliseconds; null for one that has just come. */
export function keptAt(): number | null {
    const kept = mark()?.content;
    return kept === undefined ? null : Number(kept);
}

/** The open page is of now: the server has answered. */
export function forgetKept(): void {
    mark()?.remove();
}
