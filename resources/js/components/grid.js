// Arrow keys in a table of links.
const STEPS = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] };

export function grid() {
    return {
        // A cell that was chosen by key has the keyboard again after the page has come back.
        init() {
            this.$root.querySelector('td.chosen a')?.focus({ preventScroll: false });
        },

        move(event) {
            const step = STEPS[event.key];
            const cell = event.target.closest('td, tbody th');
            if (!step || !cell) return;
            const row = this.$root.tBodies[0].rows[cell.parentElement.sectionRowIndex + step[0]];
            const link = row?.cells[cell.cellIndex + step[1]]?.querySelector('a, button');
            if (!link) return;
            event.preventDefault();
            link.focus();
        },
    };
}
