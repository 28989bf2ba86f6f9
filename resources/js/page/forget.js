// What a device keeps of an account for places without a network, and how it goes again.
const TICKS = 'card ';

/** Where the ticks of an account's card are kept. */
export const ticksOf = (account, card) => `${TICKS}${account} ${card}`;

/** The browser may refuse to keep anything: then there is nothing. */
export const kept = (key) => {
    try {
        return JSON.parse(window.localStorage.getItem(key)) ?? {};
    } catch {
        return {};
    }
};

const keys = () => {
    try {
        return Object.keys(window.localStorage).filter((key) => key.startsWith(TICKS));
    } catch {
        return [];
    }
};

/** How many ticks were not sent yet. */
export const unsentTicks = () => keys().flatMap((key) => Object.values(kept(key))).filter((tick) => tick.unsent).length;

export const forgetTicks = () => {
    for (const key of keys()) window.localStorage.removeItem(key);
};

/** Pages of cards; the page's worker keeps them. */
export const forgetPages = async () => {
    if (!window.caches) return;
    const names = await window.caches.keys().catch(() => []);
    await Promise.all(names.filter((name) => name.startsWith('cards')).map((name) => window.caches.delete(name)));
};
