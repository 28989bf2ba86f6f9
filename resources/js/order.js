// The start order of a computer's programs: dragged, or moved by its buttons or Alt and the arrows.
import { onWake } from './wake.js';

const send = (list) => {
    const form = document.querySelector(`[data-order-form="${CSS.escape(list.dataset.order)}"]`);
    if (!form) return;
    form.elements.programs.value = [...list.children].map((item) => item.dataset.program).join(',');
    form.requestSubmit();
};
const move = (item, by) => {
    const other = by < 0 ? item.previousElementSibling : item.nextElementSibling;
    if (!other) return;
    if (by < 0) other.before(item);
    else other.after(item);
    send(item.parentElement);
};

onWake((signal) => {
    for (const list of document.querySelectorAll('[data-order]')) {
        let dragged = null;
        list.addEventListener('dragstart', (event) => (dragged = event.target.closest('li')), { signal });
        list.addEventListener('dragover', (event) => {
            const over = event.target.closest('li');
            if (!dragged || !over || over === dragged) return;
            event.preventDefault();
            const box = over.getBoundingClientRect();
            if (event.clientY < box.top + box.height / 2) over.before(dragged);
            else over.after(dragged);
        }, { signal });
        list.addEventListener('dragend', () => {
            if (dragged) send(list);
            dragged = null;
        }, { signal });
        list.addEventListener('click', (event) => {
            const button = event.target.closest('[data-move]');
            if (button) move(button.closest('li'), Number(button.dataset.move));
        }, { signal });
        list.addEventListener('keydown', (event) => {
            if (!event.altKey || !['ArrowUp', 'ArrowDown'].includes(event.key)) return;
            event.preventDefault();
            move(event.target.closest('li'), event.key === 'ArrowUp' ? -1 : 1);
        }, { signal });
    }
});
