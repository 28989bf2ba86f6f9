// Where the map is drawn too small for its smaller texts, what the pointer or the keyboard is at says its name beside it.
const WHAT = '.socket, .port, .line, .plate-open';

const textOf = (at) => {
    if (at.matches('.socket')) return at.nextElementSibling?.textContent ?? '';
    if (at.matches('.line')) return at.querySelector('title')?.textContent ?? '';
    if (at.matches('.port')) return at.querySelector('.socket-name')?.textContent ?? '';
    return ['.plate-name', '.plate-caption'].map((part) => at.querySelector(part)?.textContent.trim()).filter(Boolean).join(', ');
};

export const nameTag = (frame, isFar) => {
    const tag = frame.querySelector('.map-tag');
    const show = (event) => {
        const at = isFar() && event.target.closest?.(WHAT);
        const text = at ? textOf(at) : '';
        tag.hidden = text === '';
        if (text === '') return;
        tag.textContent = text;
        const around = frame.getBoundingClientRect();
        // A line is long: its name is shown at the pointer.
        const box = at.matches('.line') && event.type === 'pointerover'
            ? new DOMRect(event.clientX, event.clientY, 0, 0)
            : at.getBoundingClientRect();
        const left = Math.min(Math.max(4, box.left - around.left), around.width - tag.offsetWidth - 4);
        const above = box.top - around.top - tag.offsetHeight - 6;
        tag.style.left = `${left}px`;
        tag.style.top = `${above < 4 ? box.bottom - around.top + 6 : above}px`;
    };
    const hide = () => (tag.hidden = true);
    frame.addEventListener('pointerover', show);
    frame.addEventListener('focusin', show);
    frame.addEventListener('pointerleave', hide);
    frame.addEventListener('focusout', hide);
};
