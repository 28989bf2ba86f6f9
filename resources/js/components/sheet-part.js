// What a computer sees of a sheet: some of its columns once more, only for the rows that a computer can see. What is written here is
// written into the sheet itself.
import { drawn, make, NONE } from '../page/sheets.js';

const PROGRAMS = 'select[name=family]';

export function sheetPart() {
    return {
        columns: [],
        table: null,
        nothing: null,

        init() {
            this.columns = JSON.parse(this.$root.dataset.columns);
            this.table = make('div', { class: 'sheet-scroll', tabindex: '0', role: 'group', 'aria-label': `${this.$root.dataset.words} as a table` });
            this.nothing = this.$root.querySelector('[data-nothing]');
            this.$root.append(this.table);
            this.table.addEventListener('input', (event) => this.write(event));
            document.addEventListener('sheet-changed', () => this.draw());
            document.querySelector(PROGRAMS).addEventListener('change', () => this.draw());
            this.draw();
        },

        sheet() {
            return drawn.get(this.$root.dataset.of);
        },

        // Of sockets those with a link to a computer, each of their lanes; of points those of programs and of computers.
        seen() {
            const { rows } = this.sheet();
            if (this.$root.dataset.of === 'points') {
                const isSeen = JSON.parse(this.$root.dataset.families).includes(document.querySelector(PROGRAMS).value);
                return rows.map((row, i) => ({ row, i, name: row.label ?? NONE })).filter(({ name }) => isSeen && name !== NONE);
            }
            let socket = {};
            return rows.map((row, i) => {
                socket = row.label ? row : socket;
                return { row, i, link: socket.link, name: [socket.label, row['lane point'], row['lane way']].filter(Boolean).join(', ') };
            }).filter(({ row, link }) => link && row['lane point']);
        },

        // While somebody writes here the fields stay.
        draw() {
            if (this.table.contains(document.activeElement)) return;
            const seen = this.seen();
            const heads = ['of', ...this.columns.map(({ words }) => words)].map((words) => make('th', { scope: 'col' }, words));
            const fields = ({ row, i, name }) => this.columns.map((column) => {
                const field = this.sheet().field(column, row, i);
                field.setAttribute('aria-label', `${column.words}: ${name}`);
                field.dataset.row = i;
                return make('td', {}, field);
            });
            const body = seen.map((one) => make('tr', {}, make('th', { scope: 'row' }, one.name), ...fields(one)));
            const table = make('table', { class: 'rows' }, make('thead', {}, make('tr', {}, ...heads)), make('tbody', {}, ...body));
            this.table.replaceChildren(seen.length > 0 ? table : NONE);
            this.nothing.hidden = seen.length > 0;
        },

        write({ target }) {
            if (!target.dataset.cell) return;
            this.sheet().rows[target.dataset.row][target.dataset.cell] = target.value.trim();
            this.sheet().settle();
        },
    };
}
