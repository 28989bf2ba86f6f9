// Rows from a spreadsheet, pasted into a table of fields: from the field that has the keyboard to the right and downward.
const SPLIT = /\t|;/;

const fill = (field, text) => {
    const value = text.trim();
    if (field.type === 'checkbox') field.checked = !['0', '', 'no', 'false', 'n'].includes(value.toLowerCase());
    else if (field.tagName === 'SELECT') {
        const option = [...field.options].find(({ value: one, text: words }) => [one, words].some((name) => name.toLowerCase() === value.toLowerCase()));
        if (option) field.value = option.value;
    } else field.value = value;
};
const visible = (row) => [...row.querySelectorAll('input:not([type=hidden]), select')];

// One row more, like the last, empty, with the next number.
export const addRow = (body) => {
    const last = body.rows[body.rows.length - 1];
    const row = last.cloneNode(true);
    const number = body.rows.length;
    for (const field of row.querySelectorAll('input, select')) {
        field.name = field.name.replace(/\[\d+\]/, `[${number}]`);
        const label = field.getAttribute('aria-label');
        if (label) field.setAttribute('aria-label', label.replace(/\d+/, number + 1));
        if (field.type !== 'checkbox' && field.tagName !== 'SELECT' && !(field.type === 'hidden' && field.value === '0')) field.value = field.type === 'number' ? field.value : '';
    }
    body.append(row);
    return row;
};

document.addEventListener('paste', (event) => {
    const body = event.target.closest?.('[data-paste]')?.tBodies[0];
    const text = event.clipboardData?.getData('text/plain') ?? '';
    if (!body || !/[\t\n;]/.test(text.trim())) return;
    event.preventDefault();
    const startRow = event.target.closest('tr').sectionRowIndex;
    const startColumn = visible(event.target.closest('tr')).indexOf(event.target);
    for (const [r, line] of text.replace(/\r/g, '').replace(/\n+$/, '').split('\n').entries()) {
        const row = body.rows[startRow + r] ?? addRow(body);
        const fields = visible(row);
        for (const [c, cell] of line.split(SPLIT).entries()) if (fields[startColumn + c]) fill(fields[startColumn + c], cell);
    }
});
