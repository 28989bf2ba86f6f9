// Routes are painted: a click or a stroke over a matrix of all points joins or parts them.
import { labelsOf, make, NONE } from './sheets.js';

const JOINED = '●';
const PARTED = '·';
const TAPS = ['', 'input', 'before-mute', 'pre-fader'];

const optionsOf = (values, usual) => values.map((one) => new Option(one || usual, one));
const labelled = (words, field) => make('label', {}, `${words} `, field);

export class RouteMatrix {
    /**
     * @param {{rows: Object<string, string>[]}} sheet the routes
     * @param {() => void} settled called when a stroke is over and rows have changed
     */
    constructor(sheet, settled) {
        this.sheet = sheet;
        this.settled = settled;
        this.isJoining = false;
        this.isStroke = false;
        this.with = {
            can: make('input', { 'aria-label': 'What can be set on painted routes', value: 'on, db' }),
            tap: make('select', { 'aria-label': 'Where painted routes are taken' }, ...optionsOf(TAPS, 'post-fader')),
            on: make('select', { 'aria-label': 'Whether painted routes are on' }, ...optionsOf([NONE, 'off'], 'on')),
            group: make('input', { 'aria-label': 'Group of painted routes, of which one is on' }),
        };
        for (const field of Object.values(this.with)) field.addEventListener('input', (event) => event.stopPropagation());
        const { can, tap, on, group } = this.with;
        this.brush = make('div', { class: 'paint-with' }, 'Painted routes: ', labelled('can', can), labelled('taken', tap),
            labelled('are', on), labelled('one of group', group));
        this.place = make('div', { class: 'sheet-scroll', tabindex: '0', role: 'group', 'aria-label': 'Routes as a matrix' });
        this.listen();
    }

    listen() {
        this.place.addEventListener('pointerdown', (event) => this.stroke(event, true));
        this.place.addEventListener('pointerover', (event) => event.buttons === 1 && this.stroke(event, false));
        this.place.addEventListener('click', (event) => event.detail === 0 && this.stroke(event, true));
        document.addEventListener('pointerup', () => {
            if (this.isStroke) this.settled();
            this.isStroke = false;
        });
    }

    draw() {
        const points = labelsOf('points');
        const joined = new Set(this.sheet.rows.map(({ from, to }) => `${from}\t${to}`));
        const cell = (from, to) => {
            if (from === to) return make('td');
            const is = joined.has(`${from}\t${to}`);
            const said = { 'data-from': from, 'data-to': to, 'aria-pressed': String(is), 'aria-label': `${from} to ${to}` };
            return make('td', {}, make('button', { type: 'button', class: 'matrix-cell', ...said }, is ? JOINED : PARTED));
        };
        const head = make('tr', {}, ...['from, to', ...points].map((words) => make('th', { scope: 'col' }, words)));
        const body = points.map((from) => make('tr', {}, make('th', { scope: 'row' }, from), ...points.map((to) => cell(from, to))));
        const table = make('table', { class: 'matrix' }, make('thead', {}, head), make('tbody', {}, ...body));
        const { from, to } = document.activeElement?.dataset ?? {};
        this.place.replaceChildren(points.length > 1 ? table : NONE);
        if (from !== undefined) this.place.querySelector(`[data-from="${CSS.escape(from)}"][data-to="${CSS.escape(to)}"]`)?.focus();
    }

    stroke(event, isFirst) {
        const button = event.target.closest('[data-from]');
        if (!button) return;
        if (event.type === 'pointerdown') {
            event.preventDefault();
            button.focus();
            this.isStroke = true;
        }
        const { from, to } = button.dataset;
        const at = this.sheet.rows.findIndex((row) => row.from === from && row.to === to);
        if (isFirst) this.isJoining = at < 0;
        if (this.isJoining === at >= 0) return;
        if (this.isJoining) this.join({ from, to });
        else this.sheet.rows.splice(at, 1);
        button.setAttribute('aria-pressed', String(this.isJoining));
        button.textContent = this.isJoining ? JOINED : PARTED;
        if (event.type === 'click') this.settled();
    }

    // A painted route is placed as if all were painted in the order of the matrix.
    join(ends) {
        const points = labelsOf('points');
        const place = ({ from, to }) => points.indexOf(from) * points.length + points.indexOf(to);
        const set = Object.fromEntries(Object.entries(this.with).map(([key, field]) => [key, field.value]));
        const behind = this.sheet.rows.findIndex((row) => place(row) > place(ends));
        this.sheet.rows.splice(behind < 0 ? this.sheet.rows.length : behind, 0, { ...ends, ...set });
    }
}
