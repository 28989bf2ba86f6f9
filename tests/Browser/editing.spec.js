import { test, expect } from '@playwright/test';
import { noViolations, openSmall, openStarter, said } from './hands.js';

test('a cable comes out and goes in again, and the hearing follows', async ({ page }) => {
    const rig = await openStarter(page, 'Bells of the tower');
    await page.goto(`/rigs/${rig}/wiring?select=cable:w-04`);
    await page.getByRole('button', { name: 'Unplug W-04' }).click();
    await expect(said(page)).toContainText('Unplugged W-04');
    await expect(page.getByRole('link', { name: /6 not as wished/ })).toBeVisible();
    // By hand, from the mixer's sheet.
    await page.goto(`/rigs/${rig}/wiring?select=unit:mix`);
    await page.getByLabel('Other end of Send 1').selectOption({ label: 'In of Isolator' });
    await page.getByRole('button', { name: 'Plug Send 1' }).click();
    await expect(said(page)).toContainText('W-09: Send 1 of Tower mixer to In of Isolator');
    await expect(page.getByRole('link', { name: 'All as wished' })).toBeVisible();
});

test('one click makes a cure, a key undoes it', async ({ page }) => {
    const rig = await openSmall(page);
    await page.goto(`/rigs/${rig}/wiring?select=unit:broadcast-program&depth=inside`);
    await page.getByRole('button', { name: 'Mute Source 2' }).click();
    await expect(said(page)).toContainText('Broadcast program: Source 2 muted');
    await page.goto(`/rigs/${rig}/wishes?pair=game:viewers`);
    const strip = page.getByRole('region', { name: 'Way strip' });
    // The causes are looked for once the page is shown.
    await expect(strip).toContainText('Unmute Source 2 of Broadcast program', { timeout: 60000 });
    await strip.getByRole('button', { name: /^Apply/ }).click();
    await expect(page.getByRole('link', { name: 'All as wished' })).toBeVisible();
    await page.keyboard.press('u');
    await expect(said(page)).toContainText('Undone: Broadcast program: Source 2 unmuted');
    await expect(page.getByRole('link', { name: /1 not as wished/ })).toBeVisible();
    await page.keyboard.press('r');
    await expect(page.getByRole('link', { name: 'All as wished' })).toBeVisible();
    await page.getByRole('link', { name: /^Book/ }).click();
    await page.getByRole('link', { name: 'History' }).click();
    await expect(page.locator('.revisions li')).toHaveCount(3);
    await page.getByRole('button', { name: 'Restore revision 1' }).click();
    await expect(page.locator('.revisions li').first()).toContainText('Restored revision 1');
});

test('what a change does in other situations is told behind it, when it is known', async ({ page }) => {
    const rig = await openStarter(page, 'The lighthouse log');
    await page.goto(`/rigs/${rig}/wishes?pair=weather:ears`);
    await page.locator('.wish-form').getByRole('button', { name: /Must not/ }).click();
    await expect(said(page)).toContainText('Sea weather must not be heard by Keeper');
    await expect(said(page)).toContainText('Not as wished now in Listening only: Sea weather at Keeper.');
    await expect(said(page)).toHaveCount(1);
});

test('a change that is made while another state of the view is on its way is told all the same', async ({ page }) => {
    const rig = await openSmall(page);
    await page.goto(`/rigs/${rig}/tracks`);
    // The change is answered only when the address has gone on to the other situation.
    await page.route('**/edits', async (route) => {
        const answer = await route.fetch();
        await page.waitForURL(/situation=pause/);
        await route.fulfill({ response: answer });
    });
    await page.getByRole('button', { name: /^Mute Source 1/ }).click({ noWaitAfter: true });
    await page.evaluate((address) => window.history.pushState(null, '', address), `/rigs/${rig}/tracks?situation=pause`);
    await expect(said(page)).toContainText('Broadcast program: Source 1 muted');
});

test('wishes are set by key, for a cell, a row, and one situation only', async ({ page }) => {
    const rig = await openSmall(page);
    await page.goto(`/rigs/${rig}/wishes`);
    await page.locator('.hearing tbody td a').first().focus();
    await page.keyboard.press('Enter');
    await expect(page.locator('td.chosen a')).toBeFocused();
    await page.keyboard.press('m');
    await expect(said(page)).toContainText('Voice must be heard by Me');
    await expect(page.locator('td.chosen')).toContainText('must hear');
    await page.keyboard.press('x');
    await expect(said(page)).toContainText('No wish for Voice at Me');
    // A whole row, in the situation that is shown, as the switch above the table says.
    await page.keyboard.press(']');
    await expect(page).toHaveURL(/situation=pause/);
    const form = page.locator('.wish-form');
    await form.locator('select[name=listener]').selectOption({ label: 'every listener' });
    await form.getByRole('button', { name: /May hear/ }).click();
    await expect(said(page)).toContainText('Voice may be heard by every listener in Pause');
    await noViolations(page);
});

