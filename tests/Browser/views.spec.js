import { test, expect } from '@playwright/test';
import { noViolations, openSmall } from './hands.js';
import { look } from './look.js';

test('the views in which a rig is built: nothing for axe to find, nothing out of the frame', async ({ page }) => {
    const rig = await openSmall(page);
    for (const view of ['stock', 'stock?select=unit:headset&swap=two-plug-headset', 'stock?q=usb', 'computers', 'recipes?select=unit:broadcast-program', 'recipes?select=unit:broadcast-program&as=matrix', 'recipes?select=unit:broadcast-program&listen=track-1', 'names', 'doubts', 'bench', 'faults', 'tracks', 'situations?against=pause', 'cables', 'people', 'history', 'history/1/1', 'cards', 'cards/run-down', 'find?q=head']) {
        await look(page, `/rigs/${rig}/${view}`, { inDark: ['stock?q=usb', 'computers', 'recipes?select=unit:broadcast-program', 'tracks', 'situations?against=pause', 'cables', 'cards', 'cards/run-down'].includes(view) });
    }
    await page.goto(`/rigs/${rig}/computers`);
    await page.locator('.device-row summary').first().click();
    await noViolations(page);
    await page.keyboard.press('Escape');
    await page.keyboard.press('/');
    await expect(page.locator('[data-found] a').first()).toBeVisible();
    await noViolations(page);
});
