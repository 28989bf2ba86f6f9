import { test, expect } from '@playwright/test';
import { look } from './look.js';
import { openRig, openSmall, signIn } from './hands.js';

const DEMO = 'Night relay at the pier arcade';

test('controls and the show page: nothing for axe to find, nothing out of the frame', async ({ page }) => {
    await signIn(page);
    await page.goto('/');
    await openRig(page, DEMO);
    const rig = page.url().match(/rigs\/(\d+)/)[1];
    for (const view of ['controls', 'controls?control=box-3', 'show?unlocked=1']) await look(page, `/rigs/${rig}/${view}`, { inDark: true });
});

test('a control is entered, moves something, says for whom, and is gone again', async ({ page }) => {
    const rig = await openSmall(page);
    await page.goto(`/rigs/${rig}/controls`);
    // The headset comes with a key of its own.
    await expect(page.getByText('As the units come: 1 control')).toBeVisible();
    const fresh = page.getByRole('region', { name: 'New control' });
    await fresh.getByLabel('Name').fill('Big fader');
    await fresh.getByLabel('Its label says').fill('Music');
    await fresh.getByRole('button', { name: 'Add' }).click();
    await expect(page.getByText('moves nothing yet')).toBeVisible();
    await page.getByRole('link', { name: 'Change Big fader' }).click();
    await expect(page.getByRole('button', { name: 'Remove Big fader' })).toBeVisible();
    await page.getByLabel('Settings of').selectOption({ label: 'Broadcast program' });
    await page.getByRole('button', { name: 'Show', exact: true }).click();
    await page.getByLabel('It moves').selectOption({ index: 1 });
    await page.getByRole('button', { name: 'Add', exact: true }).first().click();
    await expect(page.locator('.hand-moves')).toContainText('dB to');
    await page.getByRole('button', { name: 'Remove Big fader' }).click();
    await expect(page.locator('.hand-name')).toHaveCount(0);
    await page.getByRole('button', { name: /Undo/ }).first().click();
    await expect(page.locator('.hand-name')).toContainText('Big fader');
});

test('the show page follows the situation, and tells the way to another by hand', async ({ page }) => {
    await signIn(page);
    await page.goto('/');
    await openRig(page, DEMO);
    const rig = page.url().match(/rigs\/(\d+)/)[1];
    await page.goto(`/rigs/${rig}/show`);
    await expect(page.locator('.legends .is-here')).toContainText('On air');
    await page.getByRole('link', { name: 'Break', exact: true }).first().click();
    await expect(page.locator('.legends .is-here')).toContainText('Break');
    await expect(page.locator('.legends li', { hasText: 'Fader 2' })).toContainText('does nothing now');
    await page.getByRole('region', { name: 'By hand to another situation' }).getByRole('link', { name: 'Off-air talk' }).click();
    await expect(page.getByRole('heading', { name: /From Break to Off-air talk: 3 presses/ })).toBeVisible({ timeout: 30000 });
    await expect(page.getByText('At once by Key 3 (Off-air talk).')).toBeVisible();
});
