// The finder: a few letters, arrows, Enter.
const WAIT_MS = 90;

// What presses a button of the page, instead of leading somewhere.
const press = (selector) => () => document.querySelector(selector)?.click();
const ACTIONS = {
    '#undo': press('[data-key-undo]'),
    '#redo': press('[data-key-redo]'),
    '#keys': press('[data-key-list]'),
    '#theme': press('[data-theme-switch]'),
};

export function finder() {
    return {
        found: [],
        says: '',
        asked: 0,
        timer: null,

        open() {
            this.$root.showModal();
            this.$refs.text.select();
            this.search();
        },

        typed() {
            clearTimeout(this.timer);
            this.timer = setTimeout(() => this.search(), WAIT_MS);
        },

        async search() {
            const number = ++this.asked;
            const address = new URL(document.body.dataset.find, window.location.href);
            address.searchParams.set('q', this.$refs.text.value);
            const answer = await fetch(address, { headers: { Accept: 'application/json' } }).catch(() => null);
            if (number !== this.asked) return;
            this.found = answer?.ok ? await answer.json() : [];
            this.says = this.found.some(({ kind }) => kind !== 'find') ? '' : answer === null ? 'The server does not answer.'
                : answer.ok ? 'Nothing here is called that.' : 'The server could not look: something went wrong there.';
        },

        first(event) {
            event.preventDefault();
            this.$refs.list.querySelector('a')?.click();
        },

        down(event) {
            event.preventDefault();
            this.$focus.within(this.$root).wrap().next();
        },

        up(event) {
            event.preventDefault();
            this.$focus.within(this.$root).wrap().previous();
        },

        // A link into the view that is shown already changes nothing but the address: the finder closes all the same.
        gone(event) {
            const link = event.target.closest('a');
            if (!link) return;
            this.$root.close();
            const action = ACTIONS[link.getAttribute('href')];
            if (!action) return;
            event.preventDefault();
            action();
        },
    };
}
