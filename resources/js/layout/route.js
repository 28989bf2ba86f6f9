// Lines between ports, by right angles on a grid: each takes the cheapest way past the plates, where bends, crossings and running beside other lines cost. Lines are routed
// twice, so that the first ones see the last ones too.
import { GRID } from './place.js';

const BEND = 7;
const CROSSING = 3;
const ON_A_LINE = 60;
const BESIDE_A_LINE = 1.2;
const BESIDE_A_PLATE = 1.5;
const IN_OTHER_PLACE = 1.2;
const ON_A_NAME = 5;
const THROUGH_A_LABEL = 90;
const ROUNDS = 2;
// Right, down, left, up.
const STEPS = [[1, 0], [0, 1], [-1, 0], [0, -1]];

class Heap {
    constructor() {
        this.keys = [];
        this.values = [];
    }
    push(key, value) {
        const { keys, values } = this;
        let i = keys.length;
        keys.push(key);
        values.push(value);
        while (i > 0) {
            const parent = (i - 1) >> 1;
            if (keys[parent] <= key) break;
            keys[i] = keys[parent];
            values[i] = values[parent];
            i = parent;
        }
        keys[i] = key;
        values[i] = value;
    }
    pop() {
        const { keys, values } = this;
        const top = values[0];
        const key = keys.pop();
        const value = values.pop();
        const size = keys.length;
        if (size > 0) {
            let i = 0;
            for (;;) {
                let child = 2 * i + 1;
                if (child >= size) break;
                if (child + 1 < size && keys[child + 1] < keys[child]) child++;
                if (keys[child] >= key) break;
                keys[i] = keys[child];
                values[i] = values[child];
                i = child;
            }
            keys[i] = key;
            values[i] = value;
        }
        return top;
    }
    get size() {
        return this.keys.length;
    }
}

export class Router {
    constructor(placed) {
        this.placed = placed;
        this.columns = Math.ceil(placed.width / GRID) + 1;
        this.rows = Math.ceil(placed.height / GRID) + 1;
        const size = this.columns * this.rows;
        this.blocked = new Uint8Array(size);
        this.ground = new Float32Array(size);
        this.placeOf = new Int16Array(size).fill(-1);
        // How many lines run through a point, level and upright.
        this.used = [new Uint8Array(size), new Uint8Array(size)];
        this.cost = new Float32Array(size * 4);
        this.from = new Int32Array(size * 4);
        this.seen = new Int32Array(size * 4);
        this.turn = 0;
        // Whose label covers a point: the number of its line, from 1 on.
        this.labelled = new Int16Array(size);
        this.numbers = {};
        this.ways = {};
        this.placeNumbers = {};
        for (const [id, box] of Object.entries(placed.boxes)) this.lay(id, box);
    }

    lay(id, [x, y, width, height]) {
        const isPlace = id.startsWith('place:');
        const number = isPlace ? (this.placeNumbers[id.slice(6)] = Object.keys(this.placeNumbers).length) : -1;
        const [left, top, right, bottom] = [x / GRID, y / GRID, (x + width) / GRID, (y + height) / GRID];
        for (let row = Math.floor(top) - 1; row <= Math.ceil(bottom) + 1; row++) {
            for (let column = Math.floor(left) - 1; column <= Math.ceil(right) + 1; column++) {
                if (row < 0 || column < 0 || row >= this.rows || column >= this.columns) continue;
                const at = row * this.columns + column;
                const inside = column >= left && column <= right && row >= top && row <= bottom;
                if (isPlace) {
                    if (inside) {
                        this.placeOf[at] = number;
                        if (row - top < 4) this.ground[at] += ON_A_NAME;
                    }
                    // A border is crossed, not followed.
                    if (Math.abs(column - left) < 1 || Math.abs(column - right) < 1 || Math.abs(row - top) < 1 || Math.abs(row - bottom) < 1) this.ground[at] += 1.5;
                } else if (inside) {
                    this.blocked[at] = 1;
                } else {
                    this.ground[at] += BESIDE_A_PLATE;
                }
            }
        }
    }

    /** All lines, by edge: lists of points. */
    routeAll(edges, progress = () => {}) {
        const { ports } = this.placed;
        const length = (edge) => Math.abs(ports[edge.from].x - ports[edge.to].x) + Math.abs(ports[edge.from].y - ports[edge.to].y);
        const order = [...edges].sort((a, b) => length(a) - length(b) || (a.id < b.id ? -1 : 1));
        const ways = this.ways;
        edges.forEach((edge, i) => { this.numbers[edge.id] = i + 1; });
        let done = 0;
        for (let round = 0; round < ROUNDS; round++) {
            for (const edge of order) {
                if (ways[edge.id]) this.mark(ways[edge.id], -1);
                ways[edge.id] = this.route(ports[edge.from], ports[edge.to], this.numbers[edge.id]);
                this.mark(ways[edge.id], 1);
                progress(++done, order.length * ROUNDS);
            }
        }
        return Object.fromEntries(order.map((edge) => [edge.id, this.points(ways[edge.id])]));
    }

