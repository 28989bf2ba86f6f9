// Looks for the causes of what is not as wished, or for suspects, once the page is shown, and draws it again when they are found: the
// server keeps them.
import { refresh } from '../page/redraw.js';

export function causes() {
    return {
        gone: new AbortController(),

        async init() {
            const { signal } = this.gone;
            const answer = await fetch(this.$root.dataset.causes, { headers: { Accept: 'application/json' }, signal }).catch(() => null);
            if (signal.aborted) return;
            if (answer?.ok) await refresh().catch(() => null);
            else this.$root.textContent = 'The causes could not be looked for: the server did not answer. Reload the page.';
        },

        destroy() {
            this.gone.abort();
        },
    };
}
