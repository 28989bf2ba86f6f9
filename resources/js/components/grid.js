// The hearing table: arrows go from cell to cell, a key or a brush sets wishes. What is painted shows at once; it is sent in the order in
// which it was painted, one request after the other.
import { send } from '../page/send.js';

const STEPS = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] };
const WANTS = { m: 'must', y: 'may', n: 'must-not', x: 'none' };
const SAYS = { must: 'must hear', may: 'may hear', 'must-not': 'must not', none: '' };

export function grid() {
    return {
        marked: [],
        anchor: null,
        stroke: null,
        waiting: [],
        isSending: false,
        // The brush that was just taken, until the page has come back with it.
        hand: null,

        get brush() {
            return this.hand ?? this.$root.dataset.brush;
        },

        // A cell that was chosen has the keyboard when the page comes.
        init() {
            if (document.activeElement === document.body) this.$root.querySelector('td.chosen a')?.focus();
        },

        // The cells that an element selects: itself, or a row or column by its head.
        cellsAt(element) {
            const { cell, row, column } = element?.closest('[data-cell], [data-row], [data-column]')?.dataset ?? {};
            if (cell) return [cell];
            const all = [...this.$root.querySelectorAll('[data-cell]')].map((one) => one.dataset.cell);
            if (row) return all.filter((one) => one.startsWith(`${row}:`));
            return column ? all.filter((one) => one.endsWith(`:${column}`)) : [];
        },

        find(cell) {
            return this.$root.querySelector(`[data-cell="${CSS.escape(cell)}"]`);
        },

        mark(cells) {
            this.marked = cells;
            this.remark();
        },

        remark() {
            const shown = new URL(window.location.href).searchParams.get('brush') ?? '';
            if (this.hand === shown) this.hand = null;
            for (const one of this.$root.querySelectorAll('[data-cell]')) one.classList.toggle('marked', this.marked.includes(one.dataset.cell));
        },

        key(event) {
            if (event.ctrlKey || event.metaKey || event.altKey) return;
            if (STEPS[event.key]) this.step(event);
            else if (WANTS[event.key] && this.$store.keys.isOn) this.byKey(event);
            else if (event.key === 'Escape' && this.marked.length > 0) {
                event.stopPropagation();
                this.mark([]);
            }
        },

        step(event) {
            const [down, right] = STEPS[event.key];
            const from = event.target.closest('td, th');
            const to = this.$root.rows[(from?.parentElement.rowIndex ?? -9) + down]?.cells[from.cellIndex + right];
            const stop = to?.querySelector('a, button');
            if (!stop) return;
            event.preventDefault();
            stop.focus();
            if (!event.shiftKey) {
                this.anchor = null;
                this.mark([]);
            } else if (from.dataset.cell && to.dataset.cell) {
                this.anchor ??= from;
                this.mark(this.between(this.anchor, to));
            }
        },

        // Every cell of the rectangle that two are corners of.
        between(one, other) {
            const span = (a, b) => [Math.min(a, b), Math.max(a, b)];
            const [top, bottom] = span(one.parentElement.rowIndex, other.parentElement.rowIndex);
            const [left, right] = span(one.cellIndex, other.cellIndex);
            const rows = [...this.$root.rows].slice(top, bottom + 1);
            return rows.flatMap((row) => [...row.cells].slice(left, right + 1).map((cell) => cell.dataset.cell)).filter(Boolean);
        },

        byKey(event) {
            const cells = this.marked.length > 0 ? this.marked : this.cellsAt(event.target);
            if (!this.canPaint() || cells.length === 0) return;
            event.preventDefault();
            event.stopPropagation();
            this.paint(cells, WANTS[event.key]);
        },

        canPaint() {
            return document.querySelector('form[data-paint]') !== null;
        },

        click(event) {
            const { brush } = this;
            const cells = this.cellsAt(event.target);
            if (cells.length === 0 || event.ctrlKey || event.metaKey || event.shiftKey) return;
            if (brush) {
                event.preventDefault();
                // What was drawn over is painted when the pointer is lifted.
                if (event.detail === 0 || event.pointerType === 'touch' || cells.length > 1) this.paint(cells, brush);
            } else this.mark(event.target.closest('[data-column]') ? cells : []);
        },

        // A brush is in the hand as soon as it is taken, not only when the page has come back.
        take(event) {
            const brush = event.target.closest('.painter [data-brush]');
            if (brush) this.hand = brush.dataset.brush;
        },

        press(event) {
            const { brush } = this;
            const cell = event.target.closest('[data-cell]');
            if (!brush || !cell || event.button !== 0 || event.pointerType === 'touch') return;
            this.stroke = [];
            this.over(event);
        },

        // A stroke is no dragging of a link.
        hold(event) {
            if (this.brush) event.preventDefault();
        },

        over(event) {
            const cell = event.target.closest('[data-cell]')?.dataset.cell;
            if (this.stroke === null || !cell || this.stroke.includes(cell)) return;
            this.stroke.push(cell);
            this.show(cell, this.brush);
        },

        lift() {
            if (this.stroke?.length > 0) this.paint(this.stroke, this.brush);
            this.stroke = null;
        },

        show(cell, want) {
            const place = this.find(cell);
            place.dataset.pending = want;
            const says = place.querySelector('.want');
            if (says) says.textContent = SAYS[want];
        },

        paint(cells, want) {
            for (const cell of cells) this.show(cell, want);
            const last = this.waiting.at(-1);
            if (last?.want === want) last.cells = [...new Set([...last.cells, ...cells])];
            else this.waiting.push({ want, cells: [...cells] });
            this.flush();
        },

        async flush() {
            if (this.isSending) return;
            this.isSending = true;
            try {
                while (this.waiting.length > 0) {
                    const { want, cells } = this.waiting.shift();
                    const form = document.querySelector('form[data-paint]');
                    if (!form) return;
                    form.elements.want.value = want;
                    form.elements.cells.value = cells.join(',');
                    await send(form);
                    // What is painted meanwhile is shown again over the page as it was sent.
                    for (const later of this.waiting) for (const cell of later.cells) this.show(cell, later.want);
                }
            } finally {
                this.isSending = false;
            }
        },
    };
}
