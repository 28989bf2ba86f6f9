// From a map's structure to its geometry. No browser and no Node in here: both use it.
import { keepAll, placeAll } from './place.js';
import { Router } from './route.js';
import { labelAll, linesThrough } from './label.js';

/** How often lines that run through labels are led past them. */
const ROUNDS = 4;

export async function layOutMap(structure, elk, progress) {
    // A blank rig has a map too, with nothing on it.
    if (structure.places.length === 0) return { width: 0, height: 0, boxes: {}, edges: {} };
    const placed = structure.kept ? keepAll(structure, structure.kept) : await placeAll(structure, elk);
    const router = new Router(placed);
    let lines = router.routeAll(structure.edges, progress);
    let labels = labelAll(structure.edges, lines, placed);
    for (let round = 0; round < ROUNDS; round++) {
        const through = new Set(linesThrough(labels, lines));
        if (through.size === 0) break;
        const others = { ...lines, ...router.routeAgain(structure.edges.filter((edge) => through.has(edge.id)), labels) };
        const moved = labelAll(structure.edges, others, placed);
        if (linesThrough(moved, others).length >= through.size) break;
        [lines, labels] = [others, moved];
    }
    return {
        width: placed.width,
        height: placed.height,
        boxes: placed.boxes,
        edges: Object.fromEntries(structure.edges.map((edge) => [edge.id, { points: lines[edge.id], label: labels[edge.id] ?? null }])),
    };
}
