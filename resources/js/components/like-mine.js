// What somebody has is counted, and the starters are sorted anew: fetched as the page has them, put in place of those that were.
export function likeMine() {
    return {
        asked: 0,

        step({ currentTarget }) {
            const field = currentTarget.parentElement.querySelector('input');
            if (currentTarget.dataset.step === '1') field.stepUp();
            else field.stepDown();
            this.look();
        },

        async look() {
            const number = ++this.asked;
            const form = this.$root.querySelector('form');
            const address = new URL(form.action, window.location.href);
            address.search = new URLSearchParams(new FormData(form)).toString();
            const answer = await fetch(address, { headers: { Accept: 'text/html' } }).catch(() => null);
            if (number !== this.asked || !answer?.ok) return;
            const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
            const found = page.querySelector('.like-found');
            if (found && number === this.asked) this.$refs.found.innerHTML = found.innerHTML;
        },
    };
}
