// A field in which an equipment model is chosen: a list under it while one types, gone through by arrows, and each model drawn beside.
const WAIT_MS = 110;

export function modelField() {
    return {
        found: [],
        says: '',
        isOpen: false,
        at: -1,
        asked: 0,
        timer: null,

        init() {
            this.$root.closest('form')?.addEventListener('reset', () => this.clear());
        },

        typed() {
            this.$refs.id.value = '';
            clearTimeout(this.timer);
            this.timer = setTimeout(() => this.search(), WAIT_MS);
        },

        clear() {
            this.$refs.id.value = '';
            this.$refs.drawing.replaceChildren();
            this.close();
        },

        close() {
            this.isOpen = false;
            this.at = -1;
            this.tell();
        },

        async search() {
            const number = ++this.asked;
            const address = new URL(this.$root.dataset.search, window.location.href);
            address.searchParams.set('q', this.$refs.text.value);
            const answer = await fetch(address, { headers: { Accept: 'application/json' } }).catch(() => null);
            if (number !== this.asked || document.activeElement !== this.$refs.text) return;
            this.found = answer?.ok ? await answer.json() : [];
            this.says = this.found.length > 0 ? '' : answer?.ok ? 'No model answers to that.' : 'The server does not answer.';
            this.isOpen = true;
            this.at = this.found.length > 0 ? 0 : -1;
            this.tell();
        },

        key(event) {
            const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
            if (by) {
                event.preventDefault();
                if (!this.isOpen) this.search();
                else if (this.found.length > 0) this.go((this.at + by + this.found.length) % this.found.length);
            } else if (event.key === 'Enter' && this.isOpen && this.at >= 0) {
                event.preventDefault();
                this.take(this.at);
            } else if (event.key === 'Escape' && this.isOpen) {
                event.stopPropagation();
                this.close();
            }
        },

        go(at) {
            this.at = at;
            this.tell();
        },

        pick(event) {
            const option = event.target.closest('[role=option]');
            if (!option) return;
            event.preventDefault();
            this.take([...option.parentElement.querySelectorAll('[role=option]')].indexOf(option));
        },

        take(at) {
            const { id, name } = this.found[at];
            this.$refs.text.value = name;
            this.$refs.id.value = id;
            this.draw(id);
            this.close();
            this.$refs.text.focus();
        },

        // Which one the arrows stand on, for eyes and for those who listen.
        tell() {
            const { text, list } = this.$refs;
            text.setAttribute('aria-expanded', String(this.isOpen));
            this.$nextTick(() => {
                const options = [...list.querySelectorAll('[role=option]')];
                options.forEach((one, i) => one.setAttribute('aria-selected', String(i === this.at)));
                const now = options[this.at];
                if (this.isOpen && now) {
                    text.setAttribute('aria-activedescendant', now.id);
                    now.scrollIntoView({ block: 'nearest' });
                    this.draw(this.found[this.at].id);
                } else text.removeAttribute('aria-activedescendant');
            });
        },

        async draw(id) {
            const place = this.$refs.drawing;
            if (place.dataset.shown === id) return;
            place.dataset.shown = id;
            const answer = await fetch(this.$root.dataset.drawing.replace('MODEL', encodeURIComponent(id))).catch(() => null);
            const html = answer?.ok ? await answer.text() : '';
            if (place.dataset.shown === id) place.innerHTML = html;
        },
    };
}
