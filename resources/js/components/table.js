// A table of fields: rows pasted from a spreadsheet, from the field that has the keyboard to the right and downward; sorted by a column;
// rows put in between.
import { addRow } from '../page/rows.js';

const SPLIT = /\t|;/;

// Two names are near when they share many pairs of letters.
const pairsOf = (name) => [...name.toLowerCase()].slice(1).map((letter, i) => name.toLowerCase()[i] + letter);
const likeness = (one, other) => {
    const [a, b] = [pairsOf(one), pairsOf(other)];
    return a.length + b.length === 0 ? 0 : (2 * a.filter((pair) => b.includes(pair)).length) / (a.length + b.length);
};
const NEAR = 0.45;
const nearest = (field, value) => [...field.options].filter((one) => one.value !== '')
    .map(({ text }) => [likeness(text, value), text]).filter(([how]) => how > NEAR).sort((a, b) => b[0] - a[0]).slice(0, 2).map(([, text]) => text);

// What is pasted and not known is shown at its field, with near matches, until something is chosen there.
const askAbout = (field, value) => {
    const near = nearest(field, value);
    const note = document.createElement('small');
    note.className = 'field-trouble';
    note.dataset.own = '';
    note.textContent = `Nothing here is called “${value}”.${near.length > 0 ? ` Near: ${near.join('; ')}` : ''}`;
    field.parentElement.querySelector('.field-trouble')?.remove();
    field.after(note);
    field.setCustomValidity(note.textContent);
    field.setAttribute('aria-invalid', 'true');
    field.addEventListener('change', () => {
        field.setCustomValidity('');
        field.removeAttribute('aria-invalid');
        note.remove();
    }, { once: true });
};

const fill = (field, text) => {
    const value = text.trim();
    if (field.type === 'checkbox') field.checked = !['0', '', 'no', 'false', 'n'].includes(value.toLowerCase());
    else if (field.tagName === 'SELECT') {
        const isCalled = ({ value: one, text: words }) => [one, words].some((name) => name.toLowerCase() === value.toLowerCase());
        const option = [...field.options].find(isCalled);
        if (option) field.value = option.value;
        else if (value) askAbout(field, value);
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
