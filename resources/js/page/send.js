// Changes are sent without leaving the page. A change that could not be made is said next to the form, which keeps what was entered.
import { redraw, refresh, whileSending } from './redraw.js';
import { say } from './said.js';

const NOT_SAVED = 'Not saved: the server did not answer. What you entered is still here; send it again when the server is back.';
const FIELDS = 'input:not([type=hidden]), textarea, select';

export const token = () => document.querySelector('meta[name=csrf-token]').content;

// Next to what was entered; where nothing was, where messages are.
const complain = (form, text) => {
    document.querySelector('.form-trouble')?.remove();
    const note = document.createElement('p');
    note.setAttribute('role', 'alert');
    note.dataset.own = '';
    note.textContent = text;
    if (form.querySelector(FIELDS)) {
        note.className = 'form-trouble';
        form.append(note);
        note.scrollIntoView({ block: 'nearest' });
    } else {
        note.className = 'form-trouble message trouble';
        document.body.append(note);
    }
};

// The field that an error is about: "cables.3.to" is the field cables[3][to].
const fieldOf = (form, key) => {
    const [first, ...rest] = key.split('.');
    const name = first + rest.map((part) => `[${part}]`).join('');
    const fields = [...form.elements].filter((one) => [name, `${name}[]`].includes(one.name) && one.type !== 'hidden');
    return fields[0] ?? null;
};

const clear = (form) => {
    for (const note of form.querySelectorAll('.field-trouble')) note.remove();
    for (const field of form.querySelectorAll('[aria-invalid]')) {
        field.removeAttribute('aria-invalid');
        field.removeAttribute('aria-describedby');
    }
};

// Each error is shown at its field; the first one gets the focus.
const markAll = (form, errors) => {
    const marked = Object.entries(errors).flatMap(([key, [text]]) => {
        const field = fieldOf(form, key);
        if (!field) return [];
        const note = document.createElement('small');
        note.className = 'field-trouble';
        note.id = `trouble-${key.replace(/\W+/g, '-')}`;
        note.dataset.own = '';
        note.textContent = text;
        field.after(note);
        field.setAttribute('aria-invalid', 'true');
        field.setAttribute('aria-describedby', note.id);
        return [field];
    });
    marked[0]?.focus();
    return marked.length;
};

const refuse = (form, said) => {
    const errors = said?.errors ?? {};
    const count = Object.keys(errors).length;
    const marked = markAll(form, errors);
    const more = count > 1 ? ` ${count - 1} more ${count === 2 ? 'error is' : 'errors are'} marked.` : '';
    const first = count > 0 ? Object.values(errors)[0][0] : said?.message;
    complain(form, first ? `Not saved: ${first}${more}` : NOT_SAVED);
    // What is shown at its field already is only announced once more.
    document.querySelector('.form-trouble').classList.toggle('visually-hidden', marked === 1 && count === 1);
    if (marked > 0) form.querySelector('[aria-invalid]').scrollIntoView({ block: 'nearest' });
};

// A form may say what the page shows once its change is made; else it shows what it does now.
const next = (form) => new URL(form.dataset.then ?? window.location.href, window.location.href).href;

// Waits before each further try, in milliseconds: five tries within ten seconds, while a server or its database comes back. A cluster needs
// two seconds without a node, a database that starts again some more.
const WAITS = [300, 900, 1400, 5000];
const AWAY = [502, 503, 504];

const wait = (ms) => new Promise((done) => { setTimeout(done, ms); });

const idOf = () => [...crypto.getRandomValues(new Uint8Array(16))].map((byte) => byte.toString(16).padStart(2, '0')).join('');

// One edit, however often it is sent: the server knows its id. Null where no try had an answer.
const ask = async (form, submitter, shows) => {
    const body = new FormData(form, submitter);
    body.set('edit_id', idOf());
    const headers = { Accept: 'application/json', 'X-Page': shows, 'X-Lines': '1' };
    let answer = null;
    for (const ms of [...WAITS, null]) {
        answer = await fetch(form.action, { method: 'POST', body, headers }).catch(() => null);
        if (answer !== null && !AWAY.includes(answer.status)) return answer;
        if (ms !== null) {
            say('The server does not answer. Trying again …');
            await wait(ms);
        }
    }
    return answer;
};

// The answer comes in lines: what was done with the page drawn anew, then what it does where the page does not look.
const lines = async function* (answer) {
    const reader = answer.body.pipeThrough(new TextDecoderStream()).getReader();
    let text = '';
    for (let part = await reader.read(); !part.done; part = await reader.read()) {
        const whole = (text + part.value).split('\n');
        text = whole.pop();
        for (const line of whole) if (line) yield JSON.parse(line);
    }
    if (text) yield JSON.parse(text);
};

const firstOf = async (all) => [(await all.next()).value, all.next()];

// Behind the message of this very change, if it is still there.
const tellMore = (more, said) => {
    const message = document.querySelector('[data-messages] .message');
    if (more && message?.firstChild?.textContent.trim() === said.trim()) message.firstChild.textContent = `${said} · ${more} `;
};

export const send = async (form, submitter) => {
    if (form.getAttribute('aria-busy') === 'true') return;
    form.setAttribute('aria-busy', 'true');
    clear(form);
    let shows = null;
    const answer = await whileSending(() => ask(form, submitter, (shows = next(form))));
    form.removeAttribute('aria-busy');
    if (answer === null) return complain(form, NOT_SAVED);
    if (answer.ok) {
        document.querySelector('.form-trouble')?.remove();
        // Rows that the page put in itself were sent with the rest.
        for (const row of form.querySelectorAll('tr[data-own]')) row.remove();
        try {
            const [first, rest] = await firstOf(lines(answer));
            if (next(form) !== window.location.href) window.history.replaceState(null, '', next(form));
            // Where the page has gone on to another address meanwhile, what was drawn is of the one before.
            if (first.page && next(form) === shows) redraw(first.page, form);
            else {
                await refresh(form);
                if (first.said) say(first.said);
            }
            rest.then(({ value }) => tellMore(value?.more, first.said), () => {});
        } catch {
            complain(form, 'Saved, but the page could not be drawn again. Reload it.');
        }
    } else if (answer.status === 401 || answer.status === 419) {
        complain(form, 'Not saved: you are signed out. Sign in in another tab, then send it again; what you entered is still here.');
    } else {
        refuse(form, answer.status < 500 ? await answer.json().catch(() => null) : null);
    }
};
