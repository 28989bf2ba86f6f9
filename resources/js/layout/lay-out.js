// Lays a map out in a worker, so that the page's own thread stays free, and gives the geometry to the server, which draws.
import { refresh } from '../send.js';
import { onWake, wake } from '../wake.js';

const start = (place, signal) => {
    const says = place.querySelector('[data-layout-says]');
    const stop = place.querySelector('[data-layout-stop]');
    if (!says) return;
    const { structure, depth, situation, graph, to } = JSON.parse(place.dataset.layout);
    const worker = new Worker(new URL('./worker.js', import.meta.url), { type: 'module' });
    const end = (message) => {
        worker.terminate();
        says.textContent = message;
        stop?.remove();
    };
    const keep = async (geometry) => {
        const answer = await fetch(to, {
            method: 'PUT',
            headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-Page': window.location.href, 'X-CSRF-TOKEN': document.querySelector('meta[name=csrf-token]').content },
            body: JSON.stringify({ structure, depth, situation, geometry }),
        });
        const { drawing } = answer.ok ? await answer.clone().json() : {};
        if (drawing && !signal.aborted) {
            place.outerHTML = drawing;
            wake();
        } else if (answer.ok && !signal.aborted) refresh().catch(() => end('The layout is kept. Load the page again to see it.'));
        else if (answer.ok || signal.aborted) return;
        else end(`The layout could not be kept: ${(await answer.json().catch(() => ({}))).message ?? answer.status}`);
    };
    stop?.addEventListener('click', () => end('Stopped. Load the page again to lay the map out.'));
    worker.addEventListener('error', () => end('The map could not be laid out. Load the page again to try once more.'));
    worker.addEventListener('message', ({ data }) => {
        if (data.geometry) keep(data.geometry).catch((error) => end(`The layout could not be kept: ${error.message}`));
        else if (data.error) end(`The map could not be laid out: ${data.error}`);
        else says.textContent = `Laying the map out: ${Math.round((100 * data.done) / data.of)} %`;
    });
    worker.postMessage(graph);
    signal.addEventListener('abort', () => worker.terminate());
};

onWake((signal) => {
    for (const place of document.querySelectorAll('[data-layout]')) start(place, signal);
});
