// Arrow keys in a table of links.
import { onWake } from './wake.js';

const STEPS = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] };

const start = (grid, signal) => {
    grid.addEventListener('keydown', (event) => {
        const step = STEPS[event.key];
        const cell = event.target.closest?.('td, tbody th');
        if (!step || !cell) return;
        const row = grid.tBodies[0].rows[cell.parentElement.sectionRowIndex + step[0]];
        const link = row?.cells[cell.cellIndex + step[1]]?.querySelector('a, button');
        if (link) {
            event.preventDefault();
            link.focus();
        }
    }, { signal });
    // A cell that was chosen by key has the keyboard again after the page has come back.
    grid.querySelector('td.chosen a')?.focus({ preventScroll: false });
};

onWake((signal) => {
    for (const grid of document.querySelectorAll('[data-grid]')) start(grid, signal);
});
