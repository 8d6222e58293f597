import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { beforeEach, expect, test, vi } from 'vitest';
import { createApp, defineComponent, h } from 'vue';

let signedIn: { id: number; name: string } | null = { id: 5, name: 'One' };
vi.mock('@inertiajs/vue3', () => ({
    router: { on: () => () => undefined },
    usePage: () => ({ props: { user: signedIn } }),
}));

type Sent = { url: string; by?: string; acts: { client: string; kind: string; at: number }[] };
let sent: Sent[] = [];
let server: (one: Sent) => Response | Promise<Response>;
const ours = (status: number, body: object) =>
    new Response(JSON.stringify(body), { status, headers: { 'X-Ember-Now': String(Date.now()) } });

beforeEach(() => {
    vi.resetModules();
    vi.stubGlobal('indexedDB', new IDBFactory());
    sent = [];
    signedIn = { id: 5, name: 'One' };
    server = () => ours(200, { refused: [] });
    vi.stubGlobal('fetch', async (url: string, init: RequestInit) => {
        const by = (init.headers as Record<string, string>)['X-Ember-By'];
        const one = { url, by, acts: (JSON.parse(String(init.body)) as { acts: Sent['acts'] }).acts };
        sent.push(one);
        return server(one);
    });
});

async function page(url = '/runs/1') {
    const { useActs } = await import('./acts');
    const { startOutbox } = await import('./outbox');
    const refused: string[] = [];
    const taken: object[] = [];
    let box!: ReturnType<typeof useActs>;
    startOutbox();
    createApp(
        defineComponent({
            setup() {
                box = useActs({
                    take: (answer) => taken.push(answer),
                    refuse: (message) => refused.push(message),
                });
                box.at(url);
                return () => h('div');
            },
        }),
    ).mount(document.createElement('div'));
    return { box, refused, taken };
}

test('a request that hangs counts as no signal after two seconds, and what is done meanwhile brings the answer', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    try {
        let free!: (response: Response) => void;
        server = () => new Promise((resolve) => (free = resolve));
        const { box, taken } = await page();
        const first = box.give({ kind: 'saw', device: 'c1' });
        await vi.waitFor(() => expect(sent).toHaveLength(1));
        expect(box.reached.value).toBe(true);
        vi.advanceTimersByTime(2000);
        expect(box.reached.value).toBe(false);
        const second = box.give({ kind: 'work', device: 'c1' });
        await vi.waitFor(() => expect(box.waiting.value).toBe(2));
        server = () => ours(200, { refused: [] });
        free(ours(200, { refused: [] }));
        await Promise.all([first, second]);
        await vi.waitFor(() => expect(box.waiting.value).toBe(0));
        expect(sent.map((s) => s.acts.map((a) => a.kind))).toEqual([['saw'], ['work']]);
        expect(taken).toHaveLength(1);
        expect(box.reached.value).toBe(true);
    } finally {
        vi.useRealTimers();
    }
});

test('without a signal acts wait in their order, each with its own name and moment, and go in one piece', async () => {
    server = () => Promise.reject(new TypeError('down'));
    const { box } = await page();
    for (const kind of ['power-on', 'tap', 'saw']) {
        await box.give({ kind, device: 'c1' });
    }
    await vi.waitFor(() => expect(box.waiting.value).toBe(3));
    expect(box.reached.value).toBe(false);
    server = () => ours(200, { refused: [] });
    const { sendUnsent } = await import('./outbox');
    await vi.waitFor(async () => {
        await sendUnsent();
        expect(box.waiting.value).toBe(0);
    });
    const { acts } = sent.at(-1)!;
    expect(acts.map((a) => a.kind)).toEqual(['power-on', 'tap', 'saw']);
    expect(new Set(acts.map((a) => a.client)).size).toBe(3);
    expect(acts.map((a) => a.at)).toEqual([...acts.map((a) => a.at)].sort((a, b) => a - b));
    expect(box.reached.value).toBe(true);
});

