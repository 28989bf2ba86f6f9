// How much more two web servers do than one: node tests/Bench/nodes.mjs FIRST SECOND SECONDS PAIRS
//
// As many people as keep both busy, each asking again as soon as the answer is there: views of six kinds by turns on copies of the demo rig,
// every tenth request a change. Measured in pairs, first the one, then both; ends with 1 where the median of the ratios is too small.
import { ask, importRig, revisionOf, rigNamed, signIn, tokenOf } from './people.mjs';

const [first, second, seconds, pairs] = [process.argv[2], process.argv[3], Number(process.argv[4]), Number(process.argv[5])];
const VIEWS = ['wishes', 'wiring', 'stock', 'computers', 'recipes', 'checks'];
const PEOPLE = 12;
const EDIT_EVERY = 10;
const LEAST = 1.6;

const middle = (numbers) => [...numbers].sort((a, b) => a - b)[Math.floor(numbers.length / 2)];

const people = [];
for (let i = 0; i < PEOPLE; i++) people.push(await signIn(first));
const demo = (await ask(first, people[0], `/rigs/${await rigNamed(first, people[0], 'Night relay at the pier arcade')}/document`)).text();
const rigs = [];
for (const person of people) rigs.push(await importRig(first, person, demo));

let wrong = 0;
/** Answers a second at these servers. */
const rate = async (servers) => {
    const until = performance.now() + seconds * 1000;
    let answered = 0;
    await Promise.all(people.map(async (person, i) => {
        const base = servers[i % servers.length];
        const rig = rigs[i];
        for (let n = i; performance.now() < until; n++) {
            const view = VIEWS[n % VIEWS.length];
            const page = await ask(base, person, `/rigs/${rig}/${view}`);
            if (page.status !== 200) wrong++;
            answered++;
            if (n % (EDIT_EVERY - 1) !== 0) continue;
            const text = page.text();
            const change = await ask(base, person, `/rigs/${rig}/edits`, { edit: 'point', unit: 'mixer', point: 'ch-1', fader: String(-(n % 30)), situation: 'on-air', _token: tokenOf(text), revision: revisionOf(text) }, { Accept: 'application/json', 'X-Page': `${base}/rigs/${rig}/${view}` });
            if (change.status !== 200) wrong++;
            answered++;
        }
    }));
    return answered / seconds;
};

await rate([first, second]);
const ratios = [];
for (let i = 0; i < pairs; i++) {
    const one = await rate([first]);
    const both = await rate([first, second]);
    ratios.push(both / one);
    console.log(`  one ${one.toFixed(1)} a second, two ${both.toFixed(1)}: ${(both / one).toFixed(2)} times`);
}
const ratio = middle(ratios);
const isOk = ratio >= LEAST && wrong === 0;
console.log(`  Two web servers over one, median: ${ratio.toFixed(2)} (at least ${LEAST}), ${wrong} not as they should be   ${isOk ? 'ok' : 'MISSED'}`);
process.exit(isOk ? 0 : 1);
