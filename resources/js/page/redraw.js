// Puts another state of the page in place of this one. Morphing leaves whatever is alike where it is, so that focus, scroll, open dialogs,
// what is half typed, and lists that nobody has touched stay as they are.

// How often the page was redrawn: what was fetched before the last time is out of date. And how many changes are on their way.
const state = { drawings: 0, sending: 0, whole: null };

// The session's token is under a mask that is new in each answer. One that is the same under its mask stays as it is: forms that
// differ in nothing else are alike.
const bare = (masked) => {
    const bytes = [...atob(masked)].map((one) => one.charCodeAt(0));
    return bytes.slice(bytes.length / 2).map((byte, i) => byte ^ bytes[i]).join();
};
const TOKEN = /(name="(?:_token|csrf-token)" (?:value|content)=")([^"]*)/g;
const tokenIn = (html) => html.match(/name="csrf-token" content="([^"]*)/)?.[1] ?? '';

/** Whether two answers differ in nothing but the mask of the session's token. */
export const isAlike = (one, other) => one.replace(TOKEN, '$1') === other.replace(TOKEN, '$1') && bare(tokenIn(one)) === bare(tokenIn(other));

const keepToken = (next) => {
    const [was, is] = [document, next].map((one) => one.querySelector('meta[name=csrf-token]').content);
    if (bare(was) !== bare(is)) return;
    for (const input of next.querySelectorAll('input[name=_token]')) input.setAttribute('value', was);
};

const ROWS = 'li, tr, article, [data-row]';

// What a form of a change is about, to know it again: its fixed fields, but neither a switch's state nor what it was made from.
const aboutOf = (form) => {
    const change = form.querySelector(':scope > input[name=_change]')?.getAttribute('value');
    if (!change) return null;
    const made = ['revision', 'at_revision'];
    const fields = [...new URLSearchParams(change)].filter(([name]) => !made.includes(name));
    return fields.map(([name, value]) => (['', '0', '1'].includes(value) ? name : `${name}=${value}`)).join('&');
};

// What tells an element apart from its neighbours: an id; a key, which the server says; for a row of a list the key of its first form. A row
// that moves takes along what is typed in it.
const keyOf = (element) => {
    if (element.id) return `#${element.id}`;
    if (element.dataset?.key) return element.dataset.key;
    if (element.matches?.('form[data-send]')) return aboutOf(element) ?? element.getAttribute('action');
    if (!element.matches?.(ROWS) || element.querySelector(ROWS)) return null;
    const form = element.querySelector('form[data-send]');
    return form && `row ${keyOf(form)}`;
};

const keepOpen = (from, to) => {
    if (from.matches('details') && from.open) to.setAttribute('open', '');
};
// The map's own window and scale are the reader's; its size and its lines are the server's.
const isOfReader = (from, to) => {
    if (!from.matches('svg.map')) return false;
    for (const name of ['class', 'width', 'height', 'viewBox']) from.setAttribute(name, to.getAttribute(name));
    return true;
};

const updating = (from, to, childrenOnly, skip) => {
    if (from.nodeType !== Node.ELEMENT_NODE) return;
    // A view that has just come whole is what it should be.
    if (from === state.whole) return skip();
    // A message stays until it is put away or another comes.
    const isStillSaid = from.matches('[data-messages]') && to.children.length === 0;
    if (from.isEqualNode(to) || isStillSaid || from.matches('dialog, [data-own]')) skip();
    else if (isOfReader(from, to)) childrenOnly();
    else {
        keepOpen(from, to);
        if (from.dataset.ready) to.dataset.ready = from.dataset.ready;
    }
};

// What the page itself has put somewhere, the server knows nothing of.
const removing = (element, skip) => element.nodeType === Node.ELEMENT_NODE && element.hasAttribute('data-own') && skip();

// What the keyboard can stand on.
const STOPS = ':is(a[href], button, input:not([type=hidden]), select, textarea)';

