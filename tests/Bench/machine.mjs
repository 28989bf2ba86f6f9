// Whether a measurement says something: how much of the processors was taken away by others on the same hardware.
import { readFileSync } from 'node:fs';

/** Seconds over which the worst is looked for. */
const WINDOW = 10;

/** Jiffies since the start of the machine: those taken away, and all. */
const jiffies = () => {
    const all = readFileSync('/proc/stat', 'utf8').split('\n')[0].trim().split(/\s+/).slice(1, 9).map(Number);
    return { taken: all[7], all: all.reduce((sum, one) => sum + one, 0), at: performance.now() };
};

const share = (from, to) => (to.taken - from.taken) / Math.max(1, to.all - from.all);

/**
 * Watches until its `done` is called, which gives shares of the time that were taken away, of all of it and of the worst ten seconds, and
 * the longest time in seconds for which this process, which only sleeps, was not let on. `share(from, to)` is that of a part, by
 * performance.now(), to the second.
 *
 * @return {{done: () => {taken: number, worst: number, still: number}, share: (from: number, to: number) => number}}
 */
export const watchMachine = () => {
    const seen = [jiffies()];
    let still = 0;
    let last = performance.now();
    const often = setInterval(() => {
        const now = performance.now();
        still = Math.max(still, (now - last) / 1000 - 0.1);
        last = now;
    }, 100);
    const second = setInterval(() => seen.push(jiffies()), 1000);
    const done = () => {
        clearInterval(often);
        clearInterval(second);
        seen.push(jiffies());
        const windows = seen.map((from, i) => share(from, seen[Math.min(seen.length - 1, i + WINDOW)]));
        return { taken: share(seen[0], seen.at(-1)), worst: Math.max(...windows.slice(0, Math.max(1, seen.length - WINDOW))), still };
    };
    const before = (at) => seen.findLast((one) => one.at <= at) ?? seen[0];
    const after = (at) => seen.find((one) => one.at >= at) ?? jiffies();
    return { done, share: (from, to) => share(before(from), after(to)) };
};

/** In words. */
export const saidOf = ({ taken, worst, still }) => `processors taken away by other machines: ${(100 * taken).toFixed(0)} % of the time, `
    + `${(100 * worst).toFixed(0)} % of the worst ten seconds; longest standstill ${still.toFixed(1)} s`;
