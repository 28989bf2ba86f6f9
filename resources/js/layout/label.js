// A place on its line for each label: on a long level stretch, clear of plates, of other labels, and as far as possible of other lines.

const HEIGHT = 15;
const STEP = 8;
/** How far from its end a label to one side is still on its line. */
const ASIDE = 8;

const overlap = (a, b, by = 0) => a[0] < b[0] + b[2] + by && b[0] < a[0] + a[2] + by && a[1] < b[1] + b[3] + by && b[1] < a[1] + a[3] + by;

function* spots(points, width) {
    for (let i = 1; i < points.length; i++) {
        const [ax, ay] = points[i - 1];
        const [bx, by] = points[i];
        const level = ay === by;
        const length = Math.abs(bx - ax) + Math.abs(by - ay);
        const room = length - (level ? width : HEIGHT);
        for (let along = Math.min(STEP, length / 2); along <= length - Math.min(STEP, length / 2); along += STEP) {
            const x = ax + (Math.sign(bx - ax) * along);
            const y = ay + (Math.sign(by - ay) * along);
            // A label can also hang to one side of an upright stretch, or just above or below a level one, where a plate is close.
            for (const aside of [0, -1, 1]) {
                const [right, down] = level ? [0, aside * (HEIGHT / 2 - 1)] : [aside * (width / 2 - ASIDE), 0];
                yield { box: [x - width / 2 + right, y - HEIGHT / 2 + down, width, HEIGHT], level, aside, room: Math.min(room, 60), fromMiddle: Math.abs(along - length / 2) };
            }
        }
    }
}

/** Ids of lines that run through the label of another one. */
export function linesThrough(labels, lines) {
    const through = Object.entries(lines).filter(([id, points]) => Object.entries(labels).some(([of, label]) => of !== id && points.some((point, i) => {
        if (i === 0) return false;
        const [left, top] = [Math.min(points[i - 1][0], point[0]), Math.min(points[i - 1][1], point[1])];
        return overlap(label, [left, top, Math.abs(points[i - 1][0] - point[0]), Math.abs(points[i - 1][1] - point[1])]);
    })));
    return through.map(([id]) => id);
}

export function labelAll(edges, lines, placed) {
    const plates = Object.entries(placed.boxes).filter(([id]) => id.startsWith('unit:')).map(([, box]) => box);
    const names = Object.entries(placed.boxes).filter(([id]) => id.startsWith('place:')).map(([, [x, y, width]]) => [x, y, width, 28]);
    const segments = Object.entries(lines).flatMap(([id, points]) => points.slice(1).map((point, i) => {
        const before = points[i];
        return { id, box: [Math.min(before[0], point[0]) - 1, Math.min(before[1], point[1]) - 1, Math.abs(before[0] - point[0]) + 2, Math.abs(before[1] - point[1]) + 2] };
    }));
    const labels = {};
    const taken = [];
    // The shortest lines have the least choice.
    const length = (edge) => lines[edge.id].reduce((sum, point, i, all) => (i ? sum + Math.abs(point[0] - all[i - 1][0]) + Math.abs(point[1] - all[i - 1][1]) : 0), 0);
    for (const edge of edges.filter((one) => one.label > 0).sort((a, b) => length(a) - length(b))) {
        let best = null;
        for (const spot of spots(lines[edge.id], edge.label)) {
            const hits = (boxes, by) => boxes.filter((box) => overlap(spot.box, box, by)).length;
            const crossed = segments.filter((segment) => segment.id !== edge.id && overlap(spot.box, segment.box, 1)).length;
            const cost = hits(taken, 2) * 1000 + hits(plates, 2) * 400 + hits(names, 0) * 60 + crossed * 50 + (spot.level ? 0 : 14) + Math.abs(spot.aside) * 12 + (spot.room < 8 ? 40 : 0) - spot.room * 0.3 + spot.fromMiddle * 0.05;
            if (!best || cost < best.cost) best = { cost, box: spot.box };
        }
        if (best) {
            labels[edge.id] = best.box;
            taken.push(best.box);
        }
    }
    return labels;
}
