// Keeps the cards that were opened, and what they are drawn with, for a place without a network. The newest is taken wherever there is one.
const CACHE = 'cards-1';
const isCard = (url) => /^\/rigs\/\d+\/cards\/./.test(url.pathname);
const isAsset = (url) => url.pathname.startsWith('/build/') || ['/theme.js', '/favicon.svg'].includes(url.pathname);

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

// Whoever signs out leaves nothing behind.
self.addEventListener('message', (event) => {
    if (event.data === 'forget') event.waitUntil(caches.delete(CACHE));
});

const fetched = async (request) => {
    const cache = await caches.open(CACHE);
    try {
        const answer = await fetch(request);
        if (answer.ok && !answer.redirected) await cache.put(request, answer.clone());
        else await cache.delete(request);
        return answer;
    } catch (error) {
        const kept = await cache.match(request);
        if (kept) return kept;
        throw error;
    }
};

self.addEventListener('fetch', (event) => {
    const url = new URL(event.request.url);
    if (event.request.method === 'GET' && url.origin === self.location.origin && (isCard(url) || isAsset(url))) {
        event.respondWith(fetched(event.request));
    }
});
