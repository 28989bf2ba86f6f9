// What was done is said until it is put away or something else is said.
export function message() {
    return {
        put() {
            this.$root.remove();
        },
    };
}
