// An own model is drawn by the server while it is being written.
const WAIT_MS = 250;

export function sketch() {
    return {
        timer: null,
        asked: 0,

        typed() {
            clearTimeout(this.timer);
            this.timer = setTimeout(() => this.draw(), WAIT_MS);
        },

        async draw() {
            const number = ++this.asked;
            const body = new FormData(this.$root);
            body.delete('_method');
            const answer = await fetch(this.$root.dataset.sketch, { method: 'POST', body, headers: { Accept: 'text/html' } }).catch(() => null);
            if (!answer || number !== this.asked) return;
            // What is still wrong is shown beside the last drawing, which stays.
            const html = new DOMParser().parseFromString(await answer.text(), 'text/html').body;
            const drawing = document.querySelector('[data-sketched]');
            drawing.querySelector('.trouble')?.remove();
            if (answer.ok) drawing.replaceChildren(...html.childNodes);
            else if (answer.status === 422) drawing.prepend(...html.childNodes);
            document.dispatchEvent(new CustomEvent('sheet-judged'));
        },
    };
}
