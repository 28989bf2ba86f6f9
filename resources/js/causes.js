// Looks for the causes of what is not as wished once the page is shown, and draws the page anew when they are found: the server keeps
// them for the revision.
import { refresh } from './send.js';
import { onWake } from './wake.js';

onWake(async (signal) => {
    const place = document.querySelector('[data-causes]');
    if (!place) return;
    const answer = await fetch(place.dataset.causes, { headers: { Accept: 'application/json' }, signal }).catch(() => null);
    if (signal.aborted) return;
    if (answer?.ok) await refresh().catch(() => null);
    else for (const one of document.querySelectorAll('[data-causes]')) one.textContent = 'The causes could not be looked for: the server did not answer. Load the page again.';
});
