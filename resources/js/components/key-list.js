// The list of keys.
export function keyList() {
    return {
        open() {
            this.$root.showModal();
        },
    };
}
