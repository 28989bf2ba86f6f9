// Rows from a spreadsheet, pasted into a table of fields: from the field that has the keyboard to the right and downward.
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

export function table() {
    return {
        paste(event) {
            const body = this.$root.tBodies[0];
            const text = event.clipboardData?.getData('text/plain') ?? '';
            if (!/[\t\n;]/.test(text.trim())) return;
            event.preventDefault();
            const startRow = event.target.closest('tr').sectionRowIndex;
            const startColumn = visible(event.target.closest('tr')).indexOf(event.target);
            for (const [r, line] of text.replace(/\r/g, '').replace(/\n+$/, '').split('\n').entries()) {
                const fields = visible(body.rows[startRow + r] ?? addRow(body));
                for (const [c, cell] of line.split(SPLIT).entries()) if (fields[startColumn + c]) fill(fields[startColumn + c], cell);
            }
        },
    };
}
