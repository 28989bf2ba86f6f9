// Before the first paint: the theme that was chosen, else the system's.
(() => {
    let chosen = null;
    try {
        chosen = JSON.parse(localStorage.getItem('theme'));
    } catch {
        chosen = localStorage.getItem('theme');
        localStorage.setItem('theme', JSON.stringify(chosen));
    }
    document.documentElement.classList.add('scripted');
    document.documentElement.dataset.bsTheme = chosen ?? (window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light');
})();
