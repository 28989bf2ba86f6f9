import { test, expect } from '@playwright/test';
import { documentOf, openSmall, rigOf, said } from './hands.js';

test('a card is ticked without a network, also after it is loaded again, and sent when there is one', async ({ page, context, browser }) => {
    await openSmall(page);
    const card = `/rigs/${rigOf(page)}/cards/run-down`;
    await page.goto(card);
    await expect(page.getByText('all sent')).toBeVisible();
    const boxes = page.getByRole('checkbox');
    const count = await boxes.count();
    expect(count).toBeGreaterThan(5);
    // The page's worker keeps what it sees pass; it is in charge from the next look on.
    await page.evaluate(() => navigator.serviceWorker.ready);
    await page.reload();
    await expect(page.getByText('all sent')).toBeVisible();
    await expect.poll(() => page.evaluate(() => Boolean(navigator.serviceWorker.controller))).toBe(true);

    await context.setOffline(true);
    await boxes.nth(0).check();
    await boxes.nth(2).check();
    await expect(page.getByText(`2 of ${count} done`)).toBeVisible();
    await expect(page.getByText('no network; 2 kept here')).toBeVisible();
    await page.reload();
    await expect(page.getByText(`2 of ${count} done`)).toBeVisible();
    await expect(boxes.nth(2)).toBeChecked();

    // Meanwhile somebody else ticks what this phone has ticked, and one more.
    await context.setOffline(false);
    await expect(page.getByText('all sent')).toBeVisible({ timeout: 30000 });
    const other = await browser.newContext({ storageState: await context.storageState() });
    const desk = await other.newPage();
    await desk.goto(card);
    await expect(desk.getByRole('checkbox').nth(0)).toBeChecked();
    await expect(desk.getByRole('checkbox').nth(1)).not.toBeChecked();
    await desk.getByRole('checkbox').nth(1).check();
    await expect(desk.getByText('all sent')).toBeVisible();
    await other.close();
    await page.reload();
    await expect(page.getByText(`3 of ${count} done`)).toBeVisible();
    await page.getByRole('button', { name: 'Start over' }).click();
    await expect(page.getByText(`0 of ${count} done`)).toBeVisible();
    await expect(page.getByText('all sent')).toBeVisible();
});

test('signing out leaves nothing of the cards on the device, and the next account there finds nothing of the last one\'s', async ({ page, context }) => {
    await openSmall(page);
    const rig = rigOf(page);
    const card = `/rigs/${rig}/cards/run-down`;
    const left = () => page.evaluate(async () => {
        const pages = [];
        for (const name of await caches.keys()) {
            for (const request of await (await caches.open(name)).keys()) if (request.url.includes('/cards/')) pages.push(request.url);
        }
        return { pages: pages.length, ticks: Object.keys(localStorage).filter((key) => key.startsWith('card ')).length };
    });
    await page.goto(card);
    await page.evaluate(() => navigator.serviceWorker.ready);
    await page.reload();
    await expect.poll(() => page.evaluate(() => Boolean(navigator.serviceWorker.controller))).toBe(true);
    await page.reload();
    await page.getByRole('checkbox').first().check();
    // What it says may still be of before: what is kept knows.
    await expect.poll(() => page.evaluate(() => Object.keys(localStorage).filter((key) => key.startsWith('card ') && localStorage.getItem(key).includes('unsent')).length)).toBe(0);
    await expect.poll(left).toEqual({ pages: 1, ticks: 1 });

    // Ticks that were not sent are not lost without a word.
    await page.goto('/account');
    await page.evaluate(() => localStorage.setItem('card 0 0 run-down', JSON.stringify({ a: { on: true, at: 1, unsent: true } })));
    const signOut = page.getByRole('button', { name: 'Sign out Demo' });
    page.once('dialog', (dialog) => dialog.dismiss());
    await signOut.click();
    await expect(page).toHaveURL(/account/);
    expect(await left()).toEqual({ pages: 1, ticks: 2 });
    let asked = '';
    page.once('dialog', (dialog) => {
        asked = dialog.message();
        return dialog.accept();
    });
    await signOut.click();
    await page.waitForURL(/sign-in/);
    expect(asked).toBe('One tick on a card was not sent yet. Sign out and lose it?');
    await expect.poll(left).toEqual({ pages: 0, ticks: 0 });
    await context.setOffline(true);
    await expect(page.goto(card)).rejects.toThrow();
});

