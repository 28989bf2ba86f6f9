// Keeps the cards and tests that were opened, and what they are drawn with, for a place without a network. The newest is taken wherever there is one.
// Pages are of an account, which the answer names; the next account's replace them.
const ASSETS = 'assets';
const cacheOf = (account) => `cards ${account}`;
const isCard = (url) => /^\/rigs\/\d+\/(cards\/.|bench\/\d+$)/.test(url.pathname);
const isAsset = (url) => url.pathname.startsWith('/build/') || ['/theme.js', '/favicon.svg'].includes(url.pathname);

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

const keepOnly = async (name) => {
    const others = (await caches.keys()).filter((one) => one.startsWith('cards') && one !== name);
    await Promise.all(others.map((one) => caches.delete(one)));
};

const keep = async (request, answer, isPage) => {
    const account = answer.headers.get('X-Account');
    const isWhole = answer.ok && !answer.redirected;
    if (isPage && !(isWhole && account)) return Promise.all((await caches.keys()).map(async (one) => (await caches.open(one)).delete(request)));
    if (!isWhole) return null;
    const name = isPage ? cacheOf(account) : ASSETS;
    if (isPage) await keepOnly(name);
    return (await caches.open(name)).put(request, answer.clone());
};

const fetched = async (request, isPage) => {
    try {
        const answer = await fetch(request);
        await keep(request, answer, isPage);
        return answer;
    } catch (error) {
        const kept = await caches.match(request);
        if (kept) return kept;
        throw error;
    }
};

self.addEventListener('fetch', (event) => {
    const url = new URL(event.request.url);
    if (event.request.method === 'GET' && url.origin === self.location.origin && (isCard(url) || isAsset(url))) {
        event.respondWith(fetched(event.request, isCard(url)));
    }
});
