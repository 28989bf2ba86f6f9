// A part of a page that takes a moment to make: it is asked for once the page is shown. Without scripts a link leads to it.
export function fetched() {
    return {
        async init() {
            const answer = await fetch(this.$root.dataset.from, { headers: { Accept: 'text/html' } }).catch(() => null);
            const says = this.$root.querySelector('[role=status]');
            if (answer?.ok) this.$root.innerHTML = await answer.text();
            else if (says) says.textContent = answer ? `This could not be made (${answer.status}).` : 'The server did not answer. Load the page again.';
        },
    };
}