test('a step of one\'s own stands in the run-down, is moved, and keeps its time and wait', async ({ page }) => {
    await openSmall(page);
    await page.goto(`/rigs/${rigOf(page)}/cards`);
    const steps = async () => (JSON.parse(await documentOf(page, rigOf(page))).steps ?? []).map(({ text }) => text);
    for (const text of ['Open the window', 'Close the window']) {
        await page.getByLabel('New step: Prepare', { exact: true }).fill(text);
        await page.getByRole('button', { name: 'Add to Prepare' }).click();
        await expect(said(page)).toContainText(text);
    }
    // Whoever types while a step moves keeps what they typed, at the step where they typed it.
    let arrive;
    const arrived = new Promise((done) => (arrive = done));
    await page.route('**/edits', async (route) => {
        const answer = await route.fetch();
        await arrived;
        await route.fulfill({ response: answer });
    }, { times: 1 });
    await page.getByRole('button', { name: 'Move Close the window up' }).click();
    await expect.poll(steps).toEqual(['Close the window', 'Open the window']);
    await page.getByLabel('Minutes from the beginning, of Open the window').fill('-5');
    await page.getByLabel('Seconds to wait after Open the window').fill('90');
    arrive();
    await expect(said(page)).toContainText('Earlier in the run-down: Close the window');
    await expect(page.getByLabel('Minutes from the beginning, of Open the window')).toHaveValue('-5');
    await expect(page.getByLabel('Minutes from the beginning, of Close the window')).toHaveValue('');
    await page.getByRole('button', { name: 'Save Open the window' }).click();
    await expect(said(page)).toContainText('Open the window');
    await page.getByRole('link', { name: 'Tick it off' }).click();
    await expect(page.getByText('−0:05')).toBeVisible();
    await expect(page.getByText('wait 90 s')).toBeVisible();
    const box = page.locator('[data-wait]').getByRole('checkbox');
    await box.check();
    await expect(page.getByText(/wait, \d+ s left/)).toBeVisible();
});

test('a reason is written where a unit is, and read on the map', async ({ page }) => {
    await openSmall(page);
    const rig = rigOf(page);
    await page.goto(`/rigs/${rig}/stock?select=unit:headset`);
    await page.getByText('Add a reason').click();
    await page.getByLabel('Why', { exact: true }).fill('The only one that fits under the cap.');
    await page.getByRole('button', { name: 'Save the new reason' }).click();
    await expect(said(page)).toContainText('The only one that fits under the cap.');
    expect(JSON.parse(await documentOf(page, rig)).reasons).toEqual([{ about: 'units/headset', why: 'The only one that fits under the cap.' }]);
    await page.goto(`/rigs/${rig}/wiring?select=unit:headset`);
    await expect(page.locator('.reason-says')).toContainText('The only one that fits under the cap.');
});

test('two revisions stand beside each other, with what became of each part', async ({ page }) => {
    await openSmall(page);
    const rig = rigOf(page);
    await page.goto(`/rigs/${rig}/stock?select=unit:headset`);
    await page.locator('.unit-sheet').getByLabel('Name', { exact: true }).fill('Old headset');
    await page.locator('.unit-sheet').getByLabel('Name', { exact: true }).press('Enter');
    await expect(said(page)).toContainText('renamed to Old headset');
    await page.goto(`/rigs/${rig}/history`);
    await page.getByRole('link', { name: 'Compare revision 1 with now' }).click();
    await expect(page.locator('.two-maps figure')).toHaveCount(2);
    await expect(page.locator('.two-maps svg').first()).toContainText('changed');
    await expect(page.locator('.two-maps svg').last()).toContainText('Old headset');
});
