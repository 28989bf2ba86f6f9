import { test, expect } from '@playwright/test';
import { documentOf, openStarter, rigOf, said } from './hands.js';

const wishesOf = async (page) => Object.fromEntries(JSON.parse(await documentOf(page, rigOf(page))).wishes
    .map(({ source, listener, want, situations }) => [`${source}:${listener}${situations ? `:${situations}` : ''}`, want]));

/** A starter's table; counts how often a page is loaded. */
const table = async (page) => {
    await openStarter(page, 'Harbour radio');
    await page.goto(`/rigs/${rigOf(page)}/wishes`);
    const loads = { number: 0 };
    page.on('load', () => loads.number++);
    return loads;
};
const cell = (page, name) => page.locator(`[data-cell="${name}"]`);
const has = (page, wanted) => expect.poll(async () => {
    const wishes = await wishesOf(page);
    return Object.fromEntries(Object.keys(wanted).map((key) => [key, wishes[key]]));
}).toEqual(wanted);

test('wishes are painted by mouse: a cell, a stroke, a row, a column; nothing is loaded and nothing is lost', async ({ page }) => {
    const loads = await table(page);
    await page.getByRole('toolbar', { name: 'Wishes' }).getByRole('link', { name: 'May hear' }).click();
    await expect(page.locator('table.painting')).toBeVisible();
    await cell(page, 'host:viewers').click();
    await has(page, { 'host:viewers': 'may' });

    const [from, to] = [await cell(page, 'music:host-ears').boundingBox(), await cell(page, 'music:viewers').boundingBox()];
    await page.mouse.move(from.x + 20, from.y + 15);
    await page.mouse.down();
    await page.mouse.move(to.x + 20, to.y + 15, { steps: 30 });
    await page.mouse.up();
    await has(page, { 'music:host-ears': 'may', 'music:reader-ears': 'may', 'music:studio': 'may', 'music:viewers': 'may' });

    await page.getByRole('toolbar', { name: 'Wishes' }).getByRole('link', { name: 'Must not' }).click();
    await page.locator('[data-row="news"] a').click();
    await page.locator('[data-column="caller-ear"] button').click();
    await has(page, { 'news:host-ears': 'must-not', 'news:caller-ear': 'must-not', 'host:caller-ear': 'must-not', 'caller:caller-ear': 'must-not', 'music:viewers': 'may' });
    await expect(said(page)).toContainText('No sound may be heard');
    expect(loads.number).toBe(0);
});

test('twenty-five wishes by key, as fast as a hand types: the caret goes from cell to cell and stays', async ({ page }) => {
    const loads = await table(page);
    await cell(page, 'host:host-ears').locator('a').focus();
    const wanted = {};
    for (const source of ['host', 'reader', 'chair', 'music', 'caller']) {
        for (const listener of ['host-ears', 'reader-ears', 'studio', 'viewers', 'caller-ear']) {
            await page.keyboard.press('y');
            wanted[`${source}:${listener}`] = 'may';
            if (listener !== 'caller-ear') await page.keyboard.press('ArrowRight');
        }
        if (source === 'caller') break;
        await page.keyboard.press('ArrowDown');
        for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowLeft');
    }
    await has(page, wanted);
    await expect(cell(page, 'caller:caller-ear').locator('a')).toBeFocused();

    // A rectangle by Shift and the arrows; only in this situation, as the switch says.
    await page.getByRole('navigation', { name: 'Situation' }).getByRole('link', { name: 'Music hour' }).click();
    await expect(page.getByRole('toolbar', { name: 'Wishes' }).getByRole('link', { name: 'Music hour only' })).toHaveAttribute('aria-current', 'true');
    await cell(page, 'host:host-ears').locator('a').focus();
    await page.keyboard.press('Shift+ArrowRight');
    await page.keyboard.press('Shift+ArrowDown');
    await expect(page.locator('td.marked')).toHaveCount(4);
    await page.keyboard.press('n');
    await has(page, { 'host:host-ears': 'may', 'host:host-ears:hour': 'must-not', 'reader:reader-ears:hour': 'must-not' });
    expect(loads.number).toBe(0);
});
