// An own model is drawn by the server while it is being written; rows grow as they are filled.
import { addRow } from './paste.js';

const WAIT_MS = 250;

for (const form of document.querySelectorAll('[data-sketch]')) {
    const drawing = document.querySelector('[data-sketched]');
    const labels = document.querySelector('#point-labels');
    let timer = null;
    let asked = 0;
    const draw = async () => {
        const number = ++asked;
        const data = new FormData(form);
        data.delete('_method');
        const answer = await fetch(form.dataset.sketch, { method: 'POST', body: data, headers: { Accept: 'text/html' } }).catch(() => null);
        if (!answer || number !== asked) return;
        // What is still wrong stands beside the last drawing, which stays.
        const html = new DOMParser().parseFromString(await answer.text(), 'text/html').body;
        drawing.querySelector('.trouble')?.remove();
        if (answer.ok) drawing.replaceChildren(...html.childNodes);
        else if (answer.status === 422) drawing.prepend(...html.childNodes);
    };
    form.addEventListener('input', (event) => {
        const row = event.target.closest('tr');
        if (row && row === row.parentElement.lastElementChild && event.target.value) addRow(row.parentElement);
        labels.replaceChildren(...[...form.querySelectorAll('[data-rows=points] input[name$="[label]"]')].filter(({ value }) => value).map(({ value }) => new Option(value, value)));
        clearTimeout(timer);
        timer = setTimeout(draw, WAIT_MS);
    });
}
