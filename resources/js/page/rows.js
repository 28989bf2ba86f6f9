// One row more in a table of fields, like a given one, empty, with the next number. It is the page's own until it has been sent.
const numberOf = (row) => Math.max(-1, ...[...row.querySelectorAll('[name]')].map(({ name }) => Number(/\[(\d+)\]/.exec(name)?.[1] ?? -1)));

export const addRow = (body, like = body.rows[body.rows.length - 1], after = like) => {
    const row = like.cloneNode(true);
    const number = Math.max(...[...body.rows].map(numberOf)) + 1;
    row.dataset.own = '';
    row.dataset.key = `row-${number}`;
    for (const field of row.querySelectorAll('input, select')) {
        field.name = field.name.replace(/\[\d+\]/, `[${number}]`);
        const label = field.getAttribute('aria-label');
        const step = number - numberOf(like);
        if (label) field.setAttribute('aria-label', label.replace(/\d+/, (shown) => Number(shown) + step));
        const keeps = field.type === 'checkbox' || field.tagName === 'SELECT' || field.type === 'number' || (field.type === 'hidden' && field.value === '0');
        if (!keeps) field.value = '';
    }
    after.after(row);
    return row;
};
