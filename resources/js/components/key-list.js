// The list of keys.
export function keyList() {
    return {
        get isOn() {
            return this.$store.keys.isOn;
        },

        // Whoever speaks to the machine, or types past the fields, can do without single keys.
        turn(event) {
            this.$store.keys.isOn = event.target.checked;
        },

        open() {
            this.$root.showModal();
        },
    };
}
