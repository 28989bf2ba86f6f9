// Where plates and places stand. Inside a place elkjs orders the plates by the flow of the signal; the places are then shelved like photographs on a page, in the order
// that keeps the lines between them short and the whole near the shape of a window.

export const GRID = 8;
const HEAD = 40;
const ROW = 16;
const FIRST_ROW = HEAD + ROW / 2 + 2;
const PADDING = { top: 40, side: 16, bottom: 16 };
const COLUMN_GAP = 64;
const PLATE_GAP = 24;
const GUTTER = 40;
const MARGIN = 24;
const SHAPE = 1.62;
const EXACT_ORDERS_UP_TO = 7;

const up = (value) => Math.ceil(value / GRID) * GRID;

const INNER = {
    'elk.algorithm': 'layered',
    'elk.direction': 'RIGHT',
    'elk.layered.spacing.nodeNodeBetweenLayers': String(COLUMN_GAP),
    'elk.spacing.nodeNode': String(PLATE_GAP),
    'elk.spacing.componentComponent': String(PLATE_GAP),
    'elk.layered.nodePlacement.strategy': 'NETWORK_SIMPLEX',
    'elk.layered.considerModelOrder.strategy': 'NODES_AND_EDGES',
    'elk.layered.thoroughness': '20',
    'elk.aspectRatio': '1.6',
};

/** Each place laid out by itself: plates relative to its corner, and its size. */
async function layPlace(place, edges, elk) {
    const own = new Set(place.plates.flatMap((plate) => [...plate.left, ...plate.right]));
    const laid = await elk.layout({
        id: place.id,
        layoutOptions: INNER,
        children: place.plates.map((plate) => ({
            id: plate.id,
            width: up(plate.width),
            height: plate.height,
            layoutOptions: { 'elk.portConstraints': 'FIXED_POS' },
            ports: [
                ...plate.left.map((id, i) => ({ id, x: 0, y: FIRST_ROW + ROW * i, layoutOptions: { 'elk.port.side': 'WEST' } })),
                ...plate.right.map((id, i) => ({ id, x: up(plate.width), y: FIRST_ROW + ROW * i, layoutOptions: { 'elk.port.side': 'EAST' } })),
            ],
        })),
        edges: edges.filter((edge) => own.has(edge.from) && own.has(edge.to)).map((edge) => ({ id: edge.id, sources: [edge.from], targets: [edge.to] })),
    });
    const plates = laid.children.map((plate) => ({ id: plate.id, x: up(plate.x) + PADDING.side, y: up(plate.y) + PADDING.top - 2, width: plate.width, height: plate.height }));
    const right = Math.max(place.least - PADDING.side, ...plates.map((plate) => plate.x + plate.width));
    const bottom = Math.max(...plates.map((plate) => plate.y + plate.height));
    return { id: place.id, width: up(right + PADDING.side), height: up(bottom + PADDING.bottom), plates };
}

function* orders(items) {
    if (items.length <= 1) {
        yield items;
        return;
    }
    for (let i = 0; i < items.length; i++) {
        for (const rest of orders([...items.slice(0, i), ...items.slice(i + 1)])) yield [items[i], ...rest];
    }
}

/** Places in rows no wider than a width, each row's places centred on its height. */
function shelve(order, width) {
    const rows = [];
    for (const place of order) {
        const row = rows.at(-1);
        if (row && row.width + GUTTER + place.width <= width) {
            row.places.push(place);
            row.width += GUTTER + place.width;
            row.height = Math.max(row.height, place.height);
        } else {
            rows.push({ places: [place], width: place.width, height: place.height });
        }
    }
    const whole = Math.max(...rows.map((row) => row.width));
    const at = {};
    let y = MARGIN;
    for (const row of rows) {
        // What is left of a row's width goes between its places, so that lines have room and edges align.
        const spare = row.places.length > 1 ? Math.min(64, (whole - row.width) / (row.places.length - 1)) : 0;
        let x = MARGIN;
        for (const place of row.places) {
            at[place.id] = [Math.round(x / GRID) * GRID, y + Math.round((row.height - place.height) / 2 / GRID) * GRID];
            x += place.width + GUTTER + spare;
        }
        y += row.height + GUTTER;
    }
    return { at, width: whole + 2 * MARGIN, height: y - GUTTER + MARGIN };
}

/** Ports' offsets in their place, for guessing how long a line gets. */
function portsOf(place, structure) {
    const ports = {};
    for (const plate of structure.plates) {
        const box = place.plates.find((one) => one.id === plate.id);
        plate.left.forEach((id, i) => (ports[id] = { place: place.id, plate: plate.id, x: box.x, y: box.y + FIRST_ROW + ROW * i, side: -1 }));
        plate.right.forEach((id, i) => (ports[id] = { place: place.id, plate: plate.id, x: box.x + box.width, y: box.y + FIRST_ROW + ROW * i, side: 1 }));
    }
    return ports;
}

function costOf(shelf, edges, ports) {
    let lines = 0;
    for (const edge of edges) {
        const [a, b] = [ports[edge.from], ports[edge.to]];
        if (a.place === b.place) continue;
        const [ax, ay] = shelf.at[a.place];
        const [bx, by] = shelf.at[b.place];
        const dx = (bx + b.x - ax - a.x) * a.side;
        // A line that has to turn round costs its way back as well.
        lines += Math.abs(dx) * (dx < 0 ? 1.5 : 1) + Math.abs(by + b.y - ay - a.y);
    }
    const scale = Math.max(shelf.width / SHAPE, shelf.height);
    return lines / Math.max(1, edges.length) * 0.7 + scale * 2;
}

/** The same with known positions: only the lines are new. */
export function keepAll(structure, kept) {
    const ports = {};
    for (const place of structure.places) {
        const plates = place.plates.map((plate) => {
            const [x, y, width] = kept.boxes[`unit:${plate.id}`];
            return { id: plate.id, x, y, width };
        });
        Object.assign(ports, portsOf({ id: place.id, plates }, place));
    }
    return { ...kept, ports };
}

/** Boxes of places and plates, and every port's spot, in pixels. */
export async function placeAll(structure, elk) {
    const places = [];
    for (const place of structure.places) places.push(await layPlace(place, structure.edges, elk));
    const ports = Object.assign({}, ...places.map((place, i) => portsOf(place, structure.places[i])));
    const area = places.reduce((sum, place) => sum + (place.width + GUTTER) * (place.height + GUTTER), 0);
    const widest = Math.max(...places.map((place) => place.width));
    let best = null;
    const candidates = places.length <= EXACT_ORDERS_UP_TO ? orders(places) : [places, [...places].reverse()];
    for (const order of candidates) {
        for (const factor of [0.85, 0.95, 1.05, 1.15, 1.25, 1.4]) {
            const shelf = shelve(order, Math.max(widest, Math.sqrt(area * SHAPE) * factor));
            const cost = costOf(shelf, structure.edges, ports);
            if (!best || cost < best.cost) best = { shelf, cost };
        }
    }
    const { shelf } = best;
    const boxes = {};
    for (const place of places) {
        const [x, y] = shelf.at[place.id];
        boxes[`place:${place.id}`] = [x, y, place.width, place.height];
        for (const plate of place.plates) boxes[`unit:${plate.id}`] = [x + plate.x, y + plate.y, plate.width, plate.height];
    }
    for (const port of Object.values(ports)) {
        port.x += shelf.at[port.place][0];
        port.y += shelf.at[port.place][1];
    }
    return { width: shelf.width, height: shelf.height, boxes, ports };
}
