import { beforeEach, expect, test, vi } from 'vitest';
import { createApp, defineComponent, h, nextTick } from 'vue';
import type { Answer } from '@/types/generated/responses';
let before: ((event: object) => boolean | void) | undefined;
const visited: string[] = [];
vi.mock('@inertiajs/vue3', () => ({
    router: {
        on: (_: string, hears: typeof before) => ((before = hears), () => undefined),
        visit: (url: string) => visited.push(url),
    },
}));
import { provideScreen, type ScreenStore } from './screen';

type Asked = { url: string; body: { base?: number; change?: { kind: string; pad?: number } } };
let asked: Asked[] = [];
let server: (one: Asked) => Promise<Response>;
const ours = (body: object, status = 200) =>
    new Response(JSON.stringify(body), { status, headers: { 'X-Ember-Now': String(Date.now()) } });
const desk = (job: string) => ({ job, stage: 'wire' });
const answer = (revision: number) => ({ job: 3, revision, desk: desk(`Job ${revision}`) }) as unknown as Answer;

beforeEach(() => {
    asked = [];
    vi.stubGlobal('fetch', (url: string, init: RequestInit) => {
        const one = { url, body: init.body ? (JSON.parse(String(init.body)) as Asked['body']) : {} };
        asked.push(one);
        return server(one);
    });
});

function open(first: object = answer(1)): { store: ScreenStore; close: () => void } {
    let store!: ScreenStore;
    const app = createApp(
        defineComponent({
            setup() {
                store = provideScreen(first as Answer);
                return () => h('p');
            },
        }),
    );
    app.mount(document.createElement('div'));
    return { store, close: () => app.unmount() };
}

test('changes go in turn, each on the revision that the one before made', async () => {
    server = async (one) => ours(answer((one.body.base ?? 0) + 1));
    const { store } = open();
    await Promise.all([store.change({ kind: 'MoveFeed', pad: 1 }), store.change({ kind: 'MoveFeed', pad: 2 })]);
    expect(asked.map((a) => [a.body.base, a.body.change?.pad])).toEqual([
        [1, 1],
        [2, 2],
    ]);
    expect(store.answer.value.revision).toBe(3);
});

test('while a preview is on its way only the newest of those that follow is asked for', async () => {
    const waiting: (() => void)[] = [];
    server = (one) =>
        new Promise((done) => waiting.push(() => done(ours({ desk: desk(`pad ${one.body.change?.pad}`) }))));
    const { store } = open();
    for (const pad of [1, 2, 3]) {
        store.preview({ kind: 'MoveFeed', pad });
    }
    waiting.shift()?.();
    await vi.waitFor(() => expect(waiting).toHaveLength(1));
    waiting.shift()?.();
    await vi.waitFor(() => expect(store.desk.value.job).toBe('pad 3'));
    expect(asked.map((a) => a.body.change?.pad)).toEqual([1, 3]);
});

test('a preview that comes after the change is not shown any more', async () => {
    let late: () => void = () => undefined;
    server = (one) =>
        one.url.endsWith('preview')
            ? new Promise((done) => (late = () => done(ours({ desk: desk('late') }))))
            : Promise.resolve(ours(answer(2)));
    const { store } = open();
    store.preview({ kind: 'MoveFeed', pad: 1 });
    await store.change({ kind: 'MoveFeed', pad: 1 });
    late();
    await nextTick();
    await new Promise((done) => setTimeout(done));
    expect(store.desk.value.job).toBe('Job 2');
});

test('a state that was asked for before a change is never shown after it', async () => {
    let late: () => void = () => undefined;
    server = (one) =>
        one.url.includes('/state')
            ? new Promise((done) => (late = () => done(ours(answer(1)))))
            : Promise.resolve(ours(answer(2)));
    const { store } = open();
    const both = [store.reload(), store.change({ kind: 'AddFeed' })];
    await vi.waitFor(() => expect(asked).toHaveLength(1));
    late();
    await Promise.all(both);
    expect(asked.map((a) => a.url)).toEqual([expect.stringContaining('/state'), '/jobs/3/change']);
    expect(store.desk.value.job).toBe('Job 2');
});

