// The finder: a few letters, arrows, Enter.
const WAIT_MS = 90;
let timer = null;
let asked = 0;

export const openFinder = () => {
    const dialog = document.querySelector('[data-finder]');
    if (!dialog) return;
    dialog.showModal();
    const field = dialog.querySelector('input');
    field.select();
    search(field.value);
};

const search = async (text) => {
    const number = ++asked;
    const address = new URL(document.body.dataset.find, window.location.href);
    address.searchParams.set('q', text);
    const answer = await fetch(address, { headers: { Accept: 'application/json' } }).catch(() => null);
    const list = document.querySelector('[data-found]');
    if (number !== asked || !list) return;
    const found = answer?.ok ? await answer.json() : [];
    list.replaceChildren(...found.map(({ what, kind, url }) => {
        const item = document.createElement('li');
        const link = document.createElement('a');
        link.href = url;
        const strong = document.createElement('strong');
        strong.textContent = what;
        const small = document.createElement('small');
        small.textContent = kind;
        link.append(strong, ' ', small);
        item.append(link);
        return item;
    }));
    if (found.length === 0) list.textContent = 'Nothing here is called that.';
};

document.addEventListener('input', (event) => {
    if (!event.target.matches('[data-finder] input')) return;
    clearTimeout(timer);
    timer = setTimeout(() => search(event.target.value), WAIT_MS);
});
document.addEventListener('submit', (event) => {
    if (!event.target.closest('[data-finder]')) return;
    event.preventDefault();
    document.querySelector('[data-found] a')?.click();
});
document.addEventListener('keydown', (event) => {
    const dialog = event.target.closest?.('[data-finder]');
    if (!dialog || !['ArrowDown', 'ArrowUp'].includes(event.key)) return;
    const stops = [dialog.querySelector('input'), ...dialog.querySelectorAll('[data-found] a')];
    const at = stops.indexOf(document.activeElement);
    stops[(at + (event.key === 'ArrowDown' ? 1 : stops.length - 1)) % stops.length]?.focus();
    event.preventDefault();
});
// A link into the view that is shown already changes nothing but the address: the finder closes all the same.
document.addEventListener('click', (event) => {
    if (event.target.closest?.('[data-found] a')) document.querySelector('[data-finder]')?.close();
});
