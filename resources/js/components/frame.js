// The page itself: what its forms, links and keys do. Links stay links and forms stay forms; a key follows one that is on the page.
import { forgetPages, forgetTicks, unsentTicks } from '../page/forget.js';
import { plug } from '../page/plugging.js';
import { send } from '../page/send.js';
import { anyUnsaved, mark } from '../page/unsaved.js';
import { addressOf, comeBack, isWithin, look, searchOf, toView, visit, warm } from '../page/visit.js';

const follow = (selector) => document.querySelector(selector)?.click();
const neighbour = (list, step) => {
    const links = [...document.querySelectorAll(`${list} a`)];
    const at = links.findIndex((link) => link.hasAttribute('aria-current'));
    links[(at + step + links.length) % links.length]?.click();
};
// Only within a rig: elsewhere there are no such views.
const go = (view) => document.body.dataset.rig && visit(toView(view));
// The number of a stop leads there; where one is already, it leads on to its next tab.
const stop = (number) => {
    const link = document.querySelector(`[data-key-stop="${number}"]`);
    if (!link) return null;
    return () => (link.hasAttribute('aria-current') ? neighbour('.tabs', 1) : link.click());
};
const openMenu = () => document.querySelector('[data-menu][open]');
const letGo = () => {
    const menu = openMenu();
    if (!menu) return follow('[data-key-close]');
    menu.open = false;
    menu.querySelector('summary').focus();
};
const hasModifier = ({ ctrlKey, metaKey, altKey }) => ctrlKey || metaKey || altKey;
const REST_MS = 60;
const LIVE_MS = 500;
const say = (name) => window.dispatchEvent(new CustomEvent(name));

const KEYS = {
    '/': () => say('find'),
    a: () => [...document.querySelectorAll('main form:not(.visually-hidden) :is(input:not([type=hidden]), select, textarea)')]
        .find((one) => !one.disabled && one.checkVisibility())?.focus(),
    s: () => go('situations'),
    c: () => go('cables'),
    p: () => go('people'),
    h: () => go('history'),
    '[': () => neighbour('.situations', -1),
    ']': () => neighbour('.situations', 1),
    d: () => neighbour('.depths', 1),
    o: () => follow('[data-key-focus]'),
    u: () => follow('[data-key-undo]'),
    r: () => follow('[data-key-redo]'),
    t: () => window.Alpine.store('theme').turn(),
    '?': () => say('key-list'),
    Escape: letGo,
};

export function frame() {
    return {
        pointing: null,
        living: null,

        submit(event) {
            const form = event.target;
            if (form.dataset.confirm && !window.confirm(form.dataset.confirm)) return event.preventDefault();
            if (form.matches('[data-forgets]') && !this.forget()) return event.preventDefault();
            const search = searchOf(form);
            if (!search && !form.matches('form[data-send]')) return;
            event.preventDefault();
            if (search) visit(search);
            else send(form, event.submitter);
        },

        // Nobody is signed in on this device: what it kept of whoever was is not for the next one.
        init() {
            if (this.$root.matches('[data-signed-out]')) forgetPages();
        },

        // Whoever signs out leaves nothing behind.
        forget() {
            const unsent = unsentTicks();
            const question = unsent === 1 ? 'One tick on a card was not sent yet. Sign out and lose it?'
                : `${unsent} ticks on cards were not sent yet. Sign out and lose them?`;
            if (unsent > 0 && !window.confirm(question)) return false;
            forgetTicks();
            forgetPages();
            return true;
        },

        // A number or choice that is set by itself is sent when it is left or chosen. By keys a list is gone through one by one: what it
        // comes to is sent by Enter, or when the list is left.
        change({ target }) {
            if (!target.matches('[data-auto]')) return;
            if (target.matches('select[data-by-key]')) target.dataset.waits = '';
            else this.set(target);
        },

        set(field) {
            delete field.dataset.waits;
            if (field.reportValidity()) field.form?.requestSubmit();
        },

        left({ target }) {
            if (target.matches?.('select[data-waits]')) this.set(target);
        },

        pressed({ target }) {
            if (target.dataset) delete target.dataset.byKey;
        },

        click(event) {
            const menu = openMenu();
            if (menu && !menu.contains(event.target)) menu.open = false;
            if (event.target.closest('[data-theme-switch]')) window.Alpine.store('theme').turn();
            if (event.target.closest('[data-key-find]')) {
                event.preventDefault();
                say('find');
            }
            if (event.target.closest('[data-key-list]')) say('key-list');
            this.plug(event);
            this.follow(event);
        },

        // A link to another state of this view needs no new page.
        follow(event) {
            const link = event.target.closest('a[href]');
            if (!link || event.defaultPrevented || event.button !== 0 || hasModifier(event) || event.shiftKey || !isWithin(link)) return;
            event.preventDefault();
            visit(addressOf(link).href, true, link.dataset.leaves !== undefined);
        },

        // Who points at a stop or a tab for a moment will likely go there.
        point({ target }) {
            clearTimeout(this.pointing);
            const link = target.closest?.('.rail a, .tabs a');
            if (link && isWithin(link)) this.pointing = setTimeout(() => warm(addressOf(link).href), REST_MS);
        },

        back() {
            comeBack();
        },

        input({ target }) {
            mark();
            if (target.matches?.('[data-live]')) this.live(target);
        },

        // What a field asks for is shown as soon as the hand rests.
        live(field) {
            clearTimeout(this.living);
            this.living = setTimeout(() => {
                const search = field.isConnected && searchOf(field.form);
                if (search) look(search);
            }, LIVE_MS);
        },

        // Leaving with something unsaved is asked about.
        leave(event) {
            if (anyUnsaved()) event.preventDefault();
        },

        // On the map a click on a socket that lights up plugs.
        plug(event) {
            const socket = event.target.closest('[data-plug]');
            const from = document.querySelector('.port-here');
            if (!socket || !from || event.defaultPrevented) return;
            event.preventDefault();
            plug(from.dataset.port, socket.dataset.plug);
        },

        key(event) {
            if (document.querySelector('dialog[open]')) return;
            if (event.target.matches?.('select[data-auto]')) {
                if (event.key === 'Enter' && event.target.matches('[data-waits]')) {
                    event.preventDefault();
                    return this.set(event.target);
                }
                event.target.dataset.byKey = '';
            }
            if (event.target.matches?.('input, textarea, select')) {
                // Escape leaves a field; the next one lets go of what is chosen.
                if (event.key === 'Escape') event.target.blur();
                return;
            }
            const isUndo = (event.ctrlKey || event.metaKey) && !event.altKey && event.key.toLowerCase() === 'z';
            if (hasModifier(event) && !isUndo) return;
            if (!isUndo && event.key !== 'Escape' && !window.Alpine.store('keys').isOn) return;
            const button = /^[a-z]$/.test(event.key) ? document.querySelector(`[data-key-wish="${event.key}"]`) : null;
            const number = /^[1-9]$/.test(event.key) ? stop(event.key) : null;
            const action = isUndo ? KEYS[event.shiftKey ? 'r' : 'u'] : number ?? (button ? () => button.click() : KEYS[event.key]);
            if (!action) return;
            event.preventDefault();
            action();
        },
    };
}