test('a conflict is said and the newest state fetched; what is out of reach is tried again', async () => {
    server = async (one) =>
        one.url.includes('/state') ? ours(answer(9)) : ours({ message: 'Not kept: somebody else.' }, 409);
    const first = open();
    expect(await first.store.change({ kind: 'MoveFeed', pad: 1 })).toBe(false);
    expect([first.store.message.value, first.store.answer.value.revision]).toEqual(['Not kept: somebody else.', 9]);

    vi.useFakeTimers();
    let reached = false;
    server = async () => {
        if (!reached) {
            throw new TypeError('gone');
        }
        return ours(answer(2));
    };
    const second = open();
    const kept = second.store.change({ kind: 'MoveFeed', pad: 1 });
    await vi.waitFor(() => expect(second.store.status.value).toBe('waiting'));
    reached = true;
    await vi.advanceTimersByTimeAsync(3000);
    expect(await kept).toBe(true);
    vi.useRealTimers();
});

test('runs that are not sent stay as the page had them, in the order that is told', async () => {
    const run = (id: string, hash: string) => ({ id, hash });
    const wire = (order: string[], ...runs: object[]) => ({ ...desk('Job'), wire: { order, runs } });
    server = async () => ours({ ...answer(2), desk: wire(['new', 'a', 'c'], run('c', 'c2'), run('new', 'n1')) });
    const { store } = open({
        ...answer(1),
        desk: wire(['a', 'b', 'c'], run('a', 'a1'), run('b', 'b1'), run('c', 'c1')),
    });
    await store.change({ kind: 'DropRun', run: 'b' });
    expect(asked[0]?.body).toMatchObject({ known: 'a:a1 b:b1 c:c1' });
    expect(store.desk.value.wire?.runs.map((r) => `${r.id}:${r.hash}`)).toEqual(['new:n1', 'a:a1', 'c:c2']);
});

test('fixes that have to be solved come behind the picture and leave it as it is', async () => {
    const dull = { code: 'evenness', place: 'cove', title: 'Dull', asks: true, fixes: [] };
    const both = [{ label: 'Feed both ends', change: { kind: 'FeedPattern' } }];
    let behind: (said: object) => void = () => undefined;
    server = (one) =>
        one.url.endsWith('/fixes')
            ? new Promise((done) => (behind = (said) => done(ours(said))))
            : Promise.resolve(ours(answer(2)));
    const { store } = open({ ...answer(1), desk: { ...desk('Job'), findings: [dull] } });
    const had = store.desk.value;
    expect(store.fixesOf(dull as never)).toBeNull();
    behind({ revision: 1, fixes: [{ code: 'evenness', place: 'cove', title: 'Dull', fixes: both }] });
    await vi.waitFor(() => expect(store.fixesOf(dull as never)).toEqual(both));
    expect(store.desk.value).toBe(had);
});

const visit = (url: string) => ({ detail: { visit: { method: 'get', url: new URL(url, 'http://here') } } });

test('a page that is left while an edit is being saved is left once it is saved', async () => {
    let save: () => void = () => undefined;
    server = () => new Promise((done) => (save = () => done(ours(answer(2)))));
    const { store } = open();
    const saved = store.change({ kind: 'MoveFeed', pad: 1 });
    await vi.waitFor(() => expect(store.status.value).toBe('keeping'));
    expect(before!(visit('/jobs/3/build'))).toBe(false);
    expect(visited).toEqual([]);
    save();
    await saved;
    await vi.waitFor(() => expect(visited).toEqual(['http://here/jobs/3/build']));
    expect(before!(visit('/jobs/3/build'))).toBeUndefined();
});

test('an edit that the server has not got is said to be lost before the page is left', async () => {
    vi.useFakeTimers();
    server = () => Promise.reject(new TypeError('gone'));
    const { store, close } = open();
    void store.change({ kind: 'MoveFeed', pad: 1 });
    await vi.waitFor(() => expect(store.status.value).toBe('waiting'));
    expect(before!(visit('/'))).toBe(false);
    expect(store.message.value).toContain('Leave once more to discard');
    expect(before!(visit('/'))).toBeUndefined();
    close();
    vi.useRealTimers();
});

test('a busy database is tried again, and nothing is lost', async () => {
    vi.useFakeTimers();
    let tries = 0;
    server = async () => (++tries === 1 ? ours({ message: 'busy' }, 503) : ours(answer(2)));
    const { store } = open();
    const saved = store.change({ kind: 'MoveFeed', pad: 1 });
    await vi.waitFor(() => expect(store.status.value).toBe('waiting'));
    await vi.advanceTimersByTimeAsync(3000);
    expect(await saved).toBe(true);
    expect(store.answer.value.revision).toBe(2);
    vi.useRealTimers();
});
