// Looks for the causes of what is not as wished, or for suspects, once the page is shown, and draws it again when they are found: the
// server keeps them.
import { refresh } from '../page/redraw.js';

const EVERY_MS = 1000;

export function causes() {
    return {
        gone: new AbortController(),
        timer: null,

        async init() {
            const { signal } = this.gone;
            if (this.$root.dataset.progress) this.timer = setInterval(() => this.tell(), EVERY_MS);
            const answer = await fetch(this.$root.dataset.causes, { headers: { Accept: 'application/json' }, signal }).catch(() => null);
            clearInterval(this.timer);
            if (signal.aborted) return;
            if (answer?.ok) await refresh().catch(() => null);
            else this.$root.textContent = 'The causes could not be looked for: the server did not answer. Reload the page.';
        },

        // How far it is, in numbers.
        async tell() {
            const answer = await fetch(this.$root.dataset.progress, { headers: { Accept: 'application/json' }, signal: this.gone.signal })
                .catch(() => null);
            const { says } = answer?.ok ? await answer.json() : {};
            if (says) this.$root.textContent = says;
        },

        destroy() {
            clearInterval(this.timer);
            this.gone.abort();
        },
    };
}
