import { readFileSync, writeFileSync } from 'node:fs';
import { test, expect } from '@playwright/test';
import { documentOf, openRig, rigOf, said, signIn } from './hands.js';
import { look } from './look.js';

/** A copy of the demo of one's own, so that the demo stays as it is. */
const copyOfDemo = async (page, info, name) => {
    await signIn(page);
    const file = info.outputPath('copy.json');
    writeFileSync(file, readFileSync('resources/rigs/night-relay.json', 'utf8').replace('"Night relay at the pier arcade"', `"${name}"`));
    await page.getByLabel('Rig document').setInputFiles(file);
    await page.getByRole('button', { name: 'Import' }).click();
    await expect(page.getByRole('heading', { name })).toBeVisible();
    return rigOf(page);
};
const rig = async (page) => JSON.parse(await documentOf(page, rigOf(page)));
const unit = async (page, id) => (await rig(page)).units.find((one) => one.id === id);

test('findings, levels, own returns, dependence and the grounds: nothing for axe to find, nothing out of the frame', async ({ page }) => {
    await signIn(page);
    await openRig(page, 'Night relay at the pier arcade');
    const id = rigOf(page);
    for (const view of ['checks?causes=1', 'levels', 'levels?at=presenter', 'returns', 'dependence', 'wiring?layer=ground']) {
        await look(page, `/rigs/${id}/${view}`, { inDark: true });
    }
});

test('a finding: shown on the map, filtered, cured by one click, undone, accepted with a reason and opened again', async ({ page }, info) => {
    const id = await copyOfDemo(page, info, 'Relay to check');
    await page.goto(`/rigs/${id}/checks`);
    // The page looks for itself, and says what it has found once it is there.
    const clip = page.locator('.finding', { hasText: 'Peaks of Presenter voice exceed the limit' });
    await expect(clip).toBeVisible({ timeout: 60000 });
    const checks = page.getByRole('navigation', { name: 'Stops' }).getByRole('link', { name: /^Checks/ });
    await expect(checks).toContainText('1 thing open');

    const which = page.getByRole('navigation', { name: 'Which findings' });
    await which.getByRole('link', { name: 'grounds' }).click();
    await expect(clip).toHaveCount(0);
    await expect(page.locator('.finding', { hasText: 'W-32 closes a ground loop' })).toBeVisible();
    await which.getByRole('link', { name: 'every kind' }).click();

    await clip.getByRole('link', { name: /^Show on the map/ }).click();
    await expect(page.locator('.evidence-says')).toContainText('Peaks of Presenter voice exceed the limit');
    await page.getByRole('link', { name: 'Back to the finding' }).click();

    const fader = async () => (await unit(page, 'mixer')).settings?.points?.['aux-2']?.fader;
    const was = await fader();
    await clip.getByRole('button', { name: /^Apply/ }).click();
    await expect.poll(fader).toBe(-7.8);
    await expect(checks).toContainText('nothing open', { timeout: 60000 });
    await expect(clip).toHaveCount(0);
    await page.keyboard.press('Control+z');
    await expect.poll(fader).toBe(was);

    await expect(clip).toBeVisible({ timeout: 60000 });
    await clip.getByText('Accept', { exact: true }).first().click();
    await clip.getByLabel(/^Why this may stay/).fill('The input has a pad.');
    await clip.getByRole('button', { name: /^Accept/ }).click();
    await expect.poll(async () => (await rig(page)).accepted?.[0]?.why).toBe('The input has a pad.');
    await page.goto(`/rigs/${id}/checks?causes=1`);
    await expect(clip).toHaveCount(0);
    await page.getByText('1 accepted').click();
    await page.getByRole('button', { name: /^Open again.*Peaks of Presenter voice/ }).click();
    await expect.poll(async () => (await rig(page)).accepted ?? []).toEqual([]);
});

test('a gain is dialled in, a voice measured, a caller given the right mix', async ({ page }, info) => {
    const id = await copyOfDemo(page, info, 'Relay to level');
    await page.goto(`/rigs/${id}/levels`);
    const presenter = page.locator('table.gains tr', { hasText: 'Presenter voice' });
    await presenter.getByRole('button', { name: 'Set the gain of Desk mixer · Mic 1 to 22.7 dB' }).click();
    await expect.poll(async () => (await unit(page, 'mixer')).settings.points['ch-1'].gain).toBe(22.7);
    await expect(presenter.getByRole('button')).toHaveCount(0);

    await page.getByText('What this is based on').click();
    await page.getByLabel('Presenter voice talks with, at 1 m, dB SPL').fill('70');
    await page.getByRole('button', { name: 'Save Presenter voice talks with, at 1 m' }).click();
    await expect.poll(async () => (await rig(page)).measures).toEqual([{ about: 'sources/voice', kind: 'speech', value: 70 }]);
    // 4 dB more than usual: so much less gain.
    await expect(presenter).toContainText('18.7 dB');

    await page.goto(`/rigs/${id}/returns`);
    await page.getByRole('button', { name: /^Set this return for Navigator/ }).click();
    await expect(said(page)).toBeVisible({ timeout: 60000 });
    await expect(page.locator('table.returns-table tr', { hasText: 'Navigator' }).last()).toContainText('right');
});
