// Ticks are kept by the browser, for this book and this state of it.
const key = 'ticks ' + document.title;
let kept = {};
try { kept = JSON.parse(localStorage.getItem(key)) ?? {}; } catch { }
for (const box of document.querySelectorAll('.steps input')) {
    box.checked = kept[box.id] === true;
    box.addEventListener('change', () => {
        kept[box.id] = box.checked;
        try { localStorage.setItem(key, JSON.stringify(kept)); } catch { }
    });
}
