// People at a cluster of which parts die: each edits a rig that others edit too, and sends again what was not answered, as the page does.
//
//   node tests/Bench/cluster.mjs ADDRESS SECONDS PEOPLE.json
//
// Prints what was acknowledged to whom, what stayed without an answer, and how long the longest answer took, as JSON.
import { readFileSync } from 'node:fs';
import { randomBytes } from 'node:crypto';
import { saidOf, watchMachine } from './machine.mjs';
import { ask, revisionOf, tokenOf, wait } from './people.mjs';

const [base, seconds, people] = [process.argv[2], Number(process.argv[3]), JSON.parse(readFileSync(process.argv[4], 'utf8'))];
/** Milliseconds before each further try; the same as in resources/js/page/send.js. */
const WAITS = [300, 900, 1400, 5000];
const AWAY = [502, 503, 504];
/** Milliseconds between two edits of one person. */
const THINKS = 3000;
/** Faders of the rig go from here, by tenths of a decibel; no two edits of a person set the same. */
const FROM_DB = -60;
/** What takes longer than so many milliseconds is told; what the machine did is asked from so many before it on. */
const LONG = 3000;
const BEFORE = 5000;

// Signing in takes long on purpose, and is over before anything dies; so is the first page of each.
let isOn = false;
let began = 0;
let watched = null;

const told = { people: [], refused: 0, errors: [], asked: 0, retried: 0, longest: 0, longestOf: '', long: [] };

/** Asks until there is an answer: null where there is none in time. */
const asked = async (person, path, form, headers) => {
    const begun = performance.now();
    let answer = null;
    const tries = [];
    for (const ms of [...WAITS, null]) {
        const from = performance.now();
        answer = await ask(base, person, path, form, headers).catch(() => null);
        tries.push(`${answer?.status ?? 'none'} after ${((performance.now() - from) / 1000).toFixed(1)} s`);
        if (answer !== null && !AWAY.includes(answer.status)) break;
        answer = null;
        if (ms === null) break;
        told.retried++;
        await wait(ms);
    }
    told.asked++;
    const ended = performance.now();
    const took = (ended - begun) / 1000;
    const of = `${form ? 'an edit' : path}, ${((begun - began) / 1000).toFixed(0)} s after the beginning: ${tries.join(', ')}`;
    if (isOn && took > told.longest) Object.assign(told, { longest: took, longestOf: of });
    if (isOn && ended - begun > LONG) told.long.push({ took, of, taken: watched.share(begun - BEFORE, ended) });
    if (answer === null) told.errors.push(`${path} was not answered`);
    return answer;
};

const signIn = async ({ email, password }) => {
    const person = {};
    const token = tokenOf((await asked(person, '/sign-in')).text());
    const answer = await asked(person, '/sign-in', { _token: token, email, password });
    if (answer?.status !== 302) throw new Error(`Sign-in answered ${answer?.status}.`);
    return person;
};

const viewOf = ({ rig, unit }) => `/rigs/${rig}/recipes?select=unit:${unit}`;

/** The card that those who share a rig tick off together, each steps of their own. */
const CARD = 'run-down';

/** Ticks one step, or takes the tick back, as a phone does; the last answer counts. */
const tick = async (one, person, mine, token, number) => {
    const step = one.steps[number % one.steps.length];
    const is = { step, on: Math.floor(number / one.steps.length) % 2 === 0, at: Date.now() };
    const answer = await asked(person, `/rigs/${one.rig}/cards/${CARD}`, JSON.stringify({ ticks: [is] }), { Accept: 'application/json', 'Content-Type': 'application/json', 'X-CSRF-TOKEN': token });
    if (answer?.status === 200) mine.ticks[step] = is;
    else if (answer === null) delete mine.ticks[step];
    else told.errors.push(`A tick was answered ${answer.status}: ${answer.text().slice(0, 120)}`);
    mine.ticked += answer?.status === 200 ? 1 : 0;
};

const edits = async (one, person, first, until) => {
    const mine = { id: one.id, rig: one.rig, acknowledged: [], unsure: [], ticks: {}, ticked: 0 };
    told.people.push(mine);
    const view = viewOf(one);
    let page = first;
    await wait(THINKS * Math.random());
    for (let number = 0; performance.now() < until; number++) {
        const db = (FROM_DB + (number % 600) / 10).toFixed(1);
        const answer = await asked(person, `/rigs/${one.rig}/edits`, {
            edit: 'point', unit: one.unit, point: one.point, fader: db, _token: tokenOf(page), revision: revisionOf(page),
            at_revision: page.match(/at_revision=(\d+)/)[1], edit_id: randomBytes(16).toString('hex'),
        }, { Accept: 'application/json', 'X-Page': `${base}${view}` });
        if (answer === null) mine.unsure.push(db);
        else if (answer.status === 200) {
            const { said, page: drawn } = JSON.parse(answer.text());
            mine.acknowledged.push(said.split(' · ')[0]);
            page = drawn ?? (await asked(person, view))?.text() ?? page;
        } else {
            if (answer.status === 409) told.refused++;
            else told.errors.push(`An edit was answered ${answer.status}: ${answer.text().slice(0, 120)}`);
            page = (await asked(person, view))?.text() ?? page;
        }
        await tick(one, person, mine, tokenOf(page), number);
        await wait(THINKS * (0.5 + Math.random()));
    }
};

const begins = [];
for (const one of people) {
    const person = await signIn(one);
    const steps = [...(await asked(person, `/rigs/${one.rig}/cards/${CARD}`)).text().matchAll(/data-step="([0-9a-f]+)"/g)].map(([, step]) => step);
    one.steps = steps.filter((_, i) => i % one.of === one.share);
    begins.push([one, person, (await asked(person, viewOf(one))).text()]);
}
console.error('signed in');
watched = watchMachine();
began = performance.now();
isOn = true;
const until = began + seconds * 1000;
await Promise.all(begins.map((begin) => edits(...begin, until)));
told.machine = saidOf(watched.done());
console.log(JSON.stringify(told));
