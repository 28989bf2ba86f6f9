// Asks what the checks have found, once the page is shown, and says how much it is.
export function found() {
    return {
        says: 'Checks',
        gone: new AbortController(),

        async init() {
            const { signal } = this.gone;
            const answer = await fetch(this.$root.dataset.causes, { headers: { Accept: 'application/json' }, signal }).catch(() => null);
            const told = answer?.ok ? await answer.json().catch(() => null) : null;
            if (!signal.aborted) this.says = told === null ? 'Checks' : told.found || 'Nothing found';
        },

        destroy() {
            this.gone.abort();
        },
    };
}
