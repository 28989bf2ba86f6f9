// A driver for load: many people at once, on an open loop, so that a server that falls behind is asked all the same.
//
//   node tests/Bench/load.mjs ADDRESS RATE SECONDS [DOCUMENT]
//
// Views of six kinds by turns on copies of the demo rig, each time the whole answer; every tenth request is a change, answered with its page
// redrawn. With the document of a large rig one person edits that meanwhile, change by
// change. Prints a line for each limit; ends with 1 where one is
// missed or an answer is no answer.
import { readFileSync } from 'node:fs';
import { saidOf, watchMachine } from './machine.mjs';
import { ask, importRig, revisionOf, rigNamed, signIn, tokenOf, wait } from './people.mjs';

const [base, rate, seconds, large] = [process.argv[2], Number(process.argv[3]), Number(process.argv[4]), process.argv[5]];
const VIEWS = ['wishes', 'wiring', 'stock', 'computers', 'recipes', 'checks'];
const PEOPLE = 10;
const COPIES = 5;
const EDIT_EVERY = 10;
/** Milliseconds at the 95th percentile of views, and at the 99th of everybody else while a large rig is edited. */
const LIMIT = { views: 250, others: 300 };
const DEMO = 'Night relay at the pier arcade';

/** Changes one rig, one after another; the page that comes back is where the next one is sent from. */
const editor = async (person, rig, view, fields) => {
    let page = (await ask(base, person, `/rigs/${rig}/${view}`)).text();
    let number = 0;
    let last = Promise.resolve();
    return () => {
        const begun = performance.now();
        last = last.then(async () => {
            const answer = await ask(base, person, `/rigs/${rig}/edits`, { ...fields(++number), _token: tokenOf(page), revision: revisionOf(page) }, { Accept: 'application/json', 'X-Page': `${base}/rigs/${rig}/${view}` });
            if (answer.status === 200) page = JSON.parse(answer.text()).page;
            // Waiting for the change before is part of it.
            return { ...answer, ms: performance.now() - begun };
        });
        return last;
    };
};

const percentile = (times, share) => [...times].sort((a, b) => a - b)[Math.min(times.length - 1, Math.floor(times.length * share))];
let missed = 0;
const line = (what, value, limit) => {
    const isOk = value <= limit;
    missed ||= isOk ? 0 : 1;
    console.log(`  ${what.padEnd(58)} ${value.toFixed(0).padStart(6)} ms   (limit ${limit})   ${isOk ? 'ok' : 'MISSED'}`);
};

const people = [];
for (let i = 0; i < PEOPLE; i++) people.push(await signIn(base));
const demo = (await ask(base, people[0], `/rigs/${await rigNamed(base, people[0], DEMO)}/document`)).text();
const rigs = [];
const editors = [];
for (let i = 0; i < COPIES; i++) {
    rigs.push(await importRig(base, people[i], demo));
    editors.push(await editor(people[i], rigs[i], 'recipes?select=unit:mixer', (number) => ({ edit: 'point', unit: 'mixer', point: 'ch-1', fader: String(-(number % 30)), situation: 'on-air' })));
    for (const view of VIEWS) await ask(base, people[i], `/rigs/${rigs[i]}/${view}`);
}
const times = { view: [], edit: [], large: [] };
let wrong = 0;
const note = (kind, asked) => asked.then((answer) => {
    times[kind].push(answer.ms);
    if (answer.status !== 200) wrong++;
}, () => { wrong++; });

let isOn = true;
const alone = large ? (async () => {
    const person = await signIn(base);
    const change = await editor(person, await importRig(base, person, readFileSync(large, 'utf8')), 'recipes', (number) => ({ edit: 'describe-rig', name: 'A large rig', summary: `Change ${number}` }));
    while (isOn) {
        await note('large', change());
        await wait(1000);
    }
})() : null;

const watched = watchMachine();
const all = Math.round(rate * seconds);
const begun = performance.now();
const waiting = [];
for (let i = 0; i < all; i++) {
    const at = begun + i * 1000 / rate;
    const left = at - performance.now();
    if (left > 1) await wait(left);
    const isEdit = i % EDIT_EVERY === EDIT_EVERY - 1;
    const rig = i % COPIES;
    waiting.push(isEdit ? note('edit', editors[Math.floor(i / EDIT_EVERY) % COPIES]())
        : note('view', ask(base, people[i % PEOPLE], `/rigs/${rigs[rig]}/${VIEWS[Math.floor(i / COPIES) % VIEWS.length]}`)));
}
await Promise.all(waiting);
const took = (performance.now() - begun) / 1000;
isOn = false;
await alone;
console.log(`  ${saidOf(watched.done())}`);
console.log(`  ${all} requests at ${rate} a second, answered in ${took.toFixed(1)} s (${(all / took).toFixed(1)} a second), ${wrong} not as they should be   ${wrong === 0 ? 'ok' : 'MISSED'}`);
console.log(`  views: median ${percentile(times.view, 0.5).toFixed(0)} ms, 95th ${percentile(times.view, 0.95).toFixed(0)} ms, 99th ${percentile(times.view, 0.99).toFixed(0)} ms; changes: median ${percentile(times.edit, 0.5).toFixed(0)} ms, 95th ${percentile(times.edit, 0.95).toFixed(0)} ms`);
if (large) {
    console.log(`  changes of the large rig: ${times.large.length}, median ${percentile(times.large, 0.5)?.toFixed(0) ?? 'none'} ms`);
    line('All others while a rig of 300 units is edited, 99th', percentile([...times.view, ...times.edit], 0.99), LIMIT.others);
} else {
    line(`Views at ${rate} requests a second, 95th`, percentile(times.view, 0.95), LIMIT.views);
}
process.exit(missed || wrong > 0 ? 1 : 0);
