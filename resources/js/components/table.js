// A table of fields: rows pasted from a spreadsheet, from the field that has the keyboard to the right and downward; sorted by a column;
// rows put in between.
import { addRow } from '../page/rows.js';

const SPLIT = /\t|;/;

const fill = (field, text) => {
    const value = text.trim();
    if (field.type === 'checkbox') field.checked = !['0', '', 'no', 'false', 'n'].includes(value.toLowerCase());
    else if (field.tagName === 'SELECT') {
        const isCalled = ({ value: one, text: words }) => [one, words].some((name) => name.toLowerCase() === value.toLowerCase());
        const option = [...field.options].find(isCalled);
        if (option) field.value = option.value;
    } else field.value = value;
};
const visible = (row) => [...row.querySelectorAll('input:not([type=hidden]), select')];

const textOf = (row, column) => {
    const field = row.cells[column]?.querySelector('input:not([type=hidden]), select');
    return field?.type === 'checkbox' ? String(field.checked) : field?.value ?? '';
};
const isNew = (row) => row.querySelector('input[type=hidden]')?.value === '';

export function table() {
    return {
        column: null,
        isDown: false,
        row: null,

        get body() {
            return this.$refs.table.tBodies[0];
        },

        // Where the hand was last.
        stand(event) {
            this.row = event.target.closest('tbody tr') ?? this.row;
        },

        insert() {
            const last = this.body.rows[this.body.rows.length - 1];
            const row = addRow(this.body, last, this.row?.isConnected ? this.row : last);
            visible(row)[0].focus();
        },

        sort(event) {
            const { cellIndex } = event.target.closest('th');
            this.isDown = this.column === cellIndex && !this.isDown;
            this.column = cellIndex;
            this.again();
        },

        // New rows stay at the end.
        again() {
            if (this.column === null) return;
            const order = new Intl.Collator('en', { numeric: true });
            const rows = [...this.body.rows];
            const filled = rows.filter((row) => !isNew(row));
            filled.sort((a, b) => order.compare(textOf(a, this.column), textOf(b, this.column)) * (this.isDown ? -1 : 1));
            const stood = document.activeElement;
            this.body.append(...filled, ...rows.filter(isNew));
            if (this.body.contains(stood)) stood.focus();
            for (const head of this.$refs.table.tHead.rows[0].cells) {
                if (head.cellIndex === this.column) head.setAttribute('aria-sort', this.isDown ? 'descending' : 'ascending');
                else head.removeAttribute('aria-sort');
            }
        },

        paste(event) {
            const text = event.clipboardData?.getData('text/plain') ?? '';
            if (!/[\t\n;]/.test(text.trim())) return;
            event.preventDefault();
            const startRow = event.target.closest('tr').sectionRowIndex;
            const startColumn = visible(event.target.closest('tr')).indexOf(event.target);
            for (const [r, line] of text.replace(/\r/g, '').replace(/\n+$/, '').split('\n').entries()) {
                const fields = visible(this.body.rows[startRow + r] ?? addRow(this.body));
                for (const [c, cell] of line.split(SPLIT).entries()) if (fields[startColumn + c]) fill(fields[startColumn + c], cell);
            }
            event.target.dispatchEvent(new Event('input', { bubbles: true }));
        },
    };
}
