import { test, expect } from '@playwright/test';
import { documentOf, openSmall, openStarter, rigOf, said } from './hands.js';

const cablesOf = async (page) => JSON.parse(await documentOf(page, rigOf(page))).cables.map(({ from, to }) => `${from} ${to}`);
const port = (page, ref) => page.locator(`[data-port="${ref}"]`);
const middle = async (locator) => {
    const { x, y, width, height } = await locator.locator('.socket').boundingBox();
    return [x + width / 2, y + height / 2];
};

/** A rig with three free microphones and a desk, its sockets on the map. */
const bench = async (page) => {
    await openSmall(page);
    const rig = rigOf(page);
    await page.goto(`/rigs/${rig}/stock`);
    for (const [model, count, said_] of [['eight-input-desk', 1, 'Eight-input desk'], ['dynamic-microphone', 2, 'Dynamic microphone 2'], ['closed-headphones', 1, 'Closed headphones']]) {
        const form = page.locator('form', { has: page.getByLabel('How many') });
        await form.getByLabel('Model').fill(model);
        await form.getByLabel('How many').fill(String(count));
        await form.getByRole('button').click();
        await expect(said(page)).toContainText(said_);
    }
    await page.goto(`/rigs/${rig}/wiring?depth=sockets`);
    await expect(page.locator('[data-map][data-ready]')).toBeVisible({ timeout: 60000 });
    const loads = { number: 0 };
    page.on('load', () => loads.number++);
    return loads;
};

test('cables are drawn from socket to socket, one after the other, and the map stays where it is', async ({ page }) => {
    const loads = await bench(page);
    const before = await page.locator('[data-unit="eight-input-desk"] .plate-body').boundingBox();
    for (const [from, to, lit] of [['dynamic-microphone/out', 'eight-input-desk/mic-1', true], ['dynamic-microphone-2/out', 'eight-input-desk/mic-2', false], ['eight-input-desk/phones', 'closed-headphones/plug', false]]) {
        const [x, y] = await middle(port(page, from));
        await page.mouse.move(x, y);
        await page.mouse.down();
        await page.mouse.move(x + 40, y + 10, { steps: 4 });
        if (lit) await expect(page.locator('.port-fits').first()).toBeVisible();
        await page.mouse.move(...(await middle(port(page, to))), { steps: 6 });
        await page.mouse.up();
        await expect(said(page)).toContainText(/^W-\d+: /);
        await expect.poll(() => cablesOf(page)).toContain(`${from} ${to}`);
        await expect(page.locator('svg.map .line')).toHaveCount(await cablesOf(page).then((all) => all.length));
    }
    // Nothing is picked up, nothing was loaded, and the plates are where they were.
    await expect(page.locator('.port-here')).toHaveCount(0);
    expect(loads.number).toBe(0);
    const after = await page.locator('[data-unit="eight-input-desk"] .plate-body').boundingBox();
    expect([Math.round(after.x), Math.round(after.y)]).toEqual([Math.round(before.x), Math.round(before.y)]);
    // The lines are laid out again behind it: every cable has its label back.
    await expect(page.locator('svg.map .label')).toHaveCount(4, { timeout: 60000 });
});

test('let go on a socket that does not fit, a cable is not made: the sheet says why, and what could stand between', async ({ page }) => {
    await bench(page);
    const [x, y] = await middle(port(page, 'dynamic-microphone/out'));
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 40, y + 10, { steps: 4 });
    await expect(page.locator('.port-blocked').first()).toBeVisible();
    await page.mouse.move(...(await middle(port(page, 'laptop/usb-1'))), { steps: 6 });
    await page.mouse.up();
    await expect(page.getByRole('complementary', { name: 'Sheet' })).toContainText('USB');
    expect(await cablesOf(page)).toHaveLength(1);
});

test('plugged by click and click, the next socket can be picked up at once', async ({ page }) => {
    const loads = await bench(page);
    for (const [from, to] of [['dynamic-microphone/out', 'eight-input-desk/mic-1'], ['dynamic-microphone-2/out', 'eight-input-desk/mic-2']]) {
        await port(page, from).click();
        await expect(page.locator('.port-here')).toHaveCount(1);
        await port(page, to).click();
        await expect.poll(() => cablesOf(page)).toContain(`${from} ${to}`);
        await expect(page.locator('.port-here')).toHaveCount(0);
    }
    expect(loads.number).toBe(0);
});

test('on a phone the map starts at a place that can be read, and the places are at hand', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await openStarter(page, 'Harbour radio');
    const smallest = () => page.evaluate(() => {
        const scale = document.querySelector('svg.map').getCTM().a * document.querySelector('svg.map').getBoundingClientRect().width
            / document.querySelector('svg.map').width.baseVal.value;
        return Math.min(...[...document.querySelectorAll('svg.map text')].filter((text) => getComputedStyle(text).display !== 'none')
            .map((text) => parseFloat(getComputedStyle(text).fontSize) * scale));
    });
    expect(await smallest()).toBeGreaterThanOrEqual(11);
    await page.getByRole('navigation', { name: 'Places on the map' }).getByRole('button').last().click();
    expect(await smallest()).toBeGreaterThanOrEqual(11);
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.evaluate(() => sessionStorage.clear());
    await page.reload();
    await expect(page.locator('[data-map][data-ready]')).toBeVisible();
    expect(await smallest()).toBeGreaterThanOrEqual(11);
});