test('what a closed page has left is sent by the next one', async () => {
    server = () => Promise.reject(new TypeError('down'));
    const first = await page();
    await first.box.give({ kind: 'tap', device: 'h1' });
    await vi.waitFor(() => expect(first.box.reached.value).toBe(false));
    vi.resetModules();
    server = () => ours(200, { refused: [] });
    sent = [];
    const second = await page();
    await vi.waitFor(() => expect(sent.map((s) => s.acts[0]?.kind)).toEqual(['tap']));
    await vi.waitFor(() => expect(second.box.waiting.value).toBe(0));
});

test('what is refused is said, and never sent again', async () => {
    server = (one) => ours(200, { refused: [{ client: one.acts[0]!.client, message: 'moved on', pointer: '' }] });
    const { box, refused, taken } = await page();
    await box.give({ kind: 'saw', device: 'c1' });
    await vi.waitFor(() => expect(refused).toEqual(['moved on']));
    expect([taken.length, box.waiting.value, sent.length]).toEqual([1, 0, 1]);
    server = () => ours(404, { message: 'gone' });
    await box.give({ kind: 'saw', device: 'c1' });
    await vi.waitFor(() => expect(refused.length).toBe(2));
    expect(box.waiting.value).toBe(0);
});

test('what somebody else did waits for them, is sent in their name, and is told', async () => {
    server = () => Promise.reject(new TypeError('down'));
    const first = await page();
    await first.box.give({ kind: 'tap', device: 'h1', text: 'secret words' });
    await vi.waitFor(() => expect(first.box.reached.value).toBe(false));
    vi.resetModules();
    signedIn = { id: 6, name: 'Two' };
    server = () => ours(200, { refused: [] });
    sent = [];
    const second = await page();
    const { sendUnsent, useUnsent } = await import('./outbox');
    await vi.waitFor(() => expect(useUnsent().others.value.map((a) => a.who)).toEqual(['One']));
    await sendUnsent();
    expect(sent).toEqual([]);
    expect(second.box.waiting.value).toBe(0);
    signedIn = { id: 5, name: 'One' };
    await sendUnsent();
    expect(sent.map((s) => [s.by, s.acts[0]?.kind])).toEqual([['5', 'tap']]);
});

test('a batch that is refused whole goes one by one: only what the server will never take is refused', async () => {
    server = () => Promise.reject(new TypeError('down'));
    const first = await page();
    for (const kind of ['power-on', 'nonsense', 'tap']) {
        await first.box.give({ kind, device: 'c1' });
    }
    await vi.waitFor(() => expect(first.box.waiting.value).toBe(3));
    sent = [];
    const good: string[] = [];
    server = (one) => {
        if (one.acts.some((a) => a.kind === 'nonsense')) {
            return ours(422, { message: 'no such act' });
        }
        good.push(...one.acts.map((a) => a.kind));
        return ours(200, { refused: [] });
    };
    const { sendUnsent } = await import('./outbox');
    await vi.waitFor(async () => {
        await sendUnsent();
        expect(first.box.waiting.value).toBe(0);
    });
    expect(good).toEqual(['power-on', 'tap']);
    expect(first.refused).toEqual(['no such act']);
});

test('what is refused while its page is closed is kept with the reason until it is discarded', async () => {
    server = () => Promise.reject(new TypeError('down'));
    const first = await page();
    await first.box.give({ kind: 'tap', device: 'h1' });
    await vi.waitFor(() => expect(first.box.reached.value).toBe(false));
    vi.resetModules();
    server = () => ours(404, { message: 'gone' });
    await page('/runs/2');
    const { drop, useUnsent } = await import('./outbox');
    const waiting = useUnsent();
    await vi.waitFor(() => expect(waiting.refused.value.map((a) => a.refused)).toHaveLength(1));
    await drop(waiting.refused.value[0]!);
    expect(waiting.refused.value).toEqual([]);
});
