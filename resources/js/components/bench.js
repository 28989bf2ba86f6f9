// A test of the real rig, walked with a phone: what is found at each step is kept here at once, and sent as soon as there is a network.
import { Entries } from '../page/entries.js';
import { ticksOf } from '../page/forget.js';

const FINE = 'as-planned';

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
        },

        destroy() {
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