test('two changes of one thing: the later is told, keeps what it entered, and nothing is overwritten', async ({ page, context }) => {
    const rig = await openSmall(page);
    const other = await context.newPage();
    for (const one of [page, other]) {
        // Without their pulse the pages don't see each other in time.
        await one.route('**/pulse', (route) => route.abort());
        await one.goto(`/rigs/${rig}/recipes?select=unit:broadcast-program`);
    }
    await other.getByLabel('Fader of Source 1, dB').fill('-6');
    await other.keyboard.press('Enter');
    await expect(said(other)).toContainText('Source 1 fader −6.0 dB');
    await page.getByLabel('Fader of Source 1, dB').fill('-9');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert')).toContainText('Not saved: The rig has changed meanwhile: Broadcast program: Source 1 fader −6.0 dB');
    await expect(page.getByLabel('Fader of Source 1, dB')).toHaveValue('-9');
    // Something else is joined.
    await page.getByLabel('Fader of Source 2, dB').fill('-4');
    await page.keyboard.press('Enter');
    await expect(said(page)).toContainText('Joined with what was done meanwhile: Broadcast program: Source 1 fader −6.0 dB');
    await expect(page.getByLabel('Fader of Source 2, dB')).toHaveValue('-4');
});

test('a unit goes with all that hangs on it, says so before, and comes back by a key', async ({ page }) => {
    const rig = await openSmall(page);
    await page.goto(`/rigs/${rig}/stock`);
    await page.getByRole('link', { name: 'Headset', exact: true }).click();
    await page.getByRole('button', { name: 'Remove, and with it W-01' }).click();
    await expect(page.getByRole('link', { name: /2 not as wished/ })).toBeVisible();
    await page.locator('main').press('u');
    await expect(page.getByRole('link', { name: 'All as wished' })).toBeVisible();
});

test('after a change the keyboard is where the hand was, and what else is open, typed or chosen stays', async ({ page }) => {
    const rig = await openStarter(page, 'Pinball duel');
    await page.goto(`/rigs/${rig}/tracks`);
    const mutes = page.getByRole('button', { name: /^Mute / });
    const name = await mutes.nth(0).textContent();
    await mutes.nth(0).focus();
    await page.keyboard.press('Enter');
    await expect(said(page)).toContainText('muted');
    // The same button, which says the opposite now, has the keyboard still.
    const opposite = name.replace('Mute', 'Unmute').replace(/\s+/g, ' ').trim();
    await expect(page.getByRole('button', { name: opposite, exact: true })).toBeFocused();

    await page.goto(`/rigs/${rig}/computers`);
    const device = page.locator('.device-row').first();
    await device.locator('summary').click();
    await device.locator('[name=name]').fill('Half typed');
    await device.locator('[name=driver_mode]').selectOption('exclusive');
    const other = page.locator('.start-order select').first();
    await other.evaluate((select) => select.dispatchEvent(new Event('focus')));
    // A change of something else is drawn into the page around all this.
    await page.keyboard.press('Escape');
    await page.locator('main').press('Control+z');
    await expect(said(page)).toContainText('Undone:');
    await expect(device).toHaveAttribute('open', '');
    await expect(device.locator('[name=name]')).toHaveValue('Half typed');
    await expect(device.locator('[name=driver_mode]')).toHaveValue('exclusive');
    // What was done is said until it is put away.
    await page.getByRole('button', { name: 'Dismiss' }).click();
    await expect(said(page)).toHaveCount(0);
});

test('a switch keeps the keyboard, whichever it is', async ({ page }) => {
    const rig = await openStarter(page, 'Guided evening');
    await page.goto(`/rigs/${rig}/recipes?select=unit:desk`);
    await page.getByRole('button', { name: /^Solo Host/ }).focus();
    await page.keyboard.press('Enter');
    await expect(said(page)).toContainText('soloed');
    await expect(page.getByRole('button', { name: /^Solo off Host/ })).toBeFocused();
});

test('a wish made in another situation holds there, keys without Ctrl can be turned off, and Ctrl+Z undoes', async ({ page }) => {
    const rig = await openSmall(page);
    await page.goto(`/rigs/${rig}/wishes?situation=pause&pair=voice:me`);
    await expect(page).toHaveTitle(/^Who hears what · A small rig/);
    await page.locator('main').press('m');
    await expect(said(page)).toContainText('Voice must be heard by Me in Pause');
    await page.locator('summary[aria-label=Menu]').click();
    await page.getByRole('button', { name: /^Keys/ }).click();
    await page.getByLabel('Keys without Ctrl or Alt').uncheck();
    await page.getByRole('button', { name: 'Close' }).click();
    await page.locator('main').press('x');
    await page.locator('main').press('6');
    await expect(page).toHaveURL(/wishes/);
    await page.locator('main').press('Control+z');
    await expect(said(page)).toContainText('Undone: Voice must be heard by Me in Pause');
    await page.locator('main').press('Control+Shift+z');
    await expect(said(page)).toContainText('Redone: Voice must be heard by Me in Pause');
});
