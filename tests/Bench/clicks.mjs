// How long it takes from a click on a stop to its picture: to the second frame after the view has changed.
//
//   node tests/Bench/clicks.mjs ADDRESS [RIG]
//
// The demo's stops by turns, 20 clicks each in the headless browser, the pointer 150 ms on the stop before: the first time in a fresh page,
// and again where one was before. Prints medians and the 95th percentile; ends with 1 where one is over its limit.
import { demoPage } from './demo-page.mjs';

const base = process.argv[2];
const ROUNDS = 20;
const STOPS = ['Wishes', 'Equipment', 'Wiring', 'Computers', 'Mixes', 'Checks', 'Show', 'Book'];
const LIMITS = { again: 100, first: 150, tail: 250 };

const { browser, page, rig } = await demoPage(base, process.argv[3]);

// In the page: a click on the stop, then two frames once its view is there.
const timed = (stop) => page.evaluate((name) => new Promise((done) => {
    const link = [...document.querySelectorAll('.rail a')].find((one) => one.querySelector('.stop-name').textContent === name);
    const was = document.body.dataset.view;
    const begun = performance.now();
    const watch = () => (document.body.dataset.view === was
        ? requestAnimationFrame(watch)
        : requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now() - begun))));
    link.click();
    watch();
}), stop);

// A hand is on the stop a moment before it presses.
const rest = async (stop) => {
    await page.locator('.rail a', { hasText: stop }).hover();
    await page.waitForTimeout(150);
};

const times = { first: [], again: [] };
for (let round = 0; round < ROUNDS; round++) {
    // A fresh page knows no view but its own.
    await page.goto(`${base}/rigs/${rig}/history`);
    await page.waitForTimeout(300);
    for (const kind of ['first', 'again']) {
        for (const stop of STOPS) {
            await rest(stop);
            times[kind].push(await timed(stop));
            await page.waitForTimeout(250);
        }
    }
}
await browser.close();
const at = (all, share) => [...all].sort((a, b) => a - b)[Math.min(all.length - 1, Math.floor(all.length * share))];
let missed = 0;
const line = (what, value, limit) => {
    missed ||= value <= limit ? 0 : 1;
    console.log(`  ${what.padEnd(44)} ${value.toFixed(0).padStart(5)} ms (limit ${limit})   ${value <= limit ? 'ok' : 'MISSED'}`);
};
// The first round warms the server up.
const warm = (kind) => times[kind].slice(STOPS.length);
line('To a stop where one was, median', at(warm('again'), 0.5), LIMITS.again);
line('To a stop for the first time, median', at(warm('first'), 0.5), LIMITS.first);
line('Either, 95th percentile', at([...warm('again'), ...warm('first')], 0.95), LIMITS.tail);
process.exit(missed);
