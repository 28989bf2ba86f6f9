import { test, expect } from '@playwright/test';
import { openStarter, said } from './hands.js';
import { ownServer } from './own-server.js';

const DEMO = 'Night relay at the pier arcade';

test('the database is killed between edits: the page says that nothing was saved and keeps the edit; afterwards the rig is the last acknowledged revision', async ({ browser }) => {
    const server = await ownServer();
    try {
        const context = await browser.newContext({ baseURL: server.url });
        const page = await context.newPage();
        await page.goto('/sign-in');
        await page.getByLabel('Email').fill('demo@hidden-wire.test');
        await page.getByLabel('Password').fill('night-relay');
        await page.getByRole('button', { name: 'Sign in' }).click();
        await page.getByRole('link', { name: DEMO }).click();
        await page.waitForURL(/wiring/);
        await page.goto(page.url().replace(/wiring.*/, 'recipes?select=unit:mixer'));
        const fader = page.getByLabel('Fader of Mic 1, dB');
        const set = async (value) => {
            await fader.fill(value);
            await fader.press('Enter');
        };
        await set('-7');
        await expect(said(page)).toContainText('Desk mixer: Mic 1 fader −7.0 dB');

        await server.kill();
        await set('-9');
        await expect(page.getByRole('alert')).toContainText('Not saved: the server did not answer. What you entered is still here', { timeout: 30000 });
        await expect(fader).toHaveValue('-9');
        await server.start();
        expect(server.stored()[DEMO]).toEqual({ what: [expect.any(String), 'Desk mixer: Mic 1 fader −7.0 dB'], isWhole: true });

        // Sent again from its present place.
        await fader.press('Enter');
        await expect(said(page)).toContainText('Desk mixer: Mic 1 fader −9.0 dB');
        await expect(page.getByRole('alert')).toHaveCount(0);

        // Killed while edits are on their way: whatever was acknowledged is there, nothing is half there.
        const [rig, token] = await page.evaluate(() => [document.body.dataset.rig, document.querySelector('meta[name=csrf-token]').content]);
        const acknowledged = [];
        let isDown = false;
        const hammer = (async () => {
            for (let revision = 3, i = 0; !isDown && i < 400; i++) {
                const answer = await context.request.post(`/rigs/${rig}/edits`, { headers: { Accept: 'application/json', 'X-CSRF-TOKEN': token }, form: { edit: 'point', unit: 'mixer', point: 'ch-2', fader: String(-1 - (i % 30)), revision: String(revision) }, timeout: 20000 }).catch(() => null);
                if (answer?.status() !== 200) break;
                acknowledged.push((await answer.json()).said.split(' · ')[0]);
                revision++;
            }
        })();
        while (acknowledged.length < 5) await new Promise((resolve) => setTimeout(resolve, 20));
        await server.kill();
        isDown = true;
        await hammer;
        await server.start();
        const after = server.stored()[DEMO];
        expect(after.isWhole).toBe(true);
        // One more may have been written than could be answered; none fewer.
        const edits = after.what.slice(3);
        expect(edits.slice(0, acknowledged.length)).toEqual(acknowledged);
        expect(edits.length - acknowledged.length).toBeLessThanOrEqual(1);
    } finally {
        await server.stop();
    }
});

test('an edit whose answer is lost on the way is sent again by itself, and made once', async ({ page }) => {
    await openStarter(page, 'Quiz night');
    await page.goto(page.url().replace(/\/wiring.*/, '/wishes'));
    let sent = 0;
    await page.route('**/edits', async (route) => {
        sent++;
        // The server makes it; its answer never arrives. The second time the server is away.
        if (sent === 1) await route.fetch();
        if (sent === 2) return route.fulfill({ status: 503, contentType: 'application/json', body: '{}' });
        return sent === 1 ? route.abort() : route.continue();
    });
    await page.getByLabel('Name of the new sound').fill('Fog horn');
    await page.getByRole('button', { name: 'Add the sound' }).click();
    await expect(said(page)).toContainText('Fog horn', { timeout: 20000 });
    await expect(page.getByRole('alert')).toHaveCount(0);
    expect(sent).toBe(3);
    await expect(page.locator('th[scope=row]', { hasText: 'Fog horn' })).toHaveCount(1);
});
