// How large the pages of a rig are, as HTML before compressing, and how soon they are there.
//
//   node tests/Bench/sizes.mjs ADDRESS RIG KB [KB_OF_MAP_AND_BOOK [MS]]
//
// Every view as it opens: the median of five after the first. Prints a line a view; ends with 1 where one is over its limit.
import { ask, rigNamed, signIn } from './people.mjs';

const [base, asked, most, mostDrawn = most, soon = 500] = [process.argv[2], process.argv[3], ...process.argv.slice(4).map(Number)];
const DRAWN = ['wiring', 'book'];
const RUNS = 5;

const person = await signIn(base);
const rig = /^\d+$/.test(asked) ? asked : await rigNamed(base, person, asked);
const views = (await ask(base, person, `/rigs/${rig}/wishes`)).text().match(/data-views="([^"]+)"/)[1].split(' ');
let missed = 0;
for (const view of views) {
    const times = [];
    let size = 0;
    for (let run = 0; run <= RUNS; run++) {
        const answer = await ask(base, person, `/rigs/${rig}/${view}`);
        if (answer.status !== 200) throw new Error(`${view} answered ${answer.status}.`);
        size = Buffer.byteLength(answer.text()) / 1000;
        if (run > 0) times.push(answer.ms);
    }
    const limit = DRAWN.includes(view) ? mostDrawn : most;
    const ms = times.sort((a, b) => a - b)[(RUNS - 1) / 2];
    const isOk = size <= limit && ms <= soon;
    missed ||= isOk ? 0 : 1;
    console.log(`  ${view.padEnd(12)} ${size.toFixed(0).padStart(5)} kB (limit ${limit})   ${ms.toFixed(0).padStart(5)} ms (limit ${soon})   ${isOk ? 'ok' : 'MISSED'}`);
}
process.exit(missed);
