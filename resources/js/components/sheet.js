// A sheet of an own model: lines of text as a table of fields. What is typed, pasted or painted is written back into the text, which is
// what the form sends; without scripts the text itself is the form.
import { RouteMatrix } from '../page/route-matrix.js';
import { drawn, IDS, labelsOf, lines, make, NONE, rowsOf, textOf } from '../page/sheets.js';

const FLAGS = { on: 'on', off: 'off' };

const capital = (words) => `${words[0].toUpperCase()}${words.slice(1)}`;
const isAlike = (one, other) => one.toLowerCase() === other.toLowerCase();
// A choice may be pasted in words.
const meant = ({ choices }, cell) => Object.entries(choices).find((names) => names.some((one) => isAlike(one, cell)))?.[0] ?? cell;

// What hands find at a point: a knob for its gain, a fader or a knob for its level, a key that mutes it.
const handsOf = (point) => {
    const { id, label, kind, mute } = point;
    const at = (stem, word, rest) => ({ ...(id ? { id: `${stem}-${id}` } : {}), name: `${label} ${word}`, legend: label, 'move at': label, ...rest });
    const along = (set) => ({ 'move set': set, 'move from': point[`${set} from`], 'move to': point[`${set} to`] });
    const isStrip = kind === 'strip';
    return [
        ...(point['gain from'] && point['gain to'] ? [at('gain', 'gain', { kind: 'knob', ...along('gain') })] : []),
        ...(point['fader from'] && point['fader to'] ? [at(isStrip ? 'fader' : 'level', isStrip ? 'fader' : 'level', { kind: isStrip ? 'fader' : 'knob', ...along('fader'), 'move law': 'taper' })] : []),
        ...(mute ? [at('mute', 'mute', { legend: 'Mute', kind: 'key', 'move set': 'mute', 'move from': 'off', 'move to': 'on', 'move law': 'toggle', 'move by': 'press' })] : []),
    ];
};

