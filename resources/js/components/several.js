// Several units at once: how many are chosen, and a place's box that chooses all of its units.
export function several() {
    return {
        count: 0,

        get says() {
            return this.count === 1 ? '1 unit chosen' : `${this.count} units chosen`;
        },

        get isNone() {
            return this.count === 0;
        },

        init() {
            this.tally();
        },

        boxes(within = this.$root) {
            return [...within.querySelectorAll('input[name="units[]"]')];
        },

        tally() {
            this.count = this.boxes().filter((box) => box.checked).length;
            for (const all of this.$root.querySelectorAll('[data-all]')) {
                const own = this.boxes(all.closest('article'));
                const chosen = own.filter((box) => box.checked).length;
                all.checked = own.length > 0 && chosen === own.length;
                all.indeterminate = chosen > 0 && chosen < own.length;
            }
        },

        chosen(event) {
            if (event.target.matches('[data-all]')) for (const box of this.boxes(event.target.closest('article'))) box.checked = event.target.checked;
            this.tally();
        },

        clear() {
            for (const box of this.boxes()) box.checked = false;
            this.tally();
        },
    };
}
