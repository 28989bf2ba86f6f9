// One row more in a table of fields, like the last, empty, with the next number.
export const addRow = (body) => {
    const row = body.rows[body.rows.length - 1].cloneNode(true);
    const number = body.rows.length;
    for (const field of row.querySelectorAll('input, select')) {
        field.name = field.name.replace(/\[\d+\]/, `[${number}]`);
        const label = field.getAttribute('aria-label');
        if (label) field.setAttribute('aria-label', label.replace(/\d+/, number + 1));
        const keeps = field.type === 'checkbox' || field.tagName === 'SELECT' || field.type === 'number' || (field.type === 'hidden' && field.value === '0');
        if (!keeps) field.value = '';
    }
    body.append(row);
    return row;
};
