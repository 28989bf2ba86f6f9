// Says that the page is open, hears who else is here, and shows their changes without being asked.
import { refresh } from './send.js';
import { onWake } from './wake.js';

const EVERY_MS = 4000;
// Whoever only passes through a page does not ask.
const FIRST_MS = 1200;

const say = (text) => {
    document.querySelector('.message')?.remove();
    const message = document.createElement('p');
    message.className = 'message';
    message.setAttribute('role', 'status');
    message.textContent = text;
    document.body.append(message);
    setTimeout(() => message.remove(), 8000);
};

const beat = async () => {
    const { pulse, revision, view } = document.body.dataset;
    if (document.hidden || document.querySelector('form[aria-busy="true"]')) return;
    const answer = await fetch(pulse, {
        method: 'POST',
        headers: { Accept: 'application/json', 'Content-Type': 'application/json', 'X-CSRF-TOKEN': document.querySelector('meta[name=csrf-token]').content },
        body: JSON.stringify({ revision: Number(revision), view }),
    }).catch(() => null);
    if (!answer?.ok) return;
    const { revision: now, here, since } = await answer.json();
    const place = document.querySelector('[data-here]');
    const text = here.map(({ name, view: where }) => `${name} is here (${where})`).join(', ');
    if (place && place.textContent !== text) place.textContent = text;
    // Between the question and the answer this page may have changed by itself.
    if (now !== Number(document.body.dataset.revision) && document.body.dataset.revision === revision) {
        await refresh().catch(() => null);
        if (since.length > 0) say(since.map(({ who, what }) => `${who}: ${what}`).join('; '));
    }
};

let timer = null;
let first = null;
onWake(() => {
    clearInterval(timer);
    clearTimeout(first);
    if (document.body.dataset.pulse) {
        timer = setInterval(beat, EVERY_MS);
        first = setTimeout(beat, FIRST_MS);
    }
});
