// A card under a desk: what is ticked is kept on the phone at once, and sent as soon as there is a network.
import { kept, ticksOf } from '../page/forget.js';
import { token } from '../page/send.js';

const EVERY_MS = 15000;
const EXPIRED = 419;
const SIGNED_OUT = 401;

// What can't be kept works as long as the card is open.
const keep = (key, ticks) => {
    try {
        window.localStorage.setItem(key, JSON.stringify(ticks));
    } catch {
        // What can't be kept is still shown.
    }
};

// A page that has been open for a night has an old token: the same page has a new one.
const renewToken = async () => {
    const answer = await fetch(window.location.href, { headers: { Accept: 'text/html' } }).catch(() => null);
    if (!answer?.ok || answer.redirected) return false;
    const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
    const fresh = page.querySelector('meta[name=csrf-token]')?.content;
    if (fresh) document.querySelector('meta[name=csrf-token]').content = fresh;
    return Boolean(fresh);
};

const post = (to, ticks) => fetch(to, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-CSRF-TOKEN': token() },
    body: JSON.stringify({ ticks }),
}).catch(() => null);

export function card() {
    return {
        says: '',
        done: 0,
        count: '',
        ticks: {},
        timers: [],
        isSending: false,

        init() {
            this.key = ticksOf(this.$root.dataset.account, this.$root.dataset.card);
            const server = JSON.parse(this.$root.dataset.ticks);
            this.ticks = kept(this.key);
            this.join(server);
            this.show();
            this.online = () => this.send();
            window.addEventListener('online', this.online);
            this.timers.push(setInterval(() => this.send(), EVERY_MS));
            this.send();
            navigator.serviceWorker?.register('/card-worker.js').catch(() => null);
        },

        destroy() {
            window.removeEventListener('online', this.online);
            for (const timer of this.timers) clearInterval(timer);
        },

        steps() {
            return [...this.$root.querySelectorAll('[data-step]')];
        },

        unsent() {
            return Object.entries(this.ticks).filter(([, tick]) => tick.unsent);
        },

        // Of each step, the later tick holds, wherever it was made.
        join(server) {
            for (const [step, tick] of Object.entries(server)) {
                if (!(this.ticks[step]?.at > tick.at)) this.ticks[step] = { on: tick.on, at: tick.at };
            }
            keep(this.key, this.ticks);
        },

        show() {
            const steps = this.steps();
            for (const one of steps) {
                const isOn = this.ticks[one.dataset.step]?.on === true;
                one.querySelector('input').checked = isOn;
                one.classList.toggle('done', isOn);
            }
            this.done = steps.filter((one) => one.classList.contains('done')).length;
            this.count = `${this.done} of ${steps.length} done`;
        },

        set(step, isOn) {
            this.ticks[step] = { on: isOn, at: Math.max(Date.now(), (this.ticks[step]?.at ?? 0) + 1), unsent: true };
        },

        tick(event) {
            const item = event.target.closest('[data-step]');
            this.set(item.dataset.step, event.target.checked);
            keep(this.key, this.ticks);
            this.show();
            if (event.target.checked && item.dataset.wait) this.wait(item);
            this.send();
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
                if (this.ticks[one.dataset.step]?.on) this.set(one.dataset.step, false);
            }
            keep(this.key, this.ticks);
            this.show();
            this.send();
        },

        async send() {
            if (this.isSending) return;
            this.isSending = true;
            const sent = this.unsent();
            const ticks = sent.map(([step, { on, at }]) => ({ step, on, at }));
            let answer = await post(this.$root.dataset.to, ticks);
            if (answer?.status === EXPIRED && await renewToken()) answer = await post(this.$root.dataset.to, ticks);
            const said = answer?.ok ? await answer.json().catch(() => null) : null;
            if (said) {
                for (const [step, { at }] of sent) {
                    if (this.ticks[step].at === at) this.ticks[step] = { on: this.ticks[step].on, at };
                }
                this.join(said.ticks);
                this.show();
            }
            this.isSending = false;
            const left = this.unsent().length;
            this.says = this.state(said, answer, left);
            // What was ticked meanwhile goes at once.
            if (said && left > 0) await this.send();
        },

        state(said, answer, left) {
            if (said) return left === 0 ? 'all sent' : '';
            const kept = left === 0 ? '' : `; ${left} kept here`;
            if (answer && [SIGNED_OUT, EXPIRED].includes(answer.status)) return `signed out: sign in to send${kept}`;
            return answer ? `not taken by the server${kept}` : `no network${kept}`;
        },
    };
}
