// A sheet of an own model: lines of text as a table of fields. What is typed, pasted or painted is written back into the text, which is what
// the form sends; without scripts the text itself is the form.
const NONE = '';
// They follow from labels; whoever needs them asks for them.
const IDS = ['id', 'lane id'];
const JOINED = '●';
const PARTED = '·';
const FLAGS = { on: 'on', off: 'off' };

const make = (tag, attributes = {}, ...children) => {
    const element = document.createElement(tag);
    for (const [name, value] of Object.entries(attributes)) element.setAttribute(name, value);
    element.append(...children);
    return element;
};
const lines = (text) => text.split(/\r?\n/).filter((line) => line.trim() !== '').map((line) => line.split('\t').map((cell) => cell.trim()));

/** What the rows of another sheet are called. */
const labelsOf = (list) => {
    const [heads, ...rows] = lines(document.querySelector(`[data-sheet="${list}"]`)?.value ?? '');
    const at = (heads ?? []).indexOf('label');
    return at < 0 ? [] : [...new Set(rows.map((row) => row[at] ?? '').filter(Boolean))];
};

export function sheet() {
    return {
        text: null,
        table: null,
        columns: [],
        shown: [],
        rows: [],
        painted: null,
        like: null,
        tap: null,
        state: null,
        group: null,
        isJoining: false,
        isStroke: false,

        init() {
            this.text = this.$root.querySelector('textarea');
            this.columns = JSON.parse(this.$root.dataset.columns);
            const [heads, ...rows] = lines(this.text.value);
            this.shown = this.columns.filter(({ isBasic, words }) => isBasic || (!IDS.includes(words) && (heads ?? []).includes(words)));
            this.rows = rows.map((row) => Object.fromEntries(row.map((cell, i) => [heads[i], cell])));
            this.text.hidden = true;
            this.table = make('div', { class: 'sheet-scroll', tabindex: '0', role: 'group', 'aria-label': `Table of ${this.text.dataset.sheet}` });
            this.text.after(this.table);
            this.table.addEventListener('input', () => this.read());
            this.table.addEventListener('paste', (event) => this.paste(event));
            this.table.addEventListener('keydown', (event) => this.key(event));
            if (this.$root.dataset.paint !== undefined) this.preparePaint();
            document.addEventListener('sheet-changed', () => this.named());
            document.addEventListener('sheet-judged', () => this.judged());
            this.draw();
            this.named();
            this.judged();
        },

        // One row stands ready behind the last.
        draw() {
            const chooser = this.chooser();
            const heads = this.shown.map(({ words }) => make('th', { scope: 'col' }, words));
            const head = make('tr', {}, ...heads, make(chooser === NONE ? 'td' : 'th', {}, chooser));
            const body = [...this.rows, {}].map((row, i) => make('tr', {}, ...this.shown.map((column) => make('td', {}, this.field(column, row, i))), make('td', {}, this.remover(i))));
            this.table.replaceChildren(make('table', { class: 'rows' }, make('thead', {}, head), make('tbody', {}, ...body)));
        },

        field(column, row, i) {
            const attributes = { 'aria-label': `${column.words[0].toUpperCase()}${column.words.slice(1)} of ${this.$root.dataset.thing} ${i + 1}`, 'data-cell': column.words };
            const value = row[column.words] ?? NONE;
            const options = column.kind === 'flag' ? FLAGS : column.choices;
            if (Object.keys(options).length === 0) {
                const field = make('input', { ...attributes, ...(column.refers && column.refers !== 'routes' ? { list: `called-${column.refers}` } : {}), ...(column.kind === 'number' ? { inputmode: 'decimal', class: 'of-number' } : {}) });
                field.value = value;
                return field;
            }
            const known = Object.hasOwn(options, value) || value === NONE ? options : { ...options, [value]: value };
            const field = make('select', attributes, ...[[NONE, NONE], ...Object.entries(known)].map(([one, words]) => new Option(words, one)));
            field.value = value;
            return field;
        },

        chooser() {
            const hidden = this.columns.filter((one) => !this.shown.includes(one));
            const select = make('select', { 'aria-label': `More columns for ${this.text.dataset.sheet}` }, new Option('+ column', NONE), ...hidden.map(({ words }) => new Option(words, words)));
            select.addEventListener('input', (event) => event.stopPropagation());
            select.addEventListener('change', () => {
                this.shown = this.columns.filter((one) => this.shown.includes(one) || one.words === select.value);
                this.draw();
                this.table.querySelector(`[data-cell="${CSS.escape(select.value)}"]`)?.focus();
            });
            return hidden.length > 0 ? select : NONE;
        },

        remover(i) {
            if (i >= this.rows.length) return NONE;
            const button = make('button', { type: 'button', class: 'plain', 'aria-label': `Remove ${this.$root.dataset.thing} ${i + 1}` }, make('i', { class: 'bi bi-x-lg', 'aria-hidden': 'true' }));
            button.addEventListener('click', () => {
                this.rows.splice(i, 1);
                this.draw();
                this.write();
            });
            return button;
        },

        // What the fields say; ids that are not shown stay with their rows.
        read() {
            const rows = [...this.table.querySelectorAll('tbody tr')];
            this.rows = rows.map((row, i) => ({ ...this.rows[i], ...Object.fromEntries([...row.querySelectorAll('[data-cell]')].map((field) => [field.dataset.cell, field.value.trim()])) }));
            const isSaid = (row) => this.shown.some(({ words }) => row[words]);
            while (this.rows.length > 0 && !isSaid(this.rows.at(-1))) this.rows.pop();
            if (rows.length === this.rows.length) this.grow(rows.at(-1));
            this.write();
        },

        // The field that is being typed in stays where it is.
        grow(last) {
            const i = this.rows.length;
            last.after(make('tr', {}, ...this.shown.map((column) => make('td', {}, this.field(column, {}, i))), make('td')));
            last.lastElementChild.replaceChildren(this.remover(i - 1));
        },

        write() {
            const said = this.rows.filter((row) => Object.values(row).some(Boolean));
            const used = this.columns.map(({ words }) => words).filter((words) => said.some((row) => row[words]));
            this.text.value = said.length === 0 ? NONE : [used, ...said.map((row) => used.map((words) => row[words] ?? NONE))].map((row) => row.join('\t')).join('\n');
            this.text.dispatchEvent(new Event('input', { bubbles: true }));
            document.dispatchEvent(new CustomEvent('sheet-changed'));
        },

        // Rows from a spreadsheet go from the field with the keyboard to the right and downward; headings that are known say which column.
        paste(event) {
            const pasted = event.clipboardData.getData('text');
            if (!/[\t\n]/.test(pasted.trim())) return;
            event.preventDefault();
            let [first, ...rest] = lines(pasted);
            const called = (cell) => this.columns.find(({ words }) => words.toLowerCase() === cell.toLowerCase());
            const isHeaded = first.every(called);
            const from = this.shown.findIndex(({ words }) => words === event.target.dataset.cell);
            const columns = isHeaded ? first.map(called) : this.shown.slice(Math.max(0, from));
            if (isHeaded) this.shown = this.columns.filter((one) => this.shown.includes(one) || columns.includes(one));
            else rest = [first, ...rest];
            const start = [...this.table.querySelectorAll('tbody tr')].indexOf(event.target.closest('tr'));
            rest.forEach((cells, i) => {
                const row = this.rows[start + i] ??= {};
                cells.forEach((cell, k) => columns[k] && (row[columns[k].words] = this.meant(columns[k], cell)));
            });
            this.draw();
            this.write();
        },

        // A choice may be pasted in words.
        meant({ choices }, cell) {
            return Object.entries(choices).find(([value, words]) => [value, words].some((one) => one.toLowerCase() === cell.toLowerCase()))?.[0] ?? cell;
        },

        // Enter goes to the field below.
        key(event) {
            if (event.key !== 'Enter' || !event.target.matches('input[data-cell]')) return;
            event.preventDefault();
            const row = event.target.closest('tr').nextElementSibling;
            row?.querySelector(`[data-cell="${CSS.escape(event.target.dataset.cell)}"]`)?.focus();
        },

        named() {
            const list = document.getElementById(`called-${this.text.dataset.sheet}`);
            list?.replaceChildren(...labelsOf(this.text.dataset.sheet).map((label) => new Option(label, label)));
            if (this.painted) this.drawPaint();
        },

        // What is wrong is marked where it stands. Rows that say nothing are not counted.
        judged() {
            for (const cell of this.table.querySelectorAll('[aria-invalid]')) cell.removeAttribute('aria-invalid');
            const rows = [...this.table.querySelectorAll('tbody tr')].filter((_, i) => Object.values(this.rows[i] ?? {}).some(Boolean));
            for (const { dataset } of document.querySelectorAll(`[data-in="${this.text.dataset.sheet}"]`)) {
                rows[dataset.row]?.querySelector(`[data-cell="${CSS.escape(dataset.column)}"]`)?.setAttribute('aria-invalid', 'true');
            }
        },

        // Routes are painted: a click or a stroke over a matrix of all points joins or parts them.
        preparePaint() {
            this.like = make('input', { 'aria-label': 'What can be set on painted routes', value: 'on, db' });
            this.tap = make('select', { 'aria-label': 'Where painted routes are taken' }, ...['', 'input', 'before-mute', 'pre-fader'].map((one) => new Option(one || 'post-fader', one)));
            this.state = make('select', { 'aria-label': 'Whether painted routes are on' }, new Option('on', NONE), new Option('off', 'off'));
            this.group = make('input', { 'aria-label': 'Group of painted routes, of which one is on' });
            for (const one of [this.like, this.tap, this.state, this.group]) one.addEventListener('input', (event) => event.stopPropagation());
            const label = (words, field) => make('label', {}, `${words} `, field);
            this.painted = make('div', { class: 'sheet-scroll', tabindex: '0', role: 'group', 'aria-label': 'Routes as a matrix' });
            this.text.after(make('div', { class: 'paint-with' }, 'Painted routes: ', label('can', this.like), label('taken', this.tap), label('are', this.state), label('one of group', this.group)), this.painted);
            this.painted.addEventListener('pointerdown', (event) => this.stroke(event, true));
            this.painted.addEventListener('pointerover', (event) => event.buttons === 1 && this.stroke(event, false));
            document.addEventListener('pointerup', () => {
                if (this.isStroke) this.settle();
                this.isStroke = false;
            });
            this.painted.addEventListener('click', (event) => event.detail === 0 && this.stroke(event, true));
        },

        drawPaint() {
            const points = labelsOf('points');
            const has = new Set(this.rows.map(({ from, to }) => `${from}\t${to}`));
            const cell = (from, to) => (from === to ? make('td') : make('td', {}, make('button', {
                type: 'button', class: 'matrix-cell', 'data-from': from, 'data-to': to, 'aria-pressed': String(has.has(`${from}\t${to}`)), 'aria-label': `${from} to ${to}`,
            }, has.has(`${from}\t${to}`) ? JOINED : PARTED)));
            const head = make('tr', {}, make('th', { scope: 'col' }, 'from, to'), ...points.map((one) => make('th', { scope: 'col' }, one)));
            const body = points.map((from) => make('tr', {}, make('th', { scope: 'row' }, from), ...points.map((to) => cell(from, to))));
            const focused = document.activeElement?.dataset?.from !== undefined ? { ...document.activeElement.dataset } : null;
            this.painted.replaceChildren(points.length > 1 ? make('table', { class: 'matrix' }, make('thead', {}, head), make('tbody', {}, ...body)) : NONE);
            if (focused) this.painted.querySelector(`[data-from="${CSS.escape(focused.from)}"][data-to="${CSS.escape(focused.to)}"]`)?.focus();
        },

        // A painted route stands where it would if all were painted in the order of the matrix.
        join(route) {
            const points = labelsOf('points');
            const place = ({ from, to }) => points.indexOf(from) * points.length + points.indexOf(to);
            const behind = this.rows.findIndex((row) => place(row) > place(route));
            this.rows.splice(behind < 0 ? this.rows.length : behind, 0, route);
        },

        stroke(event, isFirst) {
            const button = event.target.closest('[data-from]');
            if (!button) return;
            if (event.type === 'pointerdown') {
                event.preventDefault();
                button.focus();
            }
            const { from, to } = button.dataset;
            const at = this.rows.findIndex((row) => row.from === from && row.to === to);
            if (isFirst) this.isJoining = at < 0;
            if (event.type === 'pointerdown') this.isStroke = true;
            if (this.isJoining && at < 0) this.join({ from, to, can: this.like.value, tap: this.tap.value, on: this.state.value, group: this.group.value });
            else if (!this.isJoining && at >= 0) this.rows.splice(at, 1);
            else return;
            button.setAttribute('aria-pressed', String(this.isJoining));
            button.textContent = this.isJoining ? JOINED : PARTED;
            if (event.type === 'click') this.settle();
        },

        // Once the stroke is over, the rows follow.
        settle() {
            this.shown = this.columns.filter((one) => this.shown.includes(one) || (!IDS.includes(one.words) && this.rows.some((row) => row[one.words])));
            this.draw();
            this.write();
        },
    };
}
