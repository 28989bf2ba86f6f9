// A card under a desk: what is ticked is kept on the phone at once, and sent as soon as there is a network.
import { Entries } from '../page/entries.js';
import { ticksOf } from '../page/forget.js';

export function card() {
    return {
        says: '',
        done: 0,
        count: '',
        ticks: null,
        timers: [],

        init() {
            const { account, card: name, to, ticks } = this.$root.dataset;
            this.ticks = new Entries(ticksOf(account, name), to, 'ticks', (says) => {
                this.says = says;
                this.show();
            });
            this.ticks.begin(JSON.parse(ticks));
            this.show();
        },

        destroy() {
            this.ticks.end();
            for (const timer of this.timers) clearInterval(timer);
        },

        steps() {
            return [...this.$root.querySelectorAll('[data-step]')];
        },

        show() {
            const steps = this.steps();
            for (const one of steps) {
                const isOn = this.ticks.of[one.dataset.step]?.on === true;
                one.querySelector('input').checked = isOn;
                one.classList.toggle('done', isOn);
            }
            this.done = steps.filter((one) => one.classList.contains('done')).length;
            this.count = `${this.done} of ${steps.length} done`;
        },

        tick(event) {
            const item = event.target.closest('[data-step]');
            this.ticks.set(item.dataset.step, { on: event.target.checked });
            this.show();
            if (event.target.checked && item.dataset.wait) this.wait(item);
            this.ticks.send();
        },

        // Counts down what has to be waited for, beside the step.
        wait(item) {
            const says = item.querySelector('.wait');
            const until = Date.now() + 1000 * Number(item.dataset.wait);
            const timer = setInterval(() => {
                const left = Math.ceil((until - Date.now()) / 1000);
                says.textContent = left > 0 ? `wait, ${left} s left` : 'waited';
                if (left <= 0) clearInterval(timer);
            }, 250);
            this.timers.push(timer);
        },

        again() {
            for (const one of this.steps()) {
                if (this.ticks.of[one.dataset.step]?.on) this.ticks.set(one.dataset.step, { on: false });
            }
            this.show();
            this.ticks.send();
        },
    };
}
