// The layout's own thread: elkjs runs in a thread below it.
import ELK from 'elkjs/lib/elk-api.js';
import elkWorkerUrl from 'elkjs/lib/elk-worker.min.js?url';
import { layOutMap } from './lay-out-map.js';

self.addEventListener('message', async ({ data }) => {
    const elk = new ELK({ workerFactory: () => new Worker(elkWorkerUrl) });
    try {
        const geometry = await layOutMap(data, elk, (done, of) => done % 10 === 0 && self.postMessage({ done, of }));
        self.postMessage({ geometry });
    } catch (error) {
        self.postMessage({ error: error.message });
    } finally {
        elk.terminateWorker();
    }
});
