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
    let box!: ReturnType<typeof outbox.useOutbox<object>>;
    const taken: object[] = [];
    createApp(
        defineComponent({
            setup() {
                box = outbox.useOutbox<object>(job, () => ({
                    known: 'dry-cove:d1',
                    take: (answer) => void taken.push(answer),
                }));
                return () => h('p');
            },
        }),
    ).mount(document.createElement('div'));
    return { box, taken, waiting: outbox.useWaiting(), send: outbox.sendPresses };
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
    expect(waiting.refused.value.map((p) => [p.step, p.refused])).toEqual([
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
