import { statSync } from 'node:fs';
import { connect } from 'node:net';
import { test, expect } from '@playwright/test';
import { ownServer, until } from './own-server.js';

const HEADERS = ['content-security-policy', 'x-content-type-options', 'x-frame-options', 'referrer-policy', 'permissions-policy'];

/** What the server answers to these bytes. */
const raw = (url, bytes) => new Promise((resolve, reject) => {
    const { hostname, port } = new URL(url);
    let answer = '';
    const socket = connect(Number(port), hostname, () => socket.write(bytes));
    socket.on('data', (data) => { answer += data; });
    socket.on('end', () => resolve(answer.toLowerCase()));
    socket.on('error', reject);
});

test.describe('what serves', () => {
    let server;
    test.beforeAll(async () => {
        test.setTimeout(600000);
        server = await ownServer();
    });
    test.afterAll(() => server?.stop());

    test('a second start says where the first one is, and touches nothing', async () => {
        for (const more of [[], ['--fresh'], ['--port=9999']]) {
            const second = server.run('bin/start', ...more);
            expect(second.status).toBe(1);
            expect(second.says).toContain(`runs here already (process ${second.says.match(/process (\d+)/)[1]}), on ${server.url}. Nothing was changed.`);
        }
        expect(await server.answers()).toBe(true);
        expect(server.stored()['Night relay at the pier arcade'].isWhole).toBe(true);
    });

    test('every answer has the same headers, those of the web server itself too', async () => {
        const { url } = server;
        const host = `Host: ${new URL(url).host}\r\n`;
        const bytes = {
            'a file': `GET /card-worker.js HTTP/1.0\r\n${host}\r\n`,
            'the head of a page': `HEAD /sign-in HTTP/1.0\r\n${host}\r\n`,
            'nothing below a rig': `GET /rigs/1/nothing HTTP/1.0\r\n${host}\r\n`,
            'a script that is no script': `GET /index.php/x.php HTTP/1.0\r\n${host}\r\n`,
            'a method that nobody knows': `FLY /rigs/1/wishes HTTP/1.0\r\n${host}\r\n`,
            'a method that the web server refuses': `TRACE / HTTP/1.0\r\n${host}\r\n`,
            'no request at all': 'nothing\r\n\r\n',
            'a header too long': `GET / HTTP/1.0\r\nX: ${'x'.repeat(40000)}\r\n\r\n`,
            'more than is taken': `POST /sign-in HTTP/1.0\r\n${host}Content-Length: 13000000\r\n\r\n`,
            'another name': 'GET / HTTP/1.0\r\nHost: elsewhere.test\r\n\r\n',
        };
        for (const [what, sent] of Object.entries(bytes)) {
            const answer = await raw(url, sent);
            for (const header of HEADERS) {
                expect(answer.split(`\r\n${header}:`).length - 1, `${what}: ${header} in\n${answer}`).toBe(1);
            }
            expect(answer, what).not.toMatch(/x-powered-by|server: nginx\//);
        }
        expect(await raw(url, bytes['more than is taken'])).toContain('larger than 12 mb');
    });

    test('text is compressed, and files whose names say what is in them are kept for good', async () => {
        const built = Object.values(JSON.parse(await (await fetch(`${server.url}/build/manifest.json`)).text()));
        const script = await fetch(`${server.url}/build/${built.find((one) => one.file.endsWith('.js')).file}`);
        expect(script.headers.get('content-encoding')).toBe('gzip');
        expect(script.headers.get('cache-control')).toContain('immutable');
        expect((await fetch(`${server.url}/sign-in`)).headers.get('content-encoding')).toBe('gzip');
        expect((await fetch(`${server.url}/.env`)).status).toBe(404);
        expect((await fetch(`${server.url}/%2e%2e/.env`)).status).toBe(404);
    });

    test('web workers that die are replaced, and the others go on', async () => {
        const before = server.workers();
        expect(before).toHaveLength(4);
        process.kill(before[0], 'SIGKILL');
        expect(await server.answers()).toBe(true);
        const { after } = await until('A new worker', () => server.workers().length === 4 && !server.workers().includes(before[0]));
        console.log(`    a web worker: back after ${after} ms`);
        const compiled = server.compiled();
        expect(Object.keys(compiled).length).toBeGreaterThan(200);
        for (const part of ['php', 'web']) {
            const dead = server[part]();
            process.kill(dead, 'SIGKILL');
            await until(`${part}: another one`, () => ![undefined, dead].includes(server[part]()));
            console.log(`    ${part}: answers after ${(await until(part, () => server.answers())).after} ms`);
        }
        expect((await until('All workers', () => server.workers().length === 4)).is).toBe(true);
        // Nothing that had been compiled was compiled again, and nobody else can put code there or read the settings.
        expect(server.compiled()).toMatchObject(compiled);
        expect(statSync(server.compiledIn).mode & 0o777).toBe(0o700);
    });

    test('a book that is being made when its worker is killed, or the database goes away, is begun again and done', async ({ browser }) => {
        const context = await browser.newContext({ baseURL: server.url });
        const page = await context.newPage();
        await page.goto('/sign-in');
        await page.getByLabel('Email').fill('demo@hidden-wire.test');
        await page.getByLabel('Password').fill('night-relay');
        await page.getByRole('button', { name: 'Sign in' }).click();
        await page.getByRole('link', { name: 'Night relay at the pier arcade' }).click();
        await page.waitForURL(/wiring/);
        const rig = await page.evaluate(() => document.body.dataset.rig);
        const book = () => JSON.parse(server.run('php', 'tests/Browser/stored.php', 'book').says);
        for (const death of ['worker', 'database']) {
            await page.goto(`/rigs/${rig}/book`);
            await page.getByRole('button', { name: 'Make the PDF' }).click();
            await until('A book is being made', () => book()?.state === 'working' && book().done > 0);
            const queue = server.queue();
            if (death === 'worker') {
                process.kill(queue, 'SIGKILL');
            } else {
                await server.kill();
                // The page says what is, and the way back.
                expect((await fetch(`${server.url}/sign-in`)).status).toBe(503);
                await new Promise((resolve) => setTimeout(resolve, 1000));
                await server.start();
            }
            const isBack = () => server.queue() !== undefined && (death === 'database' || server.queue() !== queue);
            console.log(`    ${death}: the queue is back after ${(await until('The queue', isBack)).after} ms`);
            const { is } = await until('The book is done', () => ['done', 'failed'].includes(book().state) && book());
            // A database that is back before the book is written goes unnoticed; a worker that is killed has to begin again.
            expect(is.state).toBe('done');
            expect(death === 'worker' ? [2] : [1, 2]).toContain(is.run);
        }
    });
});
