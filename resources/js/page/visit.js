// Another state of the same view: fetched and put in place of this one, so that focus, scroll and what is half typed stay. Back and
// forward do the same. Where anything is in the way, the browser goes there as usual.
import { redraw, settled, shown } from './redraw.js';

const latest = { number: 0 };

const page = async (address) => {
    const answer = await fetch(address, { headers: { Accept: 'text/html' } });
    if (!answer.ok || answer.redirected) throw new Error(String(answer.status));
    return answer.text();
};

/** @param isNew false where the address is in the history already */
export const visit = async (address, isNew = true) => {
    const number = ++latest.number;
    document.body.setAttribute('aria-busy', 'true');
    try {
        let html, seen;
        do {
            await settled();
            seen = shown();
            html = await page(address);
            if (number !== latest.number) return;
        } while (seen !== shown());
        if (isNew) window.history.pushState(null, '', address);
        redraw(html, null, seen);
    } catch {
        if (number === latest.number) window.location.assign(address);
    } finally {
        if (number === latest.number) document.body.removeAttribute('aria-busy');
    }
};

/** What is being fetched is not wanted any more. */
export const stay = () => {
    latest.number++;
    document.body.removeAttribute('aria-busy');
};

/** The address of a link, in HTML or in a drawing. */
export const addressOf = (link) => new URL(link.getAttribute('href'), window.location.href);

/** Whether a link leads to another state of the view that is shown. */
export const isWithin = (link) => {
    const { origin, pathname, hash } = addressOf(link);
    return document.body.dataset.rig !== undefined && !link.hasAttribute('download') && !link.hasAttribute('target')
        && origin === window.location.origin && pathname === window.location.pathname && hash === '';
};

export const comeBack = () => visit(window.location.href, false);
