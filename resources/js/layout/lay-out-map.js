// From a map's structure to its geometry. No browser and no Node in here: both use it.
import { keepAll, placeAll } from './place.js';
import { Router } from './route.js';
import { labelAll } from './label.js';

export async function layOutMap(structure, elk, progress) {
    // A blank rig has a map too, with nothing on it.
    if (structure.places.length === 0) return { width: 0, height: 0, boxes: {}, edges: {} };
    const placed = structure.kept ? keepAll(structure, structure.kept) : await placeAll(structure, elk);
    const lines = new Router(placed).routeAll(structure.edges, progress);
    const labels = labelAll(structure.edges, lines, placed);
    return {
        width: placed.width,
        height: placed.height,
        boxes: placed.boxes,
        edges: Object.fromEntries(structure.edges.map((edge) => [edge.id, { points: lines[edge.id], label: labels[edge.id] ?? null }])),
    };
}
