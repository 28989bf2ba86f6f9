// Changes are sent without leaving the page. A change that could not be made is said next to the form, which keeps what was entered.
import { redraw, refresh, whileSending } from './redraw.js';

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

const ask = async (form, submitter) => {
    const body = new FormData(form, submitter);
    try {
        return await fetch(form.action, { method: 'POST', body, headers: { Accept: 'application/json', 'X-Page': window.location.href } });
    } catch {
        return null;
    }
};

export const send = async (form, submitter) => {
    if (form.getAttribute('aria-busy') === 'true') return;
    form.setAttribute('aria-busy', 'true');
    const answer = await whileSending(() => ask(form, submitter));
    form.removeAttribute('aria-busy');
    if (answer === null) return complain(form, NOT_SAVED);
    if (answer.ok) {
        document.querySelector('.form-trouble')?.remove();
        try {
            const { page } = await answer.json();
            if (page) redraw(page, form);
            else await refresh(form);
        } catch {
            complain(form, 'Saved, but the page could not be drawn again. Reload it.');
        }
    } else if (answer.status === 401 || answer.status === 419) {
        complain(form, 'Not saved: you are signed out. Sign in in another tab, then send it again; what you entered is still here.');
    } else {
        const said = answer.status < 500 ? await answer.json().catch(() => null) : null;
        complain(form, said?.message ? `Not saved: ${said.message}` : NOT_SAVED);
    }
};
