import 'fake-indexeddb/auto';
import { beforeEach, expect, test, vi } from 'vitest';
import { createApp, defineComponent, h } from 'vue';

vi.mock('@inertiajs/vue3', () => ({
    router: { on: () => () => undefined },
    usePage: () => ({ props: { user: { id: 5, name: 'One' } } }),
}));

let asked: string[] = [];
let server: (url: string) => Response | Promise<Response>;
const ours = (body: object) =>
    new Response(JSON.stringify(body), { status: 200, headers: { 'X-Ember-Now': String(Date.now()) } });

/** An answer about run 1 at a wall clock in ms, with these lines of its log from a number on. */
function answer(wall: number, log: string[], logFrom = 0) {
    const lines = log.map((text) => ({ at: '0:01', kind: 'saw', device: 'c1', text }));
    const step = { key: 'a/b', answers: [] };
    return { run: 1, speed: 1, wall, refused: [], picture: { now: 1, nextAt: null, step, log: lines, logFrom } };
}

beforeEach(() => {
    asked = [];
    vi.stubGlobal('fetch', async (url: string) => {
        asked.push(url);
        return server(url);
    });
});

async function page() {
    const { useLive } = await import('./live');
    let live!: ReturnType<typeof useLive>;
    createApp(
        defineComponent({
            setup() {
                const first = answer(1000, ['one', 'two pressed 1 times']) as unknown as Parameters<typeof useLive>[1];
                live = useLive({ act: (run) => `/runs/${run}`, look: (run) => `/runs/${run}` }, first);
                return () => h('div');
            },
        }),
    ).mount(document.createElement('div'));
    const look = () => live.say('GET', '/runs/1');
    const log = () => live.picture.value?.log.map((line) => line.text);
    return { live, look, log };
}

test('a look brings the new lines of the log, and the last known one as it is now', async () => {
    const { look, log } = await page();
    server = () => ours(answer(2000, ['two pressed 2 times', 'three'], 1));
    await look();
    expect(log()).toEqual(['one', 'two pressed 2 times', 'three']);
});

test('an answer that was overtaken by a later one is dropped', async () => {
    const { look, log } = await page();
    server = () => ours(answer(500, ['older']));
    await look();
    expect(log()).toEqual(['one', 'two pressed 1 times']);
});

test('a look without an answer counts as no signal after two seconds', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    try {
        const { live, look } = await page();
        let free!: (response: Response) => void;
        server = () => new Promise((resolve) => (free = resolve));
        const looking = look();
        vi.advanceTimersByTime(1900);
        expect(live.lost.value).toBe(false);
        vi.advanceTimersByTime(200);
        expect(live.lost.value).toBe(true);
        free(ours(answer(2000, [], 2)));
        await looking;
        expect(live.lost.value).toBe(false);
    } finally {
        vi.useRealTimers();
    }
});

test('the reason of a refused press stays while the page looks on', async () => {
    const { live, look } = await page();
    live.message.value = 'The run has moved on: that answers an earlier step.';
    server = () => ours(answer(2000, ['three'], 2));
    await look();
    expect(live.message.value).toContain('moved on');
    expect(live.picture.value?.log).toHaveLength(3);
});
