import { test, expect } from '@playwright/test';
import { openSmall, openStarter, said } from './hands.js';

test('situations side by side: a click sets and takes back, a number is typed, and the keyboard stays where it was', async ({ page }) => {
    const rig = await openStarter(page, 'Quiz night');
    await page.goto(`/rigs/${rig}/tracks?situation=talk`);
    await page.getByRole('button', { name: /^Mute / }).first().click();
    await expect(said(page)).toContainText('muted in Talk');
    await page.goto(`/rigs/${rig}/situations`);
    const row = page.locator('.settings-table tr', { hasText: 'mute' }).first();
    await expect(row.locator('td.own')).toHaveText(/^\s*muted/);
    const elsewhere = row.locator('td:not(.own) button').first();
    await elsewhere.focus();
    await page.keyboard.press('Enter');
    await expect(row.locator('td.own')).toHaveCount(2);
    await expect(page.locator('td.own button:focus')).toContainText('muted');
    await page.keyboard.press('Enter');
    await expect(row.locator('td.own')).toHaveCount(1);
    await expect(page.locator('td:not(.own) button:focus')).toHaveCount(1);
    await row.locator('td.own button').click();
    await expect(page.locator('.settings-table tr', { hasText: 'mute' })).toHaveCount(0);
});

test('a computer\'s picks are lines from device to program, and follow a new choice and a pen', async ({ page }) => {
    const rig = await openSmall(page);
    await page.goto(`/rigs/${rig}/computers`);
    const picks = await page.locator('[data-picks]').evaluateAll((rows) => rows.flatMap((row) => row.dataset.picks.split(' ').filter(Boolean)));
    expect(picks.length).toBeGreaterThan(1);
    await expect(page.locator('.pick-lines path')).toHaveCount(picks.length);
    // A line ends at the right edge of its device's row and at the left edge of the program's.
    const ends = await page.evaluate(() => {
        const frame = document.querySelector('.computer-parts').getBoundingClientRect();
        const row = document.querySelector('[data-picks]:not([data-picks=""])');
        const to = row.getBoundingClientRect().left - frame.left;
        return [...document.querySelectorAll('.pick-line')].filter((path) => Math.abs(path.getPointAtLength(path.getTotalLength()).x - to) < 1).length;
    });
    expect(ends).toBe(picks.length);
    const field = page.locator('.start-order select').first();
    await field.selectOption('');
    await expect(page.locator('.pick-lines path')).toHaveCount(picks.length - 1);
    const sound = await page.evaluate((address) => fetch(address).then((answer) => answer.json()), `/rigs/${rig}/document`);
    await page.goto(`/rigs/${rig}/computers?pens=${sound.sources.map((source) => source.id).join(',')}`);
    await expect(page.locator('.pick-lines .pen-stroke').first()).toBeAttached();
});

test('on tracks a knot is joined and parted by a click, and the wire follows', async ({ page }) => {
    const rig = await openSmall(page);
    await page.goto(`/rigs/${rig}/tracks`);
    const knot = page.locator('tbody .knot[aria-pressed="true"]').first();
    const name = (await knot.textContent()).trim();
    await knot.focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name, exact: true })).toHaveAttribute('aria-pressed', 'false');
    await expect(page.getByRole('button', { name, exact: true })).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name, exact: true })).toHaveAttribute('aria-pressed', 'true');
});

test('what goes dark when something fails is shown on the map, and goes with another selection', async ({ page }) => {
    const rig = await openSmall(page);
    await page.goto(`/rigs/${rig}/dependence`);
    await page.locator('.fails tbody a').first().click();
    await expect(page.locator('.fails-sheet')).toContainText('wanted sound');
    await page.getByRole('link', { name: 'Show in wiring' }).click();
    await expect(page.locator('[data-map][data-ready]')).toBeVisible({ timeout: 60000 });
    await expect(page.locator('.evidence-says')).toContainText('lost.');
    await expect(page.locator('.plate.failed, .line.failed')).not.toHaveCount(0);
    await page.getByRole('link', { name: 'Stop showing it' }).click();
    await expect(page.locator('.plate.failed, .line.failed')).toHaveCount(0);
});

test('a map too small for its smaller texts says the name of what the pointer or the keyboard is at', async ({ page }) => {
    await page.setViewportSize({ width: 700, height: 500 });
    const rig = await openStarter(page, 'Machine of the week');
    await page.goto(`/rigs/${rig}/wiring?depth=everything`);
    await expect(page.locator('[data-map][data-ready]')).toBeVisible({ timeout: 60000 });
    await page.getByRole('button', { name: 'Whole map' }).click();
    await expect(page.locator('svg.map.far')).toBeVisible();
    const socket = page.locator('svg.map .socket').first();
    const name = await socket.evaluate((at) => at.nextElementSibling.textContent);
    await socket.hover();
    await expect(page.locator('.map-tag')).toHaveText(name);
    await page.locator('.plate-open').first().focus();
    await expect(page.locator('.map-tag')).toContainText(await page.locator('.plate-name').first().textContent());
    await page.mouse.move(5, 5);
    await page.locator('.zoom button').first().focus();
    await expect(page.locator('.map-tag')).toBeHidden();
});

test('what was done is said below the view and covers nothing; it leads to the history', async ({ page }) => {
    for (const [width, height] of [[1280, 800], [390, 844]]) {
        await page.setViewportSize({ width, height });
        const rig = await openSmall(page);
        await page.goto(`/rigs/${rig}/tracks`);
        await page.getByRole('button', { name: /^Mute / }).first().click();
        await expect(said(page)).toContainText('muted');
        const box = await said(page).boundingBox();
        for (const other of ['main#view', '.rail', '.top', '.tab-line']) {
            const around = await page.locator(other).boundingBox();
            const apart = box.y >= around.y + around.height - 1 || box.y + box.height <= around.y + 1 || box.x >= around.x + around.width - 1 || box.x + box.width <= around.x + 1;
            expect([width, other, apart]).toEqual([width, other, true]);
        }
        await page.locator('.message').getByRole('link', { name: 'History' }).click();
        await page.waitForURL(/history/);
        // An answer that is still on its way would bring the session back.
        await page.waitForFunction(() => !document.body.hasAttribute('aria-busy'));
        await page.goto('about:blank');
        await page.context().clearCookies();
    }
});

test('on a phone the header takes little of the height, also with large text', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    const rig = await openStarter(page, 'Quiz night');
    await page.goto(`/rigs/${rig}/wishes`);
    const share = async () => (await page.locator('header.top').boundingBox()).height / 844;
    expect(await share()).toBeLessThanOrEqual(0.15);
    await page.evaluate(() => { document.documentElement.style.fontSize = '200%'; });
    expect(await share()).toBeLessThanOrEqual(0.25);
});
