import { execFileSync, spawn } from 'node:child_process';
import { copyFileSync, cpSync, existsSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test, expect } from '@playwright/test';
import { copyOf, ownServer } from './own-server.js';

const DEMO = 'Night relay at the pier arcade';

/** Runs a script of a folder, without holding up what goes on here. */
const script = (folder, ...command) => new Promise((resolve) => {
    const env = { PATH: process.env.PATH, HOME: process.env.HOME, LANG: 'C.UTF-8' };
    const process_ = spawn(command[0], command.slice(1), { cwd: folder, env, stdio: ['ignore', 'pipe', 'pipe'] });
    let says = '';
    process_.stdout.on('data', (part) => { says += part; });
    process_.stderr.on('data', (part) => { says += part; });
    process_.on('exit', (status) => resolve({ status, says }));
});

const signIn = async (browser, url) => {
    const context = await browser.newContext({ baseURL: url });
    const page = await context.newPage();
    await page.goto('/sign-in');
    await page.getByLabel('Email').fill('demo@hidden-wire.test');
    await page.getByLabel('Password').fill('night-relay');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByRole('link', { name: DEMO }).waitFor();
    return { context, page };
};

/** The documents of all rigs, by their numbers. */
const documents = async ({ context, page }) => {
    await page.goto('/');
    const ids = new Set(await page.locator('a[href*="/wiring"]').evaluateAll((links) => links.map((one) => one.href.match(/rigs\/(\d+)\//)[1])));
    const all = {};
    for (const id of [...ids].sort()) all[id] = await (await context.request.get(`/rigs/${id}/document`)).text();
    return all;
};

test('a backup taken while somebody works is put back in an empty folder: every document, every picture, the accounts', async ({ browser }) => {
    test.setTimeout(600000);
    const kept = mkdtempSync(join(tmpdir(), 'backup-'));
    const [file, key, wrong] = ['rigs.enc', 'key', 'wrong'].map((name) => join(kept, name));
    writeFileSync(key, 'a long line that nobody guesses\n');
    writeFileSync(wrong, 'another line\n');
    const [logs, log] = [join(kept, 'logs'), 'storage/mariadb-log'];
    const from = copyOf();
    const settings = join(from, '.env.example');
    const changed = readFileSync(settings, 'utf8').replace(/^DB_LOG_DAYS=$/m, 'DB_LOG_DAYS=7');
    rmSync(settings);
    writeFileSync(settings, changed);
    const server = await ownServer(from);
    let mistakeAt;
    const jpeg = execFileSync('php', ['-r', '$i = imagecreatetruecolor(320, 200); imagefill($i, 0, 0, 0x4477aa); imagejpeg($i);']);
    let before;
    let acknowledged = 0;
    let hammered;
    let picture;
    try {
        const person = await signIn(browser, server.url);
        const { context, page } = person;
        await page.getByRole('link', { name: DEMO }).click();
        await page.waitForURL(/wiring/);
        hammered = page.url().match(/rigs\/(\d+)/)[1];
        const token = await page.evaluate(() => document.querySelector('meta[name=csrf-token]').content);
        // A second rig that stays as it is, and a picture.
        const imported = await context.request.post('/rigs', { multipart: { _token: token, document: { name: 'rig.json', mimeType: 'application/json', buffer: readFileSync('resources/rigs/penny-slot.json') } }, maxRedirects: 0 });
        expect(imported.status()).toBe(302);
        await context.request.post(`/rigs/${hammered}/pictures`, { multipart: { _token: token, unit: 'mixer', caption: 'As it stands', picture: { name: 'p.jpg', mimeType: 'image/jpeg', buffer: jpeg } } });
        await page.goto(`/rigs/${hammered}/stock?select=unit:mixer`);
        picture = await page.locator('img[src*="/pictures/"]').first().evaluate((image) => new URL(image.src).pathname);
        before = await documents(person);
        before.picture = (await (await context.request.get(picture)).body()).toString('base64');

        let isOn = true;
        const hammer = (async () => {
            for (let revision = 1; isOn; revision++) {
                const answer = await context.request.post(`/rigs/${hammered}/edits`, { headers: { Accept: 'application/json', 'X-CSRF-TOKEN': token }, form: { edit: 'point', unit: 'mixer', point: 'ch-2', fader: String(-1 - (revision % 30)), revision: String(revision) } });
                if (answer.status() !== 200) throw new Error(`${answer.status()} ${await answer.text()}`);
                acknowledged++;
            }
        })();
        while (acknowledged < 3) await new Promise((resolve) => setTimeout(resolve, 20));
        const made = await script(server.folder, 'bin/backup', `--to=${file}`, `--key-file=${key}`);
        isOn = false;
        await hammer;
        expect(made.says).toContain('encrypting');
        expect(made.status).toBe(0);
        expect(statSync(file).mode & 0o077).toBe(0);
        // It is encrypted, nothing is overwritten, and no key has been on a command line.
        expect(readFileSync(file).includes('Night relay')).toBe(false);
        expect((await script(server.folder, 'bin/backup', `--to=${file}`)).says).toContain('nothing is overwritten');
        // Where it runs, nothing is put back.
        expect((await script(server.folder, 'bin/restore', file, `--key-file=${key}`)).says).toContain('bin/start runs in this folder');
        // Later somebody begins a rig, and some seconds after that makes a mistake.
        const begin = async (name) => {
            const answer = await context.request.post('/rigs/blank', { form: { _token: token, name }, maxRedirects: 0 });
            expect(answer.status()).toBe(302);
        };
        const seconds = (count) => new Promise((resolve) => setTimeout(resolve, count * 1000));
        await begin('Before the mistake');
        await seconds(2);
        mistakeAt = execFileSync('date', ['+%Y-%m-%d %H:%M:%S']).toString().trim();
        await seconds(2);
        await begin('The mistake');
        cpSync(join(server.folder, log), logs, { recursive: true });
    } catch (error) {
        rmSync(kept, { recursive: true, force: true });
        throw error;
    } finally {
        await server.stop();
    }

    const folder = copyOf();
    let there;
    try {
        const none = await script(folder, 'bin/restore', file);
        expect(none.says).toContain('It is encrypted. Say where its key is');
        expect(none.status).toBe(1);
        expect((await script(folder, 'bin/restore', file, `--key-file=${wrong}`)).says).toContain('can\'t be read with this key, or it is damaged');
        const damaged = join(kept, 'damaged.enc');
        copyFileSync(file, damaged);
        const bytes = readFileSync(damaged);
        bytes[bytes.length >> 1] ^= 1;
        writeFileSync(damaged, bytes);
        expect((await script(folder, 'bin/restore', damaged, `--key-file=${key}`)).says).toContain('damaged');
        expect(existsSync(join(folder, 'storage/mariadb'))).toBe(false);

        const done = await script(folder, 'bin/restore', file, `--key-file=${key}`);
        expect(done.says).toContain('accounts are back');
        expect(done.status).toBe(0);
        expect((await script(folder, 'bin/restore', file, `--key-file=${key}`)).says).toContain('Something is kept here already: 4 rigs');

        // To a second before the mistake; and not where the changes are not.
        const again = ['bin/restore', file, `--key-file=${key}`, '--replace'];
        expect((await script(folder, ...again, `--logs=${folder}/docs`)).says).toContain('the changes since the backup begin there');
        expect((await script(folder, ...again, '--until=yesterday')).says).toContain('--until takes --logs');
        const until = await script(folder, ...again, `--logs=${logs}`, `--until=${mistakeAt}`);
        expect(until.says).toContain(`as of ${mistakeAt}`);
        expect(until.status).toBe(0);

        there = await ownServer(folder);
        const person = await signIn(browser, there.url);
        await expect(person.page.getByRole('heading', { name: 'Before the mistake' })).toBeVisible();
        await expect(person.page.getByRole('heading', { name: 'The mistake', exact: true })).toHaveCount(0);
        const after = await documents(person);
        for (const id of Object.keys(after)) if (JSON.parse(after[id]).name === 'Before the mistake') delete after[id];
        after.picture = (await (await person.context.request.get(picture)).body()).toString('base64');
        // All but the one that was being changed are byte for byte the same; that one is one of its states, whole.
        expect(Object.keys(after)).toEqual(Object.keys(before));
        for (const [id, text] of Object.entries(before)) {
            if (id !== hammered) expect(after[id]).toBe(text);
        }
        const stored = there.stored();
        expect(Object.values(stored).every((one) => one.isWhole)).toBe(true);
        const edits = stored[DEMO].what.length - 1;
        // All edits that were acknowledged: those after the backup are in the logs.
        expect(edits).toBe(acknowledged);
        expect(after[hammered].replace(/"ch-2": \{[^}]*\}/, '')).toBe(before[hammered].replace(/"ch-2": \{[^}]*\}/, ''));
        // What closes sessions and kept mails is as it was.
        expect(readFileSync(join(folder, '.env'), 'utf8')).toMatch(/^APP_KEY=base64:/m);
    } finally {
        if (there) await there.stop();
        else {
            execFileSync('bash', ['-c', '. bin/setup.sh; end_leftovers'], { cwd: folder, stdio: 'ignore' });
            rmSync(folder, { recursive: true, force: true });
        }
        rmSync(kept, { recursive: true, force: true });
    }
});
