// How far a view is scrolled, and what is unfolded in it, by the place of each element.
const root = () => document.querySelector('main#view');

const pathOf = (element, top) => {
    const path = [];
    for (let one = element; one !== top; one = one.parentElement) path.unshift([...one.parentElement.children].indexOf(one));
    return path;
};
const at = (path, top) => path.reduce((one, index) => one?.children[index], top);

/** @returns {{scrolled: [number[], number, number][], open: number[][]}} */
export const snapshot = () => {
    const top = root();
    const all = top === null ? [] : [top, ...top.querySelectorAll('*')];
    return {
        scrolled: all.filter((one) => one.scrollTop > 0 || one.scrollLeft > 0).map((one) => [pathOf(one, top), one.scrollTop, one.scrollLeft]),
        open: all.filter((one) => one.matches('details[open]')).map((one) => pathOf(one, top)),
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
