// Has rigs counted that nobody has counted yet, a second's worth at a time, and puts what is found into their cards.
export function standings() {
    return {
        init() {
            if (this.$root.dataset.standings) this.count();
        },

        async count() {
            const answer = await fetch(this.$root.dataset.standings, { headers: { Accept: 'application/json' } }).catch(() => null);
            if (!answer?.ok) return;
            const { left } = await answer.json();
            const page = await fetch(window.location.href).then((now) => now.text());
            const next = new DOMParser().parseFromString(page, 'text/html');
            for (const card of this.$root.querySelectorAll('[data-rig]')) {
                for (const part of ['.card-facts', '.card-count']) {
                    const found = next.querySelector(`[data-rig="${card.dataset.rig}"] ${part}`);
                    if (found) card.querySelector(part)?.replaceWith(found);
                }
            }
            if (left > 0) await this.count();
        },
    };
}
