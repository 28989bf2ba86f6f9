// Pan, zoom and fit of the map. The view is kept for each map while the tab is open, so that following a link does not lose the place.
import panzoom from 'panzoom';

const FARTHEST = 0.12;
const NEAREST = 4;
const STEP = 1.25;
const MOVE = 70;

const start = (frame, signal) => {
    const svg = frame.querySelector('svg');
    const sizeNow = () => ({ width: svg.width.baseVal.value, height: svg.height.baseVal.value });
    let size = sizeNow();
    const key = `map-${frame.dataset.map}`;
    const view = panzoom(svg, {
        minZoom: FARTHEST,
        maxZoom: NEAREST,
        smoothScroll: false,
        zoomDoubleClickSpeed: 1,
        filterKey: () => true,
        onTouch: () => false,
        beforeWheel: () => false,
    });

    const place = ({ x, y, scale }) => {
        view.zoomAbs(0, 0, scale);
        view.moveTo(x, y);
    };
    // While nobody has moved the map it fits its window, whatever becomes of the window.
    let isFitted = false;
    const fit = () => {
        const { width, height } = frame.getBoundingClientRect();
        const scale = Math.min(1.25, Math.max(FARTHEST, Math.min((width - 24) / size.width, (height - 24) / size.height)));
        place({ x: (width - size.width * scale) / 2, y: Math.max(8, (height - size.height * scale) / 2), scale });
        sessionStorage.removeItem(key);
        isFitted = true;
    };
    const zoom = (by) => {
        const { width, height } = frame.getBoundingClientRect();
        view.zoomTo(width / 2, height / 2, by);
        keep();
    };
    const move = (x, y) => {
        const now = view.getTransform();
        view.moveTo(now.x + x, now.y + y);
    };

    const kept = sessionStorage.getItem(key);
    if (kept) place(JSON.parse(kept));
    else fit();
    const keep = () => {
        isFitted = false;
        sessionStorage.setItem(key, JSON.stringify({ ...view.getTransform() }));
    };
    view.on('panend', keep);
    frame.addEventListener('wheel', keep);
    new ResizeObserver(() => isFitted && fit()).observe(frame);

    // A drag that ends on a plate is no click on it.
    let from = null;
    frame.addEventListener('pointerdown', (event) => (from = [event.clientX, event.clientY]), true);
    frame.addEventListener('click', (event) => {
        if (from && Math.hypot(event.clientX - from[0], event.clientY - from[1]) > 5) {
            event.preventDefault();
            event.stopPropagation();
        }
    }, true);

    const actions = { in: () => zoom(STEP), out: () => zoom(1 / STEP), fit };
    document.addEventListener('click', (event) => actions[event.target.closest?.('[data-zoom]')?.dataset.zoom]?.(), { signal });
    // Another map in the same window.
    document.addEventListener('redrawn', () => {
        const now = sizeNow();
        if (now.width === size.width && now.height === size.height) return;
        size = now;
        if (isFitted) fit();
    }, { signal });
    const keys = { '+': actions.in, '=': actions.in, '-': actions.out, f: fit, 0: fit };
    const arrows = { ArrowLeft: [MOVE, 0], ArrowRight: [-MOVE, 0], ArrowUp: [0, MOVE], ArrowDown: [0, -MOVE] };
    document.addEventListener('keydown', (event) => {
        if (event.ctrlKey || event.metaKey || event.altKey || event.target.matches?.('input, textarea, select')) return;
        if (keys[event.key]) {
            keys[event.key]();
            event.preventDefault();
        } else if (arrows[event.key] && frame.contains(document.activeElement)) {
            move(...arrows[event.key]);
            keep();
            event.preventDefault();
        }
    }, { signal });
    signal.addEventListener('abort', () => view.dispose());
    // Whatever the keyboard comes to is brought into the window.
    frame.addEventListener('focusin', (event) => {
        if (event.target === frame || !event.target.matches(':focus-visible')) return;
        frame.scrollTo(0, 0);
        const box = event.target.getBoundingClientRect();
        const window_ = frame.getBoundingClientRect();
        const x = box.left < window_.left ? window_.left - box.left + 30 : Math.min(0, window_.right - box.right - 30);
        const y = box.top < window_.top ? window_.top - box.top + 30 : Math.min(0, window_.bottom - box.bottom - 30);
        if (x !== 0 || y !== 0) move(x, y);
    });
    frame.dataset.ready = 'yes';
};

export function map() {
    return {
        gone: new AbortController(),

        init() {
            start(this.$root, this.gone.signal);
        },

        destroy() {
            this.gone.abort();
        },
    };
}
