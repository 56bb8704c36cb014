// Keeps the page of a paired phone, so that it opens without the network. What can change is never answered from here: that the page itself keeps,
// and says how old it is.
const KEPT = 'ochema-phone-1';
const PAGE = '/';

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (e) => e.waitUntil(self.clients.claim()));

/** Fetched and kept; as it was kept where the network is away. */
async function fresh(request, as) {
    const cache = await caches.open(KEPT);
    try {
        const answer = await fetch(request);
        if (answer.ok && !answer.redirected) await cache.put(as, answer.clone());
        return answer;
    } catch (e) {
        const kept = await cache.match(as);
        if (kept) return kept;
        throw e;
    }
}

/** A file whose name changes with what is in it. */
async function once(request) {
    const cache = await caches.open(KEPT);
    const kept = await cache.match(request);
    if (kept) return kept;
    const answer = await fetch(request);
    if (answer.ok) await cache.put(request, answer.clone());
    return answer;
}

self.addEventListener('fetch', (e) => {
    const { request } = e;
    const { origin, pathname } = new URL(request.url);
    if (request.method !== 'GET' || origin !== self.location.origin || pathname.startsWith('/pair')) return;
    if (pathname.startsWith('/assets/')) e.respondWith(once(request));
    else if (request.mode === 'navigate') e.respondWith(fresh(request, PAGE));
    else if (pathname.startsWith('/api/rigs/') || pathname === '/api/door') return;
    else e.respondWith(fresh(request, request.url));
});

// What the page had fetched before anybody could keep it; files of an older page go.
self.addEventListener('message', (e) => {
    e.waitUntil(
        (async () => {
            const cache = await caches.open(KEPT);
            const wanted = new Set(e.data.keep);
            for (const had of await cache.keys())
                if (new URL(had.url).pathname.startsWith('/assets/') && !wanted.has(had.url)) await cache.delete(had);
            await Promise.all(
                [...wanted].map(async (url) => (await cache.match(url)) ?? cache.add(url).catch(() => {})),
            );
            e.source.postMessage({ kept: true });
        })(),
    );
});
