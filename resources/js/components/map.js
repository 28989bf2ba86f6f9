// Pan, zoom and fit of the map. The view is kept for each map while the tab is open, so that following a link does not lose the place.
import panzoom from 'panzoom';
import { nameTag } from '../page/map-tag.js';
import { drawPlugs } from '../page/plugging.js';

const FARTHEST = 0.12;
const NEAREST = 4;
const STEP = 1.25;
const MOVE = 70;
// Pixels by which its window changes without the map: a line of text or two.
const LINE = 60;
// Below this size on screen the smaller texts can't be read: they are left out, and names are drawn larger. Below the second, names too
// would be unreadable or too large for their plates: the map then starts at one place.
const READABLE = 1;
const OVERVIEW = 0.55;

/** Pixels of a plate beside its name, left and right together. */
const BESIDE = 13;

// A name that is drawn larger stays within its plate.
const keepInside = (svg) => {
    const unmeasured = [...svg.querySelectorAll('.plate-name')].filter((name) => name.style.getPropertyValue('--most') === '');
    const most = unmeasured.map((name) => {
        const room = name.parentNode.querySelector('.plate-body').width.baseVal.value - BESIDE;
        return (parseFloat(getComputedStyle(name).fontSize) * room) / Math.max(1, name.getComputedTextLength());
    });
    unmeasured.forEach((name, i) => name.style.setProperty('--most', `${most[i].toFixed(1)}px`));
};

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
        // A cable is drawn from a socket; the map stays.
        beforeMouseDown: (event) => frame.dataset.plugs !== undefined && event.target.closest('[data-port]') !== null,
    });
    const rescale = () => {
        const { scale } = view.getTransform();
        svg.classList.toggle('far', scale < READABLE);
        svg.style.setProperty('--scale', Math.max(scale, OVERVIEW).toFixed(3));
        if (scale < READABLE) keepInside(svg);
    };
    view.on('transform', rescale);

    const place = ({ x, y, scale }) => {
        view.zoomAbs(0, 0, scale);
        view.moveTo(x, y);
    };
    // While nobody has moved the map it fits its window, whatever becomes of the window.
    let isFitted = false;
    const fit = () => {
        const { width, height } = frame.getBoundingClientRect();
        const scale = Math.min(1.25, Math.max(FARTHEST, Math.min((width - 16) / size.width, (height - 12) / size.height)));
        place({ x: (width - size.width * scale) / 2, y: Math.max(6, (height - size.height * scale) / 2), scale });
        sessionStorage.removeItem(key);
        isFitted = true;
    };
    const boxOf = (id) => frame.querySelector(`[data-place="${CSS.escape(id)}"] rect`)?.getBBox();
    // One place fills the window, as far as it stays readable.
    const fill = (id) => {
        const box = boxOf(id);
        if (!box) return;
        const { width, height } = frame.getBoundingClientRect();
        const scale = Math.max(READABLE, Math.min(1.6, (width - 24) / box.width, (height - 24) / box.height));
        const middle = (window_, start, length) => (length * scale > window_ - 16 ? 8 - start * scale : (window_ - length * scale) / 2 - start * scale);
        place({ x: middle(width, box.x, box.width), y: middle(height, box.y, box.height), scale });
        keep();
    };
    const placeOfChoice = () => {
        const chosen = frame.querySelector('.plate.selected .plate-body, .port-here .port-reach')?.getBBox();
        const isAround = (one) => {
            const box = one.querySelector('rect').getBBox();
            return chosen && chosen.x >= box.x && chosen.x <= box.x + box.width && chosen.y >= box.y && chosen.y <= box.y + box.height;
        };
        const places = [...frame.querySelectorAll('[data-place]')];
        return (places.find(isAround) ?? places[0])?.dataset.place;
    };
    // At first sight: the whole where it can be read, else the place of what is chosen.
    const first = () => {
        fit();
        if (view.getTransform().scale < OVERVIEW) fill(placeOfChoice());
    };
    // What was chosen elsewhere is brought into the window.
    let revealed = null;
    const reveal = () => {
        const chosen = frame.querySelector('.plate.selected .plate-body, .port-here .port-reach, .line.selected .reach');
        const key_ = chosen?.closest('a')?.getAttribute('data-unit') ?? chosen?.closest('[data-port]')?.dataset.port ?? null;
        if (!chosen || key_ === revealed || frame.classList.contains('plugging')) return;
        revealed = key_;
        const box = chosen.getBoundingClientRect();
        const around = frame.getBoundingClientRect();
        const x = box.left < around.left ? around.left - box.left + 30 : Math.min(0, around.right - box.right - 30);
        const y = box.top < around.top ? around.top - box.top + 30 : Math.min(0, around.bottom - box.bottom - 30);
        if (x !== 0 || y !== 0) move(x, y);
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

    const keep = () => {
        isFitted = false;
        sessionStorage.setItem(key, JSON.stringify({ ...view.getTransform() }));
    };
    const kept = sessionStorage.getItem(key);
    if (kept) place(JSON.parse(kept));
    else first();
    rescale();
    reveal();
    drawPlugs(frame, signal);
    view.on('panend', keep);
    frame.addEventListener('wheel', keep);
    // A line that is said below the map leaves it where it is.
    let fitted = frame.getBoundingClientRect();
    const isOtherSize = () => {
        const now = frame.getBoundingClientRect();
        const isOther = Math.abs(now.width - fitted.width) > LINE || Math.abs(now.height - fitted.height) > LINE;
        if (isOther) fitted = now;
        return isOther;
    };
    new ResizeObserver(() => isFitted && isOtherSize() && fit()).observe(frame);

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
    document.addEventListener('click', (event) => {
        actions[event.target.closest?.('[data-zoom]')?.dataset.zoom]?.();
        fill(event.target.closest?.('[data-zoom-place]')?.dataset.zoomPlace ?? '');
    }, { signal });
    // Another map in the same window.
    document.addEventListener('redrawn', () => {
        rescale();
        reveal();
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
    nameTag(frame, () => svg.classList.contains('far'));
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
