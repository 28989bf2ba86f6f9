// Lays a map out in a worker, so that the page's own thread stays free, and gives the geometry to the server, which draws.
import { refresh } from '../page/redraw.js';
import { token } from '../page/send.js';

export function layOut() {
    return {
        says: 'Laying the map out …',
        isDone: false,
        worker: null,

        init() {
            const { graph } = JSON.parse(this.$root.dataset.layout);
            if (graph.places.length === 0) {
                this.says = '';
                this.isDone = true;
                return;
            }
            this.worker = new Worker(new URL('../layout/worker.js', import.meta.url), { type: 'module' });
            this.worker.addEventListener('error', () => this.end('The map could not be laid out. Reload the page to try once more.'));
            this.worker.addEventListener('message', ({ data }) => this.heard(data));
            this.worker.postMessage(graph);
        },

        destroy() {
            this.worker?.terminate();
        },

        stop() {
            this.end('Stopped. Reload the page to lay the map out.');
        },

        end(text) {
            this.worker?.terminate();
            this.says = text;
            this.isDone = true;
        },

        heard(data) {
            if (data.geometry) this.keep(data.geometry).catch((error) => this.end(`The layout could not be kept: ${error.message}`));
            else if (data.error) this.end(`The map could not be laid out: ${data.error}`);
            else this.says = `Laying the map out: ${Math.round((100 * data.done) / data.of)} %`;
        },

        async keep(geometry) {
            const { structure, depth, situation, to } = JSON.parse(this.$root.dataset.layout);
            const answer = await fetch(to, {
                method: 'PUT',
                headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-Page': window.location.href, 'X-CSRF-TOKEN': token() },
                body: JSON.stringify({ structure, depth, situation, geometry }),
            });
            const said = await answer.json().catch(() => ({}));
            if (!this.$root.isConnected) return;
            // Who may only look gets the drawing in the answer: nothing is kept.
            if (answer.ok && said.drawing) this.$root.outerHTML = said.drawing;
            else if (answer.ok) await refresh().catch(() => this.end('The layout is kept. Reload the page to see it.'));
            else this.end(`The layout could not be kept: ${said.message ?? answer.status}`);
        },
    };
}
