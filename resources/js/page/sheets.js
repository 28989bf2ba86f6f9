// Sheets of an own model as text: a line of headings, a line a row, tabs between cells.

export const NONE = '';

/** The sheets of this page as they are drawn, by key. */
export const drawn = new Map();

/** They follow from labels; whoever needs them asks for them. */
export const IDS = ['id', 'lane id'];

export const make = (tag, attributes = {}, ...children) => {
    const element = document.createElement(tag);
    for (const [name, value] of Object.entries(attributes)) element.setAttribute(name, value);
    element.append(...children);
    return element;
};

export const lines = (text) => text.split(/\r?\n/).filter((line) => line.trim() !== '')
    .map((line) => line.split('\t').map((cell) => cell.trim()));

/** @returns {{heads: string[], rows: Object<string, string>[]}} */
export const rowsOf = (text) => {
    const [heads = [], ...cells] = lines(text);
    return { heads, rows: cells.map((row) => Object.fromEntries(row.map((cell, i) => [heads[i], cell]))) };
};

/** The text of the rows that say anything, with the columns that any of them uses. */
export const textOf = (columns, rows) => {
    const said = rows.filter((row) => Object.values(row).some(Boolean));
    const used = columns.map(({ words }) => words).filter((words) => said.some((row) => row[words]));
    const cells = [used, ...said.map((row) => used.map((words) => row[words] ?? NONE))];
    return said.length === 0 ? NONE : cells.map((row) => row.join('\t')).join('\n');
};

/** What the things of another sheet on the page are called. */
export const labelsOf = (list) => {
    const { rows } = rowsOf(document.querySelector(`[data-sheet="${list}"]`)?.value ?? '');
    return [...new Set(rows.map(({ label }) => label ?? '').filter(Boolean))];
};
