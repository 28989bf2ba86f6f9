// One key for each thing that the frame can do. Links stay links: a key follows one that is on the page.
import { switchTheme } from './theme.js';

const follow = (selector) => document.querySelector(selector)?.click();
const neighbour = (list, step) => {
    const links = [...document.querySelectorAll(`${list} a`)];
    const at = links.findIndex((link) => link.hasAttribute('aria-current'));
    links[(at + step + links.length) % links.length]?.click();
};

const KEYS = {
    1: () => follow('.rail a[accesskey="1"]'),
    2: () => follow('.rail a[accesskey="2"]'),
    3: () => follow('.rail a[accesskey="3"]'),
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

for (const button of document.querySelectorAll('[data-key-wish]')) KEYS[button.dataset.keyWish] = () => button.click();

// What was done is said, and goes by itself; what went wrong stays.
setTimeout(() => document.querySelector('.message:not(.trouble)')?.remove(), 6000);

document.addEventListener('keydown', (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.target.matches?.('input, textarea, select') || document.querySelector('dialog[open]')) return;
    const action = KEYS[event.key];
    if (action) {
        event.preventDefault();
        action();
    }
});

document.addEventListener('click', (event) => {
    const menu = document.querySelector('[data-menu][open]');
    if (menu && !menu.contains(event.target)) menu.open = false;
});
