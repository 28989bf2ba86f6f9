// The line that says what comes next: put away it stays away until the step is another.
export function nextStep() {
    return {
        step: '',

        init() {
            this.look();
        },

        look() {
            this.step = this.$root.dataset.step;
        },

        get isAway() {
            return this.$store.next.away === this.step;
        },

        put() {
            this.$store.next.away = this.step;
            document.querySelector('main#view')?.focus({ preventScroll: true });
        },
    };
}
