// How far a view is scrolled, and what is unfolded in it, by the place of each element.
const root = () => document.querySelector('main#view');

const pathOf = (element, top) => {
    const path = [];
    for (let one = element; one !== top; one = one.parentElement) path.unshift([...one.parentElement.children].indexOf(one));
    return path;
};
const at = (path, top) => path.reduce((one, index) => one?.children[index], top);

// What was scrolled, as it happens: to ask each element for it would lay out what nobody sees.
const moved = new Set();
document.addEventListener('scroll', ({ target }) => moved.add(target), { capture: true, passive: true });

/** @returns {{scrolled: [number[], number, number][], open: number[][]}} */
export const snapshot = () => {
    const top = root();
    if (top === null) return { scrolled: [], open: [] };
    const here = [...moved].filter((one) => one === top || top.contains(one));
    moved.clear();
    for (const one of here) moved.add(one);
    return {
        scrolled: here.map((one) => [pathOf(one, top), one.scrollTop, one.scrollLeft]).filter(([, y, x]) => y > 0 || x > 0),
        open: [...top.querySelectorAll('details[open]')].map((one) => pathOf(one, top)),
    };
};

export const putBack = ({ scrolled, open }) => {
    const top = root();
    for (const path of open) {
        const element = at(path, top);
        if (element?.matches('details')) element.open = true;
    }
    for (const [path, y, x] of scrolled) at(path, top)?.scrollTo(x, y);
};
