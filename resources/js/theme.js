// Paper or night desk: the person's choice where there is one, else the system's.
import { onWake } from './wake.js';

const root = document.documentElement;
const wanted = () => localStorage.getItem('theme') ?? (window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light');

const show = (theme) => {
    root.dataset.bsTheme = theme;
    for (const icon of document.querySelectorAll('[data-theme-switch] .bi')) icon.className = `bi bi-${theme === 'dark' ? 'sun' : 'moon'}`;
};

export const switchTheme = () => {
    const next = root.dataset.bsTheme === 'dark' ? 'light' : 'dark';
    localStorage.setItem('theme', next);
    show(next);
};

show(wanted());
onWake(() => show(wanted()));
document.addEventListener('click', (event) => {
    if (event.target.closest?.('[data-theme-switch]')) switchTheme();
});
