import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { beforeEach, expect, test, vi } from 'vitest';
import { createApp, defineComponent, h } from 'vue';

let signedIn: { id: number; name: string } | null = { id: 5, name: 'One' };
vi.mock('@inertiajs/vue3', () => ({
    router: { on: () => () => undefined },
    usePage: () => ({ props: { user: signedIn } }),
}));

type Sent = {
    url: string;
    by?: string;
    body: { step: string; done: boolean; uuid: string; at: string; known?: string };
};
let sent: Sent[] = [];
let server: (one: Sent) => Response | Promise<Response>;
const ours = (status: number, body: object) =>
    new Response(JSON.stringify(body), { status, headers: { 'X-Ember-Now': String(Date.now()) } });

beforeEach(() => {
    vi.resetModules();
    vi.stubGlobal('indexedDB', new IDBFactory());
    sent = [];
    signedIn = { id: 5, name: 'One' };
    server = () => ours(200, { revision: 1 });
    vi.stubGlobal('fetch', async (url: string, init: RequestInit) => {
        const by = (init.headers as Record<string, string>)['X-Ember-By'];
        const one = { url, by, body: JSON.parse(String(init.body)) as Sent['body'] };
        sent.push(one);
        return server(one);
    });
});

/** A page with an outbox for a job. */
async function page(job = 1) {
    const outbox = await import('./outbox');
    const { useTicks } = await import('./ticks');
    let box!: ReturnType<typeof useTicks>;
    const taken: object[] = [];
    createApp(
        defineComponent({
            setup() {
                box = useTicks(job, () => ({
                    known: 'dry-cove:d1',
                    take: (answer) => void taken.push(answer),
                }));
                return () => h('p');
            },
        }),
    ).mount(document.createElement('div'));
    return { box, taken, waiting: outbox.useUnsent(), send: outbox.sendUnsent };
}

test('presses are sent in their order and each later than the one before, and the page takes the answers', async () => {
    const { box, taken, waiting } = await page();
    await box.press('dry-cove', true, 30);
    await box.press('dry-cove', false, 30);
    expect(sent.map((s) => [s.url, s.body.step, s.body.done, s.by, s.body.known])).toEqual([
        ['/jobs/1/build/tick', 'dry-cove', true, '5', 'dry-cove:d1'],
        ['/jobs/1/build/tick', 'dry-cove', false, '5', 'dry-cove:d1'],
    ]);
    expect(Date.parse(sent[1]!.body.at)).toBeGreaterThan(Date.parse(sent[0]!.body.at));
    expect(taken).toHaveLength(2);
    expect(waiting.mine.value).toEqual([]);
});

test('without a signal a press waits, survives the page, and is sent once when there is one', async () => {
    server = () => Promise.reject(new TypeError('gone'));
    const first = await page();
    await first.box.press('dry-cove', true, 30);
    expect(first.waiting.mine.value).toHaveLength(1);
    expect(first.waiting.reached.value).toBe(false);
    const uuid = sent[0]!.body.uuid;

    vi.resetModules();
    sent = [];
    server = () => ours(200, {});
    const second = await page();
    await second.send();
    expect(sent.map((s) => s.body.uuid)).toEqual([uuid]);
    expect(second.waiting.mine.value).toEqual([]);
});

test('what the server will never take is kept and said, and does not hold up the next', async () => {
    server = (one) =>
        one.body.step === 'gone' ? ours(422, { message: 'The job has no such step any more.' }) : ours(200, {});
    const { box, waiting } = await page();
    await box.press('gone', true, 10);
    await box.press('dry-cove', true, 30);
    expect(waiting.refused.value.map((e) => [(e.body as { step: string }).step, e.refused])).toEqual([
        ['gone', 'The job has no such step any more.'],
    ]);
    expect(sent.map((s) => s.body.step)).toEqual(['gone', 'dry-cove']);
});

test('what somebody else pressed on this device waits for them and is told', async () => {
    server = () => Promise.reject(new TypeError('gone'));
    const first = await page();
    await first.box.press('dry-cove', true, 30);
    vi.resetModules();
    signedIn = { id: 6, name: 'Two' };
    sent = [];
    const second = await page();
    await second.send();
    expect(sent).toEqual([]);
    expect(second.waiting.others.value.map((p) => p.who)).toEqual(['One']);
});

test('a store that does not answer holds up nothing: what was pressed is sent from the open page', async () => {
    vi.useFakeTimers();
    vi.stubGlobal('indexedDB', { open: () => new IDBOpenDBRequest() });
    const { box, waiting } = await page();
    const pressed = box.press('dry-cove', true, 30);
    await vi.runAllTimersAsync();
    await pressed;
    expect(sent.map((s) => s.body.step)).toEqual(['dry-cove']);
    expect(waiting.mine.value).toEqual([]);
    vi.useRealTimers();
});

test('what an earlier version of the page has left is sent, ticks, entries and hand actions in their order', async () => {
    const { openDB } = await import('idb');
    const old = await openDB('ember-dusk', 2, {
        upgrade(db) {
            db.createObjectStore('presses', { keyPath: 'uuid' }).createIndex('job', 'job');
            db.createObjectStore('acts', { keyPath: 'client' }).createIndex('url', 'url');
        },
    });
    const at = (second: number) => new Date(Date.UTC(2026, 0, 5, 8, 0, second)).toISOString();
    const tick = { job: 1, step: 'dry-cove', done: true, minutes: 30 };
    await old.put('presses', { ...tick, uuid: 'u1', at: at(1), by: 5, who: 'One' });
    const note = { kind: 'remark', place: 'r1', command: '', value: null, text: 'Damp', by: '', sure: false };
    await old.put('presses', { ...tick, uuid: 'u3', step: '', at: at(3), note: { ...note, practice: null } });
    await old.put('acts', {
        client: 'u2',
        url: '/runs/7/act',
        at: Date.parse(at(2)),
        kind: 'tap',
        device: 'h1',
        by: 5,
    });
    old.close();
    server = () => ours(200, { refused: [] });
    const { send, waiting } = await page();
    await send();
    const bodies = sent.map((s) => s.body as unknown as Record<string, unknown>);
    expect(sent.map((s) => s.url)).toEqual(['/jobs/1/build/tick', '/runs/7/act', '/jobs/1/bench/log']);
    expect(bodies[0]).toMatchObject({ step: 'dry-cove', done: true, minutes: 30, uuid: 'u1', at: at(1) });
    expect(bodies[1]).toEqual({ acts: [{ kind: 'tap', device: 'h1', client: 'u2', at: Date.parse(at(2)) }] });
    expect(bodies[2]).toMatchObject({ ...note, uuid: 'u3', at: at(3) });
    expect(waiting.mine.value).toEqual([]);
});

test('an address that takes nothing for now does not hold up the others', async () => {
    server = (one) => (one.url.includes('/jobs/1/') ? ours(500, { message: 'Broken.' }) : ours(200, {}));
    const first = await page(1);
    const second = await page(2);
    await first.box.press('dry-cove', true, 30);
    await second.box.press('dry-cove', true, 30);
    expect(second.waiting.mine.value.map((e) => e.page)).toEqual(['job 1']);
    expect(first.waiting.troubleOf(first.waiting.mine.value)).toBe('Broken.');
    expect(first.waiting.reached.value).toBe(true);
});
