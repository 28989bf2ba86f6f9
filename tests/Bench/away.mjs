// How soon everything is back when the database was away: a whole Hidden Wire of its own, whose database is killed while a book is being
// made, and stays away for so many seconds.
//
//   node tests/Bench/away.mjs SECONDS...
//
// Prints when pages answer again, and when the book is being made again; ends with 1 where the queue takes longer than its limit.
import { ownServer, until } from '../Browser/own-server.js';
import { ask, rigNamed, signIn, tokenOf, wait } from './people.mjs';

const QUEUE_LIMIT_S = 10;
const server = await ownServer();
let missed = 0;
try {
    const person = await signIn(server.url);
    const rig = await rigNamed(server.url, person, 'Night relay at the pier arcade');
    const book = () => JSON.parse(server.run('php', 'tests/Browser/stored.php', 'book').says);
    for (const seconds of process.argv.slice(2).map(Number)) {
        const page = (await ask(server.url, person, `/rigs/${rig}/book`)).text();
        await ask(server.url, person, `/rigs/${rig}/books`, { _token: tokenOf(page), paper: 'a4' });
        await until('A book is being made', () => book()?.state === 'working');
        await server.kill();
        const said = (await fetch(`${server.url}/sign-in`)).status;
        await wait(seconds * 1000);
        const { after: pages } = await server.start();
        // Or it is done: a database that is back in time goes unnoticed.
        const { after: queue } = await until('The book is being made', () => book().state === 'done' || (book().run > 1 && book().state !== 'waiting'));
        const { is } = await until('The book is done', () => ['done', 'failed'].includes(book().state) && book());
        const isOk = said === 503 && is.state === 'done' && queue / 1000 <= QUEUE_LIMIT_S;
        missed ||= isOk ? 0 : 1;
        console.log(`  away for ${String(seconds).padStart(3)} s: pages answer ${(pages / 1000).toFixed(1)} s after it is started, the book goes on ${(queue / 1000).toFixed(1)} s later (limit ${QUEUE_LIMIT_S}), and ${is.state}${is.trouble ? `: ${is.trouble}` : ''}   ${isOk ? 'ok' : 'MISSED'}`);
    }
} finally {
    await server.stop();
}
process.exit(missed);
