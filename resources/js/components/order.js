// The start order of a computer's programs: dragged, or moved by its buttons or Alt and the arrows.
export function order() {
    return {
        dragged: null,

        take(event) {
            this.dragged = event.target.closest('li');
        },

        over(event) {
            const over = event.target.closest('li');
            if (!this.dragged || !over || over === this.dragged) return;
            event.preventDefault();
            const box = over.getBoundingClientRect();
            if (event.clientY < box.top + box.height / 2) over.before(this.dragged);
            else over.after(this.dragged);
        },

        drop() {
            if (this.dragged) this.send();
            this.dragged = null;
        },

        click(event) {
            const button = event.target.closest('[data-move]');
            if (button) this.move(button.closest('li'), Number(button.dataset.move));
        },

        key(event) {
            if (!event.altKey || !['ArrowUp', 'ArrowDown'].includes(event.key)) return;
            event.preventDefault();
            this.move(event.target.closest('li'), event.key === 'ArrowUp' ? -1 : 1);
        },

        move(item, by) {
            const other = by < 0 ? item.previousElementSibling : item.nextElementSibling;
            if (!other) return;
            const stood = document.activeElement;
            if (by < 0) other.before(item);
            else other.after(item);
            stood?.focus();
            this.send();
        },

        send() {
            const form = document.querySelector(`[data-order-form="${CSS.escape(this.$root.dataset.order)}"]`);
            if (!form) return;
            form.elements.programs.value = [...this.$root.children].map((item) => item.dataset.program).join(',');
            form.requestSubmit();
        },
    };
}
