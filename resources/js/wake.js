// What a view does when it is shown: each module says it once, and it is done at load and again whenever the page was redrawn in place. Listeners that are bound to `signal` end with the page that they belong to.
const modules = [];
let page = new AbortController();

export const onWake = (start) => modules.push(start);

export const wake = () => {
    page.abort();
    page = new AbortController();
    for (const start of modules) start(page.signal);
};
