import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { beforeEach, expect, test, vi } from 'vitest';
import { createApp, defineComponent, h } from 'vue';

vi.mock('@inertiajs/vue3', () => ({ usePage: () => ({ props: { user: { id: 5, name: 'One' } } }) }));

type Sent = { url: string; acts: { client: string; kind: string; at: number }[] };
let sent: Sent[] = [];
let server: (one: Sent) => Response | Promise<Response>;
const ours = (status: number, body: object) =>
    new Response(JSON.stringify(body), { status, headers: { 'X-Ember-Now': String(Date.now()) } });

beforeEach(() => {
    vi.resetModules();
    vi.stubGlobal('indexedDB', new IDBFactory());
    sent = [];
    server = () => ours(200, { refused: [] });
    vi.stubGlobal('fetch', async (url: string, init: RequestInit) => {
        const one = { url, acts: (JSON.parse(String(init.body)) as { acts: Sent['acts'] }).acts };
        sent.push(one);
        return server(one);
    });
});

async function page(url = '/runs/1') {
    const { startActs, useActs } = await import('./acts');
    const refused: string[] = [];
    const taken: object[] = [];
    let box!: ReturnType<typeof useActs>;
    startActs();
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

test('without a signal acts wait in their order, each with its own name and moment, and go in one piece', async () => {
    server = () => Promise.reject(new TypeError('down'));
    const { box } = await page();
    for (const kind of ['power-on', 'tap', 'saw']) {
        await box.give({ kind, device: 'c1' });
    }
    await vi.waitFor(() => expect(box.waiting.value).toBe(3));
    expect(box.reached.value).toBe(false);
    server = () => ours(200, { refused: [] });
    const { sendActs } = await import('./acts');
    await vi.waitFor(async () => {
        await sendActs();
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
