// What was done is said until it is put away or something else is said; after a while in one line, whole again under the pointer or focus.
const WHOLE_MS = 9000;

export function message() {
    return {
        timer: null,

        init() {
            if (this.$root.matches('.trouble')) return;
            this.timer = setTimeout(() => this.$root.classList.add('folded'), WHOLE_MS);
        },

        destroy() {
            clearTimeout(this.timer);
        },

        put() {
            this.$root.remove();
        },
    };
}
