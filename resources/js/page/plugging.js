// A cable is drawn from socket to socket on the map. While it is drawn the sockets that take its other end light up; let go on one that does
// not, and the sheet says why and what could stand between.
import { refresh, settled } from './redraw.js';
import { addressOf, stay, visit } from './visit.js';

const FAR_ENOUGH = 6;
const SVG = 'http://www.w3.org/2000/svg';

const portAt = ({ clientX, clientY }) => document.elementFromPoint(clientX, clientY)?.closest('[data-port]') ?? null;

/** Sends a plug, once the one before has come back. */
export const plug = async (from, to) => {
    await settled();
    const form = document.querySelector('[data-plug-form]');
    if (!form) return;
    form.elements.from.value = from;
    form.elements.to.value = to;
    form.requestSubmit();
};

export const drawPlugs = (frame, signal) => {
    let drawn = null;

    const spot = (event) => {
        const svg = frame.querySelector('svg');
        const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());
        return [at.x, at.y];
    };

    const begin = (event) => {
        const line = document.createElementNS(SVG, 'path');
        line.setAttribute('class', 'plug-line');
        line.setAttribute('data-own', '');
        frame.querySelector('svg').append(line);
        drawn.line = line;
        frame.classList.add('plugging');
        const lit = new URL(window.location.href);
        lit.searchParams.set('lit', drawn.from);
        visit(lit.href, false);
        extend(event);
    };

    const extend = (event) => {
        const [x, y] = spot(event);
        drawn.line.setAttribute('d', `M${drawn.at[0]},${drawn.at[1]} L${x},${y}`);
        frame.querySelectorAll('.port-aim').forEach((one) => one.classList.remove('port-aim'));
        portAt(event)?.classList.add('port-aim');
    };

    const end = () => {
        drawn?.line?.remove();
        frame.classList.remove('plugging');
        frame.querySelectorAll('.port-aim').forEach((one) => one.classList.remove('port-aim'));
        drawn = null;
    };

    const drop = (event) => {
        const { from } = drawn;
        const port = portAt(event);
        // What does not fit is known only once the page has come back for this socket.
        const isKnown = frame.querySelector('.port-here')?.dataset.port === from;
        stay();
        end();
        if (!port || port.dataset.port === from) return refresh().catch(() => null);
        if (isKnown && port.matches('.port-taken, .port-blocked')) {
            const both = new URL(addressOf(port));
            both.searchParams.set('select', `socket:${from}`);
            both.searchParams.set('with', port.dataset.port);
            return visit(both.href);
        }
        plug(from, port.dataset.port);
    };

    frame.addEventListener('pointerdown', (event) => {
        const port = event.target.closest('[data-port]');
        if (!port || event.button !== 0 || event.pointerType === 'touch' || frame.dataset.plugs === undefined) return;
        drawn = { from: port.dataset.port, at: spot(event), x: event.clientX, y: event.clientY, line: null };
    }, { signal });
    frame.addEventListener('dragstart', (event) => event.preventDefault(), { signal });
    window.addEventListener('pointermove', (event) => {
        if (!drawn) return;
        if (drawn.line) extend(event);
        else if (Math.hypot(event.clientX - drawn.x, event.clientY - drawn.y) > FAR_ENOUGH) begin(event);
    }, { signal });
    window.addEventListener('pointerup', (event) => {
        if (drawn?.line) drop(event);
        else drawn = null;
    }, { signal });
    window.addEventListener('pointercancel', end, { signal });
};
