// Says that the page is open, hears who else is here, and shows their changes without being asked.
import { refresh } from '../page/redraw.js';
import { say } from '../page/said.js';
import { token } from '../page/send.js';

const EVERY_MS = 4000;
// Whoever only passes through a page does not ask.
const FIRST_MS = 1200;

export function pulse() {
    return {
        here: '',
        since: '',
        timers: [],

        init() {
            this.timers = [setTimeout(() => this.beat(), FIRST_MS), setInterval(() => this.beat(), EVERY_MS)];
        },

        destroy() {
            this.timers.forEach(clearTimeout);
        },

        async beat() {
            const { pulse: to, revision, view } = document.body.dataset;
            if (document.hidden || document.querySelector('form[aria-busy="true"]')) return;
            const answer = await fetch(to, {
                method: 'POST',
                headers: { Accept: 'application/json', 'Content-Type': 'application/json', 'X-CSRF-TOKEN': token() },
                body: JSON.stringify({ revision: Number(revision), view }),
            }).catch(() => null);
            if (!answer?.ok) return;
            const { revision: now, here, since } = await answer.json();
            const text = here.map(({ name, view: where }) => `${name} is here (${where})`).join(', ');
            if (this.here !== text) this.here = text;
            // Between the question and the answer this page may have changed by itself.
            if (now === Number(document.body.dataset.revision) || document.body.dataset.revision !== revision) return;
            await refresh().catch(() => null);
            if (since.length > 0) say(since.map(({ who, what }) => `${who}: ${what}`).join('; '));
        },
    };
}
