// Whether one web server of a cluster shows at once what another has acknowledged: node tests/Bench/fresh.mjs FRONT FIRST SECOND TIMES
//
// A change at one, then the page at the other, by turns. Ends with 1 where a page is older than the answer before it.
import { ask, importRig, revisionOf, rigNamed, signIn, tokenOf } from './people.mjs';

const [front, first, second, times] = [process.argv[2], process.argv[3], process.argv[4], Number(process.argv[5])];
const host = { Host: new URL(front).host };
const person = await signIn(front);
const demo = (await ask(front, person, `/rigs/${await rigNamed(front, person, 'Penny-slot stream')}/document`)).text();
const rig = await importRig(front, person, demo);
const view = `/rigs/${rig}/stock`;
let page = (await ask(first, person, view, null, host)).text();
let stale = 0;
let wrong = 0;
for (let i = 0; i < times; i++) {
    const [here, there] = i % 2 === 0 ? [first, second] : [second, first];
    const change = await ask(here, person, `/rigs/${rig}/edits`, { edit: 'describe-rig', name: 'Fresh', summary: `Change ${i}`, _token: tokenOf(page), revision: revisionOf(page) }, { Accept: 'application/json', 'X-Page': `${front}${view}`, ...host });
    const answer = await ask(there, person, view, null, host);
    if (change.status !== 200 || answer.status !== 200) {
        wrong++;
        continue;
    }
    page = answer.text();
    if (Number(revisionOf(page)) < Number(revisionOf(JSON.parse(change.text()).page))) stale++;
}
console.log(`  ${times} changes at one web server, each looked at by the other at once: ${stale} pages older, ${wrong} not as they should be   ${stale + wrong === 0 ? 'ok' : 'MISSED'}`);
process.exit(stale + wrong === 0 ? 0 : 1);
