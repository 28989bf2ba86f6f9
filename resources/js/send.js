// Changes are sent without leaving the page: it is redrawn in place when they are made, and whatever is being entered elsewhere stays. A
// change that could not be made is said next to the form, and the form keeps what was entered.
import { onWake, wake } from './wake.js';

const NOT_SAVED = 'Not saved: the server did not answer. What you entered is still here; send it again when the server is back.';

// A field by the form that it stands in and its name, so that it is found again after the redrawing.
const keyOf = (field) => {
    if (field.id) return `#${field.id}`;
    const form = field.form;
    const fixed = form ? [...form.querySelectorAll('input[type=hidden]')].filter(({ name }) => !['_token', 'revision', 'at_revision', 'mute', 'mono', 'on'].includes(name)).map(({ name, value }) => `${name}=${value}`) : [];
    return `${form?.getAttribute('action')}|${fixed.join('&')}|${field.tagName === 'BUTTON' ? `button ${field.name}` : field.name}|${['checkbox', 'submit'].includes(field.type) && field.name ? field.value : ''}`;
};
const fields = () => [...document.querySelectorAll('input:not([type=hidden]), textarea, select, button')];
// The choice that a list came with: the one marked as chosen, else the first that can be chosen.
const choiceAtFirst = ({ options }) => [...options].findLast((option) => option.defaultSelected) ?? [...options].find((option) => !option.disabled);
// Whether a field holds what a person entered or chose and has not sent.
const isDirty = (field) => {
    if (field.type === 'checkbox') return field.checked !== field.defaultChecked;
    if (field.multiple) return [...field.options].some(({ selected, defaultSelected }) => selected !== defaultSelected);
    if (field.matches('select')) return field.selectedOptions[0] !== choiceAtFirst(field);
    return field.matches('input, textarea') && field.value !== field.defaultValue;
};

// A click is pressing and letting go on the same element: a redrawing in between would swallow it.
let isPressed = false;
document.addEventListener('pointerdown', () => { isPressed = true; }, true);
for (const end of ['pointerup', 'pointercancel']) document.addEventListener(end, () => { isPressed = false; }, true);
document.addEventListener('pointermove', ({ buttons }) => { isPressed &&= buttons !== 0; }, true);

// How often the page was redrawn: what was fetched before the last time is out of date. And how many changes are on their way.
let drawings = 0;
let sending = 0;

// Puts another state of the page in place of this one; `seen` is the drawing that it was asked for from.
export const redraw = (html, sent = null, seen = drawings) => {
    if (sent === null && seen !== drawings) return;
    const next = new DOMParser().parseFromString(html, 'text/html');
    if (!next.querySelector('main#view')) return window.location.reload();
    // Whoever is in a dialog is not disturbed.
    const dialog = document.querySelector('dialog[open]');
    if (dialog) return dialog.addEventListener('close', () => redraw(html, sent, seen), { once: true });
    if (isPressed || (sent === null && sending > 0)) return setTimeout(() => redraw(html, sent, seen), 50);
    drawings++;
    const focused = document.activeElement;
    const focus = focused && focused !== document.body ? (focused.matches('input, textarea, select, button') ? keyOf(focused) : focused.getAttribute('href') && `href:${focused.getAttribute('href')}`) : null;
    const typed = fields().filter((field) => isDirty(field) && field.form !== sent && !field.closest('dialog')).map((field) => [keyOf(field), field.value, field.checked, [...(field.selectedOptions ?? [])].map((option) => option.value)]);
    const open = [...document.querySelectorAll('details[data-keep][open] > summary')].map((summary) => summary.textContent.trim().slice(0, 60));
    const scrolls = [...document.querySelectorAll('main#view, main#view *')].filter((one) => one.scrollTop || one.scrollLeft).map((one) => [one.className, one.scrollTop, one.scrollLeft]);

    const message = document.querySelector('.message');
    document.title = next.title;
    for (const { name, value } of next.body.attributes) document.body.setAttribute(name, value);
    document.body.replaceChildren(...next.body.childNodes);
    // What was said stays for as long as it would have, where nothing new is said.
    if (message && !document.querySelector('.message')) document.body.append(message);

    const found = new Map(fields().map((field) => [keyOf(field), field]));
    for (const [key, value, checked, chosen] of typed) {
        const field = found.get(key);
        if (field?.type === 'checkbox') field.checked = checked;
        else if (field?.multiple) for (const option of field.options) option.selected = chosen.includes(option.value);
        else if (field?.matches('select')) for (const option of field.options) option.selected ||= option.value === value;
        else if (field) field.value = value;
    }
    for (const summary of document.querySelectorAll('details[data-keep] > summary')) if (open.includes(summary.textContent.trim().slice(0, 60))) summary.parentElement.open = true;
    for (const [name, top, left] of scrolls) if (name && typeof name === 'string') document.getElementsByClassName(name)[0]?.scrollTo(left, top);
    wake();
    if (focus) (focus.startsWith('href:') ? document.querySelector(`a[href="${CSS.escape(focus.slice(5))}"]`) : found.get(focus))?.focus({ preventScroll: true });
};