// Focus on something that has gone moves to what has taken its place.
const standAgain = (was, neighbours) => {
    if (was === document.activeElement || was === document.body) return;
    const place = was.isConnected ? was : neighbours.find((one) => one.isConnected);
    (place ?? document.querySelector('main#view'))?.focus({ preventScroll: true });
};

// Alpine would check every added element for directives. Few have any, and a query finds those faster.
const CARRIERS = './/*[@*[starts-with(name(), "x-") or starts-with(name(), "@") or starts-with(name(), ":")]]';
const withDirectives = (root, visit) => {
    const found = document.evaluate(CARRIERS, root, null, XPathResult.ORDERED_NODE_SNAPSHOT_TYPE);
    let ignored = null;
    for (let i = -1; i < found.snapshotLength; i++) {
        const one = i < 0 ? root : found.snapshotItem(i);
        if (!ignored?.contains(one)) visit(one, () => (ignored = one));
    }
};

const replaceView = (next) => {
    const was = document.querySelector('main#view');
    window.Alpine.destroyTree(was);
    const made = next.querySelector('main#view');
    // What is morphed after it finds its place taken.
    made.replaceWith(made.cloneNode(false));
    state.whole = document.adoptNode(made);
    window.Alpine.mutateDom(() => was.replaceWith(state.whole));
    window.Alpine.initTree(state.whole, withDirectives);
};

/** A document of an answer's HTML, with this page's token in its forms. */
export const parsed = (html) => {
    const next = new DOMParser().parseFromString(html, 'text/html');
    if (next.querySelector('main#view')) keepToken(next);
    return next;
};

/**
 * @param page an answer's HTML, or its document, which is used up
 * @param sent the form whose change is in it
 * @param seen the drawing that the state was asked for from
 */
export const redraw = (page, sent = null, seen = state.drawings) => {
    if (sent === null && (seen !== state.drawings || state.sending > 0)) return;
    const next = typeof page === 'string' ? parsed(page) : page;
    if (!next.querySelector('main#view')) return window.location.reload();
    state.drawings++;
    // What was sent is no longer half typed: the server says now what its value is.
    if (sent?.isConnected) sent.reset();
    // Another view shares nothing with the one that was: it comes whole. What surrounds both is morphed.
    const isOther = next.body.dataset.view !== document.body.dataset.view;
    if (isOther) replaceView(next);
    const was = document.activeElement ?? document.body;
    const stops = [...was.closest('main#view')?.querySelectorAll(STOPS) ?? []];
    const at = stops.indexOf(was);
    document.title = next.title;
    window.Alpine.morph(document.body, next.body, { key: keyOf, updating, removing, lookahead: false });
    state.whole = null;
    standAgain(was, at < 0 ? [] : [...stops.slice(at + 1, at + 12), ...stops.slice(Math.max(0, at - 12), at).reverse()]);
    // The components of a view that was replaced as a whole have just been initialised: they need no redrawing.
    document.dispatchEvent(new CustomEvent(isOther ? 'arrived' : 'redrawn'));
};

const TRIES = 5;

// What was drawn while the page was asked for may not have in it what this is about: then it is asked for once more.
export const refresh = async (sent = null) => {
    for (let tries = 0; tries < TRIES; tries++) {
        if (sent === null) await settled();
        const seen = state.drawings;
        const answer = await fetch(window.location.href, { headers: { Accept: 'text/html' } });
        if (!answer.ok) throw new Error(String(answer.status));
        const html = await answer.text();
        if (sent !== null || (seen === state.drawings && state.sending === 0)) return redraw(html, sent, seen);
    }
};

export const whileSending = async (work) => {
    state.sending++;
    try {
        return await work();
    } finally {
        state.sending--;
    }
};

export const shown = () => state.drawings;

const WAIT_MS = 30;

// Once no change is on its way.
export const settled = async () => {
    while (state.sending > 0) await new Promise((done) => setTimeout(done, WAIT_MS));
};