    /** Lines once more, past the labels of the others; by edge. */
    routeAgain(edges, labels) {
        this.labelled.fill(0);
        for (const [id, [x, y, width, height]] of Object.entries(labels)) {
            for (let row = Math.max(0, Math.ceil((y - 1) / GRID)); row <= Math.min(this.rows - 1, (y + height + 1) / GRID); row++) {
                for (let column = Math.max(0, Math.ceil((x - 1) / GRID)); column <= Math.min(this.columns - 1, (x + width + 1) / GRID); column++) {
                    this.labelled[row * this.columns + column] = this.numbers[id];
                }
            }
        }
        const { ports } = this.placed;
        return Object.fromEntries(edges.map((edge) => {
            this.mark(this.ways[edge.id], -1);
            this.ways[edge.id] = this.route(ports[edge.from], ports[edge.to], this.numbers[edge.id]);
            this.mark(this.ways[edge.id], 1);
            return [edge.id, this.points(this.ways[edge.id])];
        }));
    }

    route(a, b, number) {
        const { columns, cost, from, seen } = this;
        const turn = ++this.turn;
        const at = (port) => Math.round(port.y / GRID) * columns + Math.round(port.x / GRID);
        const start = at(a);
        const goal = at(b);
        const goalColumn = goal % columns;
        const goalRow = (goal / columns) | 0;
        const homes = [this.placeNumbers[a.place], this.placeNumbers[b.place]];
        const arrival = b.side === 1 ? 2 : 0;
        const heap = new Heap();
        const first = start * 4 + (a.side === 1 ? 0 : 2);
        cost[first] = 0;
        from[first] = -1;
        seen[first] = turn;
        heap.push(0, first);
        while (heap.size > 0) {
            const state = heap.pop();
            const point = state >> 2;
            const heading = state & 3;
            if (point === goal) return this.back(state);
            const column = point % columns;
            const row = (point / columns) | 0;
            for (let next = 0; next < 4; next++) {
                if ((next + 2) % 4 === heading || (state === first && next !== heading)) continue;
                const c = column + STEPS[next][0];
                const r = row + STEPS[next][1];
                if (c < 0 || r < 0 || c >= columns || r >= this.rows) continue;
                const to = r * columns + c;
                // The goal is entered as its socket faces.
                if (to === goal ? next !== arrival : this.blocked[to]) continue;
                const upright = next & 1;
                let price = 1 + this.ground[to];
                if (next !== heading) price += BEND + (this.used[0][point] + this.used[1][point] > 0 ? ON_A_LINE : 0);
                if (this.used[upright][to]) price += ON_A_LINE;
                if (this.used[1 - upright][to]) price += CROSSING;
                if (this.labelled[to] && this.labelled[to] !== number) price += THROUGH_A_LABEL;
                const beside = upright ? 1 : columns;
                if (this.used[upright][to - beside] || this.used[upright][to + beside]) price += BESIDE_A_LINE;
                if (this.placeOf[to] >= 0 && this.placeOf[to] !== homes[0] && this.placeOf[to] !== homes[1]) price += IN_OTHER_PLACE;
                const total = cost[state] + price;
                const reached = to * 4 + next;
                if (seen[reached] !== turn || total < cost[reached]) {
                    seen[reached] = turn;
                    cost[reached] = total;
                    from[reached] = state;
                    const dx = Math.abs(goalColumn - c);
                    const dy = Math.abs(goalRow - r);
                    heap.push(total + dx + dy + (dx > 0 && dy > 0 ? BEND : 0), reached);
                }
            }
        }
        // Walled in: a straight line says so better than none.
        return [start, goal];
    }

    back(state) {
        const way = [];
        for (let at = state; at >= 0; at = this.from[at]) way.unshift(at >> 2);
        return way;
    }

    mark(way, by) {
        for (let i = 1; i < way.length; i++) {
            const upright = Math.abs(way[i] - way[i - 1]) >= this.columns ? 1 : 0;
            this.used[upright][way[i]] += by;
            this.used[upright][way[i - 1]] += by;
        }
    }

    points(way) {
        const spots = way.map((at) => [(at % this.columns) * GRID, ((at / this.columns) | 0) * GRID]);
        return spots.filter(([x, y], i) => {
            const [before, after] = [spots[i - 1], spots[i + 1]];
            return !before || !after || !((before[0] === x && after[0] === x) || (before[1] === y && after[1] === y));
        });
    }
}