export const refresh = async (sent = null) => {
    const seen = drawings;
    const answer = await fetch(window.location.href, { headers: { Accept: 'text/html' } });
    if (!answer.ok) throw new Error(String(answer.status));
    redraw(await answer.text(), sent, seen);
};

// Next to what was entered; where nothing was, in the corner of the page.
const complain = (form, message) => {
    document.querySelector('.form-trouble')?.remove();
    const note = document.createElement('p');
    note.setAttribute('role', 'alert');
    note.textContent = message;
    if (form.querySelector('input:not([type=hidden]), textarea, select')) {
        note.className = 'form-trouble';
        form.append(note);
        note.scrollIntoView({ block: 'nearest' });
    } else {
        note.className = 'form-trouble message trouble';
        document.body.append(note);
    }
};

const send = async (form, submitter) => {
    const data = new FormData(form, submitter);
    form.setAttribute('aria-busy', 'true');
    sending++;
    let answer;
    try {
        answer = await fetch(form.action, { method: 'POST', body: data, headers: { Accept: 'application/json', 'X-Page': window.location.href } });
    } catch {
        return complain(form, NOT_SAVED);
    } finally {
        form.removeAttribute('aria-busy');
        sending--;
    }
    if (answer.ok) {
        try {
            const { page } = await answer.json();
            if (page) redraw(page, form);
            else await refresh(form);
        } catch {
            complain(form, 'Saved, but the page could not be drawn anew. Load it again.');
        }
    } else if (answer.status === 401 || answer.status === 419) {
        complain(form, 'Not saved: you are signed out. Sign in in another tab, then send it again; what you entered is still here.');
    } else {
        const said = answer.status < 500 ? await answer.json().catch(() => null) : null;
        complain(form, said?.message ? `Not saved: ${said.message}` : NOT_SAVED);
    }
};

document.addEventListener('submit', (event) => {
    if (!event.target.matches('form[data-send]')) return;
    event.preventDefault();
    if (event.target.getAttribute('aria-busy') !== 'true') send(event.target, event.submitter);
});
// A number or choice that is set by itself is sent when it is left or chosen.
document.addEventListener('change', (event) => {
    if (event.target.matches('[data-auto]') && event.target.reportValidity()) event.target.form?.requestSubmit();
});
// On the map a click on a socket that lights up plugs.
document.addEventListener('click', (event) => {
    const socket = event.target.closest?.('[data-plug]');
    const form = document.querySelector('[data-plug-form]');
    if (socket && form) {
        event.preventDefault();
        form.elements.to.value = socket.dataset.plug;
        form.requestSubmit();
    }
});
onWake(() => {
    // What was done is said, and goes by itself; what went wrong stays.
    const message = document.querySelector('.message:not(.trouble)');
    if (message) setTimeout(() => message.remove(), 8000);
});
