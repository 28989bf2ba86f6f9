// Waits for a book that is made in the background, and says how far it is.
import { refresh } from '../page/redraw.js';

const EVERY_MS = 1000;

export function madeBook() {
    return {
        says: '',
        timer: null,

        init() {
            this.says = this.$refs.says.textContent;
            this.timer = setInterval(() => this.ask(), EVERY_MS);
        },

        destroy() {
            clearInterval(this.timer);
        },

        async ask() {
            const answer = await fetch(this.$root.dataset.book, { headers: { Accept: 'application/json' } }).catch(() => null);
            if (!answer?.ok) return;
            const { says, isOpen } = await answer.json();
            this.says = says;
            if (isOpen) return;
            clearInterval(this.timer);
            await refresh().catch(() => null);
        },
    };
}
