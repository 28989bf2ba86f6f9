// Paper or night desk: the person's choice where there is one, else the system's. The choice is persisted by Alpine; the page wears it
// from its first paint (public/theme.js).
export const theme = (Alpine) => ({
    chosen: Alpine.$persist(null).as('theme'),

    init() {
        this.show();
        for (const name of ['redrawn', 'arrived']) document.addEventListener(name, () => this.show());
    },

    now() {
        return this.chosen ?? (window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light');
    },

    turn() {
        this.chosen = this.now() === 'dark' ? 'light' : 'dark';
        this.show();
    },

    show() {
        document.documentElement.dataset.bsTheme = this.now();
        for (const icon of document.querySelectorAll('[data-theme-switch] .bi')) icon.className = `bi bi-${this.now() === 'dark' ? 'sun' : 'moon'}`;
    },
});
