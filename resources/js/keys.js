// One key for each thing that the frame can do. Links stay links: a key follows one that is on the page.
import { openFinder } from './find.js';
import { switchTheme } from './theme.js';

const follow = (selector) => document.querySelector(selector)?.click();
const neighbour = (list, step) => {
    const links = [...document.querySelectorAll(`${list} a`)];
    const at = links.findIndex((link) => link.hasAttribute('aria-current'));
    links[(at + step + links.length) % links.length]?.click();
};

const KEYS = {
    '/': openFinder,
    a: () => document.querySelector('main form:not(.visually-hidden) :is(input:not([type=hidden]), select, textarea)')?.focus(),
    s: () => follow('.rail-end a[href*="/situations"]'),
    c: () => follow('.rail-end a[href*="/cables"]'),
    p: () => follow('.rail-end a[href*="/people"]'),
    h: () => follow('.rail-end a[href*="/history"]'),
    '[': () => neighbour('.situations', -1),
    ']': () => neighbour('.situations', 1),
    d: () => neighbour('.depths', 1),
    o: () => follow('[data-key-focus]'),
    u: () => follow('[data-key-undo]'),
    r: () => follow('[data-key-redo]'),
    t: switchTheme,
    '?': () => document.querySelector('[data-keys]')?.showModal(),
    Escape: () => {
        const menu = document.querySelector('[data-menu][open]');
        if (menu) {
            menu.open = false;
            menu.querySelector('summary').focus();
        } else {
            follow('[data-key-close]');
        }
    },
};

document.addEventListener('keydown', (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || document.querySelector('dialog[open]')) return;
    if (event.target.matches?.('input, textarea, select')) {
        // Escape leaves a field; the next one lets go of what is chosen.
        if (event.key === 'Escape') event.target.blur();
        return;
    }
    const button = /^[a-z1-9]$/.test(event.key) ? document.querySelector(`[data-key-wish="${event.key}"], [data-key-step="${event.key}"]`) : null;
    const action = button ? () => button.click() : KEYS[event.key];
    if (action) {
        event.preventDefault();
        action();
    }
});

document.addEventListener('click', (event) => {
    const menu = document.querySelector('[data-menu][open]');
    if (menu && !menu.contains(event.target)) menu.open = false;
    if (event.target.closest?.('[data-key-find]')) {
        event.preventDefault();
        openFinder();
    }
});
