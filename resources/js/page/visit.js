// Going from view to view of a rig without a new page: the address changes, what is shown is drawn in place of what was. Back and forward do
// the same. A view that was there is shown at once, and made fresh behind it. Where anything is in the way, the browser goes there as usual.
import { isAlike, parsed, redraw, settled, shown } from './redraw.js';
import { putBack, snapshot } from './scrolled.js';
import { anyUnsaved } from './unsaved.js';

const LOST = 'What you entered here is not saved. Leave it?';

const latest = { number: 0, address: window.location.href };

// Pages that were shown, by address: their HTML, a document made of it while nothing else was done, and how far each was scrolled.
const pages = new Map();
const MOST = 24;

const page = async (address) => {
    const answer = await fetch(address, { headers: { Accept: 'text/html' } });
    if (!answer.ok || answer.redirected) throw new Error(String(answer.status));
    return answer.text();
};

const viewOf = (address) => new URL(address, window.location.href).pathname;
const bare = (address) => address.split('#')[0];

const keep = (address, kept) => {
    const known = pages.get(bare(address));
    pages.delete(bare(address));
    pages.set(bare(address), { ...known, ...kept });
    if (pages.size > MOST) pages.delete(pages.keys().next().value);
};

const whenIdle = window.requestIdleCallback ?? ((work) => setTimeout(work, 200));

const prepare = (address) => whenIdle(() => {
    const known = pages.get(bare(address));
    if (known?.html) known.ready ??= parsed(known.html);
});

// A view that has just been shown is parsed for its next visit later, so that parsing does not delay its first frames.
const LATER_MS = 600;
const prepareLater = (address) => setTimeout(() => prepare(address), LATER_MS);

const taken = (known) => {
    const document = known.ready ?? known.html;
    known.ready = null;
    return document;
};

// A stop or tab that the pointer rests on, or that has the focus, is fetched before it is chosen.
const JUST_MS = 3000;
const isJust = (known) => performance.now() - (known?.at ?? -Infinity) < JUST_MS;
const isFresh = (known) => known?.html !== undefined && known.revision === document.body.dataset.revision;
const coming = new Map();

/** Fetches a view that somebody is about to go to. */
export const warm = (href) => {
    const address = bare(href);
    const known = pages.get(address);
    if (coming.has(address) || isFresh(known) || viewOf(address) === viewOf(latest.address)) return;
    const { revision } = document.body.dataset;
    const work = page(address).then((html) => {
        keep(address, { html, revision, at: performance.now(), ready: null });
        prepare(address);
    }).catch(() => {}).finally(() => coming.delete(address));
    coming.set(address, work);
};

// Two frames: until then what was drawn is not seen.
const seenByReader = () => new Promise((done) => {
    const timer = setTimeout(done, 300);
    requestAnimationFrame(() => requestAnimationFrame(() => {
        clearTimeout(timer);
        done();
    }));
});

// How far what is left is scrolled is known again when somebody comes back to it.
const leave = () => keep(latest.address, { seen: snapshot() });

const arrive = (address, seen) => {
    latest.address = address;
    const target = new URL(address).hash.slice(1);
    if (seen) putBack(seen);
    else if (target) document.getElementById(decodeURIComponent(target))?.scrollIntoView({ block: 'start' });
};

/**
 * @param isNew false where the address is in the history already
 * @param leaves whether what is typed here goes, though the view is the same
 */
export const visit = async (address, isNew = true, leaves = false) => {
    const isOther = viewOf(address) !== viewOf(latest.address);
    if ((isOther || leaves) && anyUnsaved() && !window.confirm(LOST)) return;
    const number = ++latest.number;
    document.body.setAttribute('aria-busy', 'true');
    leave();
    try {
        let html, seen;
        await settled();
        await coming.get(bare(address));
        const known = pages.get(bare(address));
        const place = isNew ? null : known?.seen;
        const isShown = isOther && isFresh(known) && number === latest.number;
        if (isShown) {
            if (isNew) window.history.pushState(null, '', address);
            redraw(taken(known));
            arrive(address, place);
            await seenByReader();
            if (isJust(known)) return prepareLater(address);
        }
        do {
            await settled();
            seen = shown();
            html = await page(bare(address));
            if (number !== latest.number) return;
        } while (seen !== shown());
        if (isNew && !isShown) window.history.pushState(null, '', address);
        // What is shown already, and has come again as it was, needs no second drawing.
        if (!isShown || !isAlike(html, known.html)) redraw(html, null, seen);
        if (!isShown) arrive(address, place);
        keep(address, { html, revision: document.body.dataset.revision, ready: null });
        prepareLater(address);
    } catch {
        if (number === latest.number) window.location.assign(address);
    } finally {
        if (number === latest.number) document.body.removeAttribute('aria-busy');
    }
};

/** Another state of the view that is shown, as somebody types it: it takes the place of the last one, also in the history. */
export const look = (address) => {
    window.history.replaceState(null, '', address);
    return visit(address, false);
};

/** What is being fetched is not wanted any more. */
export const stay = () => {
    latest.number++;
    document.body.removeAttribute('aria-busy');
};

/** The address of a link, in HTML or in a drawing. */
export const addressOf = (link) => new URL(link.getAttribute('href'), window.location.href);

/** The address of a view of the rig that is shown, in the situation that is shown. */
export const toView = (name) => {
    const address = new URL(window.location.href);
    const situation = address.searchParams.get('situation');
    return new URL(`/rigs/${document.body.dataset.rig}/${name}${situation ? `?situation=${encodeURIComponent(situation)}` : ''}`, address).href;
};

// The views that are drawn in one frame; what else is below a rig is a file, or a page of its own.
const isView = (pathname) => {
    const [, rigs, rig, view, ...more] = pathname.split('/');
    return rigs === 'rigs' && rig === document.body.dataset.rig && more.length === 0
        && (document.body.dataset.views ?? '').split(' ').includes(view);
};

/** Whether a link leads to a view of the rig that is shown, and not only to a place on this one. */
export const isWithin = (link) => {
    const { origin, pathname, search, hash } = addressOf(link);
    const isHere = pathname === window.location.pathname && search === window.location.search;
    return document.body.dataset.rig !== undefined && !link.hasAttribute('download') && !link.hasAttribute('target')
        && origin === window.location.origin && (isView(pathname) || pathname === window.location.pathname) && !(isHere && hash !== '');
};

/** What a search in a view of the rig asks for; null where a form leads elsewhere. */
export const searchOf = (form) => {
    const address = new URL(form.action, window.location.href);
    if (form.method !== 'get' || document.body.dataset.rig === undefined || !isView(address.pathname)) return null;
    address.search = new URLSearchParams(new FormData(form)).toString();
    return address.href;
};

export const comeBack = () => visit(window.location.href, false);