export function sheet() {
    return {
        text: null,
        table: null,
        columns: [],
        shown: [],
        rows: [],
        matrix: null,

        init() {
            this.text = this.$root.querySelector('textarea');
            drawn.set(this.text.dataset.sheet, this);
            this.columns = JSON.parse(this.$root.dataset.columns);
            const { heads, rows } = rowsOf(this.text.value);
            this.rows = rows;
            this.shown = this.columns.filter(({ isBasic, words }) => isBasic || (!IDS.includes(words) && heads.includes(words)));
            this.text.hidden = true;
            const name = `Table of ${this.text.dataset.sheet}`;
            this.table = make('div', { class: 'sheet-scroll', tabindex: '0', role: 'group', 'aria-label': name });
            this.text.after(this.table);
            this.table.addEventListener('input', () => this.read());
            this.table.addEventListener('paste', (event) => this.paste(event));
            this.table.addEventListener('keydown', (event) => this.key(event));
            if (this.$root.dataset.paint !== undefined) {
                this.matrix = new RouteMatrix(this, () => this.settle());
                this.text.after(this.matrix.brush, this.matrix.place);
            }
            document.addEventListener('sheet-changed', () => this.named());
            document.addEventListener('sheet-judged', () => this.judged());
            this.draw();
            this.named();
            this.judged();
        },

        // One empty row follows the last.
        draw() {
            const chooser = this.chooser();
            const heads = this.shown.map(({ words }) => make('th', { scope: 'col' }, words));
            const head = make('tr', {}, ...heads, make(chooser === NONE ? 'td' : 'th', {}, chooser));
            const body = [...this.rows, {}].map((row, i) => this.row(row, i));
            this.table.replaceChildren(make('table', { class: 'rows' }, make('thead', {}, head), make('tbody', {}, ...body)));
        },

        row(row, i) {
            const fields = this.shown.map((column) => make('td', {}, this.field(column, row, i)));
            return make('tr', {}, ...fields, make('td', {}, this.remover(i)));
        },

        field({ words, kind, choices, refers }, row, i) {
            const name = { 'aria-label': `${capital(words)} of ${this.$root.dataset.thing} ${i + 1}`, 'data-cell': words };
            const value = row[words] ?? NONE;
            const options = kind === 'flag' ? FLAGS : choices;
            const isChoice = Object.keys(options).length > 0;
            const list = refers && refers !== 'routes' ? { list: `called-${refers}` } : {};
            const number = kind === 'number' ? { inputmode: 'decimal', class: 'of-number' } : {};
            // A value that is no choice is shown as it is: it is reported, not lost.
            const odd = value === NONE || Object.hasOwn(options, value) ? {} : { [value]: value };
            const known = { [NONE]: NONE, ...options, ...odd };
            const field = isChoice
                ? make('select', name, ...Object.entries(known).map(([one, said]) => new Option(said, one)))
                : make('input', { ...name, ...list, ...number });
            field.value = value;
            return field;
        },

        chooser() {
            const hidden = this.columns.filter((one) => !this.shown.includes(one));
            const options = hidden.map(({ words }) => new Option(words, words));
            const name = `More columns for ${this.text.dataset.sheet}`;
            const select = make('select', { 'aria-label': name }, new Option('+ column', NONE), ...options);
            select.addEventListener('input', (event) => event.stopPropagation());
            select.addEventListener('change', () => {
                this.shown = this.columns.filter((one) => this.shown.includes(one) || one.words === select.value);
                this.draw();
                this.cell(this.table, select.value)?.focus();
            });
            return hidden.length > 0 ? select : NONE;
        },

        remover(i) {
            if (i >= this.rows.length) return NONE;
            const name = `Remove ${this.$root.dataset.thing} ${i + 1}`;
            const sign = make('i', { class: 'bi bi-x-lg', 'aria-hidden': 'true' });
            const button = make('button', { type: 'button', class: 'plain', 'aria-label': name }, sign);
            button.addEventListener('click', () => {
                this.rows.splice(i, 1);
                this.draw();
                this.write();
            });
            return button;
        },

        cell(within, words) {
            return within?.querySelector(`[data-cell="${CSS.escape(words)}"]`);
        },

        // What the fields say; ids that are not shown stay with their rows.
        read() {
            const rows = [...this.table.querySelectorAll('tbody tr')];
            const said = (row) => [...row.querySelectorAll('[data-cell]')].map((field) => [field.dataset.cell, field.value.trim()]);
            this.rows = rows.map((row, i) => ({ ...this.rows[i], ...Object.fromEntries(said(row)) }));
            const isSaid = (row) => this.shown.some(({ words }) => row[words]);
            while (this.rows.length > 0 && !isSaid(this.rows.at(-1))) this.rows.pop();
            if (rows.length === this.rows.length) this.grow(rows.at(-1));
            this.write();
        },

        // The field that is being typed in stays where it is.
        grow(last) {
            const i = this.rows.length;
            last.after(this.row({}, i));
            last.lastElementChild.replaceChildren(this.remover(i - 1));
        },

        write() {
            this.text.value = textOf(this.columns, this.rows);
            this.text.dispatchEvent(new Event('input', { bubbles: true }));
            document.dispatchEvent(new CustomEvent('sheet-changed'));
        },

        // Columns that rows have come to use are shown, too.
        settle() {
            const isUsed = ({ words }) => !IDS.includes(words) && this.rows.some((row) => row[words]);
            this.shown = this.columns.filter((one) => this.shown.includes(one) || isUsed(one));
            this.draw();
            this.write();
        },

        // Rows from a spreadsheet go from the field with the keyboard to the right and downward; headings that are known say which column.
        paste(event) {
            const pasted = event.clipboardData.getData('text');
            if (!/[\t\n]/.test(pasted.trim())) return;
            event.preventDefault();
            const [first, ...rest] = lines(pasted);
            const called = (cell) => this.columns.find(({ words }) => isAlike(words, cell));
            const isHeaded = first.every(called);
            const from = this.shown.findIndex(({ words }) => words === event.target.dataset.cell);
            const columns = isHeaded ? first.map(called) : this.shown.slice(Math.max(0, from));
            this.shown = this.columns.filter((one) => this.shown.includes(one) || (isHeaded && columns.includes(one)));
            const start = [...this.table.querySelectorAll('tbody tr')].indexOf(event.target.closest('tr'));
            (isHeaded ? rest : [first, ...rest]).forEach((cells, i) => {
                const row = this.rows[start + i] ??= {};
                cells.slice(0, columns.length).forEach((cell, k) => row[columns[k].words] = meant(columns[k], cell));
            });
            this.draw();
            this.write();
        },

        // A control for everything that hands set at a point, where none is called so yet.
        fromPoints() {
            const called = new Set(this.rows.map((row) => row.name));
            const onUnit = (drawn.get('points')?.rows ?? []).filter((row) => row.label && ['', 'unit'].includes(row['made at by'] ?? NONE));
            this.rows.push(...onUnit.flatMap(handsOf).filter(({ name }) => !called.has(name)));
            this.settle();
        },

        // Enter goes to the field below.
        key(event) {
            if (event.key !== 'Enter' || !event.target.matches('input[data-cell]')) return;
            event.preventDefault();
            this.cell(event.target.closest('tr').nextElementSibling, event.target.dataset.cell)?.focus();
        },

        named() {
            const called = labelsOf(this.text.dataset.sheet).map((label) => new Option(label, label));
            document.getElementById(`called-${this.text.dataset.sheet}`)?.replaceChildren(...called);
            this.matrix?.draw();
        },

        // What is wrong is marked in its place. Empty rows are not counted.
        judged() {
            for (const cell of this.table.querySelectorAll('[aria-invalid]')) cell.removeAttribute('aria-invalid');
            const isSaid = (_, i) => Object.values(this.rows[i] ?? {}).some(Boolean);
            const rows = [...this.table.querySelectorAll('tbody tr')].filter(isSaid);
            for (const { dataset } of document.querySelectorAll(`[data-in="${this.text.dataset.sheet}"]`)) {
                this.cell(rows[dataset.row], dataset.column)?.setAttribute('aria-invalid', 'true');
            }
        },
    };
}
