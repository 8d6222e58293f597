// Opens the pages of jobs that were taken along without a signal. Registered when a person takes the first job along, not before.
// Pages come from the server as long as it answers; what is kept is renewed each time. Requests that change something never pass here.
const CODE = 'ember-code';
const TAKEN = 'ember-taken-';
const MANIFEST = '/build/manifest.json';
/** Of the installed application. */
const FACE = ['/favicon.svg', '/manifest.json', '/icon-192.png'];
/** Milliseconds that a page is kept after the server sent it: as long as a person stays signed in at most. */
const KEPT = 30 * 24 * 3600 * 1000;
/** Milliseconds without an answer after which a kept page is shown. */
const PATIENCE = 4000;

/** Keeps all scripts, styles and fonts of the built application. Whether they are others than before. */
async function keepCode() {
    const cache = await caches.open(CODE);
    const answer = await fetch(MANIFEST, { cache: 'no-store' });
    const text = await answer.clone().text();
    const before = await cache.match(MANIFEST);
    if (before && (await before.text()) === text) {
        return;
    }
    const files = Object.values(JSON.parse(text)).flatMap(({ file, css = [], assets = [] }) => [
        file,
        ...css,
        ...assets,
    ]);
    await cache.addAll([...FACE, ...new Set(files.map((file) => `/build/${file}`))]);
    await cache.put(MANIFEST, answer);
}

/** The kept copy of an address and the store that it is in; null where it was not taken along. */
async function find(path) {
    for (const name of await caches.keys()) {
        const store = name.startsWith(TAKEN) ? await caches.open(name) : null;
        const answer = await store?.match(path);
        if (answer && Date.now() - Number(answer.headers.get('X-Ember-Now')) > KEPT) {
            await store.delete(path);
        } else if (answer) {
            return { store, answer };
        }
    }
    return null;
}

const within = (answer, milliseconds) =>
    Promise.race([answer, new Promise((_, reject) => setTimeout(() => reject(new Error('No answer.')), milliseconds))]);

/** A kept page that says when it was kept: its clock and its state are of then. */
async function marked(answer) {
    const at = answer.headers.get('X-Ember-Now') ?? '';
    const text = await answer.text();
    return new Response(text.replace('<head>', `<head>\n<meta name="kept-page" content="${at}">`), {
        headers: answer.headers,
    });
}

/** What is shown for an address that was not taken along. */
async function none() {
    const kept = [];
    for (const name of (await caches.keys()).filter((one) => one.startsWith(TAKEN))) {
        kept.push(...(await (await caches.open(name)).keys()).map((one) => new URL(one.url).pathname));
    }
    const found = await Promise.all(kept.map((path) => find(path)));
    const pages = kept
        .filter((path, n) => found[n] && /^\/jobs\/\d+\/[a-z]+$/.test(path))
        .map((path) => `<li><a href="${path}">${path.replace('/jobs/', 'Job ').replace('/', ': ')}</a></li>`);
    return new Response(
        `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width">` +
            `<title>No signal · Ember Dusk</title></head><body><main><h1>No signal</h1>` +
            `<p>This page was not taken along. ${pages.length ? 'These were:' : 'No page was.'}</p><ul>${pages.join('')}</ul>` +
            `<p><a href="">Try again</a></p></main></body></html>`,
        { status: 503, headers: { 'Content-Type': 'text/html; charset=utf-8' } },
    );
}

/** An answer once all of it has come: one that is cut off on the way is none. */
async function whole(request) {
    const answer = await fetch(request);
    // Sent on to another page, such as the sign-in page: the browser goes there.
    if (answer.type === 'opaqueredirect') {
        return answer;
    }
    const body = await answer.blob();
    const page = (answer.headers.get('Content-Type') ?? '').startsWith('text/html');
    if (page && !(await body.slice(-20).text()).trimEnd().endsWith('</html>')) {
        throw new Error('Cut off.');
    }
    return new Response(body, answer);
}

async function page(request, path) {
    const kept = await find(path);
    try {
        const answer = await (kept ? within(whole(request), PATIENCE) : whole(request));
        if (answer.type === 'opaqueredirect') {
            return answer;
        }
        // Something in between may answer, such as the sign-in page of a guest network.
        if (kept && !answer.headers.has('X-Ember-Now')) {
            throw new Error('Not the server’s answer.');
        }
        if (kept && answer.ok) {
            await kept.store.put(path, answer.clone());
            await keepCode().catch(() => undefined);
        }
        return answer;
    } catch {
        return kept ? marked(kept.answer) : none();
    }
}

/** A visit within the open page: without a signal the browser goes to the kept page as a whole. */
async function visit(request, path) {
    if (!(await find(path))) {
        return fetch(request);
    }
    try {
        const answer = await fetch(request);
        const body = await answer.blob();
        if (!answer.headers.has('X-Ember-Now')) {
            throw new Error('Not the server’s answer.');
        }
        if (answer.headers.has('X-Inertia')) {
            JSON.parse(await body.text());
        }
        return new Response(body, answer);
    } catch {
        return new Response('', { status: 409, headers: { 'X-Inertia-Location': request.url } });
    }
}

self.addEventListener('install', (event) => event.waitUntil(keepCode().then(() => self.skipWaiting())));
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
self.addEventListener('fetch', (event) => {
    const { request } = event;
    const { origin, pathname } = new URL(request.url);
    if (request.method !== 'GET' || origin !== self.location.origin || pathname === MANIFEST) {
        return;
    }
    if (request.mode === 'navigate') {
        event.respondWith(page(request, pathname));
    } else if (request.headers.get('X-Inertia')) {
        event.respondWith(visit(request, pathname));
    } else if (pathname.startsWith('/build/') || FACE.includes(pathname)) {
        event.respondWith(caches.open(CODE).then(async (cache) => (await cache.match(request)) ?? fetch(request)));
    } else if (/^\/jobs\/\d+\/photos\//.test(pathname)) {
        event.respondWith(fetch(request).catch(async () => (await find(pathname))?.answer ?? Response.error()));
    }
});
