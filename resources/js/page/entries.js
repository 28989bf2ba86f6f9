// What somebody enters at steps without a network: kept on the device at once, sent as soon as there is one. Of each step the later entry
// holds, wherever it was made.
import { kept } from './forget.js';
import { token } from './send.js';

const EVERY_MS = 15000;
const EXPIRED = 419;
const SIGNED_OUT = 401;

// What can't be kept works as long as the page is open.
const keep = (key, entries) => {
    try {
        window.localStorage.setItem(key, JSON.stringify(entries));
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

const post = (to, body) => fetch(to, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-CSRF-TOKEN': token() },
    body: JSON.stringify(body),
}).catch(() => null);

const withoutFlag = ({ unsent, ...entry }) => entry;

export class Entries {
    /**
     * @param {string} key where they are kept
     * @param {string} to where they are sent
     * @param {string} field what they are called there and back
     * @param {(says: string) => void} changed called when they, or what is said of their sending, have changed
     */
    constructor(key, to, field, changed) {
        Object.assign(this, { key, to, field, changed, timers: [], isSending: false });
        this.of = kept(key);
    }

    begin(server) {
        this.join(server);
        this.online = () => this.send();
        window.addEventListener('online', this.online);
        this.timers.push(setInterval(() => this.send(), EVERY_MS));
        this.send();
        navigator.serviceWorker?.register('/card-worker.js').catch(() => null);
    }

    end() {
        window.removeEventListener('online', this.online);
        for (const timer of this.timers) clearInterval(timer);
    }

    unsent() {
        return Object.entries(this.of).filter(([, entry]) => entry.unsent);
    }

    join(server) {
        for (const [step, entry] of Object.entries(server)) {
            if (!(this.of[step]?.at > entry.at)) this.of[step] = entry;
        }
        keep(this.key, this.of);
    }

    // Of several at once, those that follow are kept and sent with the last.
    set(step, entry) {
        this.of[step] = { ...entry, at: Math.max(Date.now(), (this.of[step]?.at ?? 0) + 1), unsent: true };
        keep(this.key, this.of);
    }

    async send() {
        if (this.isSending) return;
        this.isSending = true;
        const sent = this.unsent();
        const body = { [this.field]: sent.map(([step, entry]) => ({ step, ...withoutFlag(entry) })) };
        let answer = await post(this.to, body);
        if (answer?.status === EXPIRED && await renewToken()) answer = await post(this.to, body);
        const said = answer?.ok ? await answer.json().catch(() => null) : null;
        if (said) {
            for (const [step, { at }] of sent) {
                if (this.of[step].at === at) this.of[step] = withoutFlag(this.of[step]);
            }
            this.join(said[this.field]);
        }
        this.isSending = false;
        const left = this.unsent().length;
        this.changed(this.state(said, answer, left));
        // What was entered meanwhile goes at once.
        if (said && left > 0) await this.send();
    }

    state(said, answer, left) {
        if (said) return left === 0 ? 'all sent' : '';
        const rest = left === 0 ? '' : `; ${left} kept here`;
        if (answer && [SIGNED_OUT, EXPIRED].includes(answer.status)) return `signed out: sign in to send${rest}`;
        return answer ? `not taken by the server${rest}` : `no network${rest}`;
    }
}
