// A test of the real rig, walked with a phone: what is found at each step is kept here at once, and sent as soon as there is a network.
import { Entries } from '../page/entries.js';
import { ticksOf } from '../page/forget.js';
import { token } from '../page/send.js';

const FINE = 'as-planned';
const ASKS_MS = 2000;

export function bench() {
    return {
        says: '',
        done: 0,
        count: '',
        found: null,

        init() {
            const { account, run, to, answers } = this.$root.dataset;
            this.found = new Entries(ticksOf(account, `test ${run}`), to, 'answers', (says) => {
                this.says = says;
                this.show();
            });
            this.found.begin(JSON.parse(answers));
            this.show();
            if ('far' in this.$root.dataset) this.asking = setInterval(() => this.ask(to), ASKS_MS);
        },

        destroy() {
            clearInterval(this.asking);
            this.found.end();
        },

        steps() {
            return [...this.$root.querySelectorAll('[data-step]')];
        },

        show() {
            const steps = this.steps();
            for (const one of steps) {
                const { heard, note } = this.found.of[one.dataset.step] ?? {};
                for (const button of one.querySelectorAll('[data-heard]')) {
                    button.setAttribute('aria-pressed', String(button.dataset.heard === heard));
                }
                const field = one.querySelector('.bench-note');
                if (field !== document.activeElement) field.value = note ?? '';
                one.classList.toggle('done', heard === FINE);
                one.classList.toggle('has-trouble', heard !== undefined && heard !== FINE);
            }
            this.done = steps.filter((one) => this.found.of[one.dataset.step]).length;
            const troubles = this.$root.querySelectorAll('li.has-trouble').length;
            this.count = `${this.done} of ${steps.length} done${troubles === 0 ? '' : `, ${troubles} with trouble`}`;
        },

        // Far away: which step comes here now.
        async ask(to) {
            if (document.hidden) return;
            const answer = await fetch(to, { headers: { Accept: 'application/json' } }).catch(() => null);
            if (!answer?.ok) return;
            const { played } = await answer.json();
            const own = Number(this.$root.querySelector('[data-late]').value) * 1000;
            const now = played.findLast(({ ago, late }) => ago >= Math.max(late, own));
            for (const one of this.steps()) {
                const isNow = one.dataset.step === now?.step;
                if (isNow && !one.classList.contains('now')) one.scrollIntoView({ block: 'center' });
                one.classList.toggle('now', isNow);
                if (isNow) one.setAttribute('aria-current', 'step');
                else one.removeAttribute('aria-current');
            }
        },

        // At the rig: this step plays now.
        async playing(event) {
            const body = new FormData();
            body.append('step', event.target.closest('[data-step]').dataset.step);
            const answer = await fetch(event.target.dataset.to, {
                method: 'POST', body, headers: { Accept: 'application/json', 'X-CSRF-TOKEN': token() },
            }).catch(() => null);
            this.says = answer?.ok ? (await answer.json()).says : 'They can’t be told now: there is no network.';
        },

        say(step, more) {
            const { heard, note } = this.found.of[step] ?? {};
            this.found.set(step, { heard, note: note ?? '', ...more });
            this.show();
            this.found.send();
        },

        answer(event) {
            const { step } = event.target.closest('[data-step]').dataset;
            const note = event.target.closest('[data-step]').querySelector('.bench-note').value;
            this.say(step, { heard: event.target.dataset.heard, note });
        },

        // A note without an answer waits for it.
        note(event) {
            const { step } = event.target.closest('[data-step]').dataset;
            if (this.found.of[step]) this.say(step, { note: event.target.value });
        },
    };
}
