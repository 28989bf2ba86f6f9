import { test, expect } from '@playwright/test';
import AxeBuilder from '@axe-core/playwright';

// Each test works on a copy of its own, opened from a starter, so that the demo stays as it is.
const openStarter = async (page, name) => {
    await page.goto('/sign-in');
    await page.getByLabel('Email').fill('demo@hidden-wire.test');
    await page.getByLabel('Password').fill('night-relay');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByRole('button', { name: `Open a copy of ${name}` }).click();
    await expect(page.locator('[data-map][data-ready]')).toBeVisible({ timeout: 20000 });
    return new URL(page.url()).pathname.split('/')[2];
};
const said = (page) => page.locator('.message');

test('a cable comes out and goes in again, and the hearing follows', async ({ page }) => {
    const rig = await openStarter(page, "The mixer's line output comes back");
    await page.goto(`/rigs/${rig}/wiring?select=cable:w-04`);
    await page.getByRole('button', { name: 'Unplug W-04' }).click();
    await expect(said(page)).toContainText('Unplugged W-04');
    await expect(page.getByRole('link', { name: /3 not as wished/ })).toBeVisible();
    // By hand, from the mixer's sheet.
    await page.goto(`/rigs/${rig}/wiring?select=unit:mix`);
    await page.getByLabel('Other end of Line out').selectOption({ label: 'Line in · blue of Computer' });
    await page.getByRole('button', { name: 'Plug Line out' }).click();
    await expect(said(page)).toContainText('W-06: Line out of USB mixer to Line in · blue of Computer');
    await expect(page.getByRole('link', { name: 'All as wished' })).toBeVisible();
});

test('one click makes a remedy, a key undoes it', async ({ page }) => {
    const rig = await openStarter(page, 'The simplest: a headset');
    await page.goto(`/rigs/${rig}/wiring?select=unit:cast&depth=inside`);
    await page.getByRole('button', { name: 'Mute Source 2' }).click();
    await expect(said(page)).toContainText('Broadcast program: Source 2 muted');
    await page.goto(`/rigs/${rig}/wishes?pair=game:viewers`);
    const strip = page.getByRole('region', { name: 'Way strip' });
    await expect(strip).toContainText('Unmute Source 2 of Broadcast program');
    await strip.getByRole('button', { name: 'Do it' }).click();
    await expect(page.getByRole('link', { name: 'All as wished' })).toBeVisible();
    await page.keyboard.press('u');
    await expect(said(page)).toContainText('Undone: Broadcast program: Source 2 open');
    await expect(page.getByRole('link', { name: /1 not as wished/ })).toBeVisible();
    await page.keyboard.press('r');
    await expect(page.getByRole('link', { name: 'All as wished' })).toBeVisible();
    await page.getByRole('link', { name: 'History' }).click();
    await expect(page.locator('.revisions li')).toHaveCount(3);
    await page.getByRole('button', { name: 'Bring back revision 1' }).click();
    await expect(page.locator('.revisions li').first()).toContainText('Restored revision 1');
});

test('wishes are set by key, for a cell, a row, and one situation only', async ({ page }) => {
    const rig = await openStarter(page, 'The simplest: a headset');
    await page.goto(`/rigs/${rig}/wishes`);
    await page.locator('.hearing tbody td a').first().focus();
    await page.keyboard.press('Enter');
    await expect(page.locator('td.chosen a')).toBeFocused();
    await page.keyboard.press('m');
    await expect(said(page)).toContainText('Voice must be heard by Me');
    await expect(page.locator('td.chosen')).toContainText('must hear');
    await page.keyboard.press('x');
    await expect(said(page)).toContainText('No wish for Voice at Me');
    // A whole row, in the situation that is shown.
    await page.keyboard.press(']');
    await expect(page).toHaveURL(/situation=pause/);
    const form = page.locator('.wish-form');
    await form.locator('select[name=listener]').selectOption({ label: 'every listener' });
    await form.locator('select[name=situation]').selectOption({ label: 'Pause only' });
    await form.getByRole('button', { name: /May hear/ }).click();
    await expect(said(page)).toContainText('Voice may be heard by every listener in Pause');
    const { violations } = await new AxeBuilder({ page }).analyze();
    expect(violations.map((violation) => `${violation.id}: ${violation.nodes.map((node) => node.target).join(', ')}`)).toEqual([]);
});

test('a page that is not of today is told so, and nothing is lost', async ({ page, context }) => {
    const rig = await openStarter(page, 'The simplest: a headset');
    await page.goto(`/rigs/${rig}/wiring?select=unit:cast&depth=inside`);
    // Both are laid out, or one would load itself again and see the other's change.
    await expect(page.locator('[data-map][data-ready]')).toBeVisible({ timeout: 20000 });
    const other = await context.newPage();
    await other.goto(`/rigs/${rig}/wiring?select=unit:cast&depth=inside`);
    await expect(other.locator('[data-map][data-ready]')).toBeVisible({ timeout: 20000 });
    await other.getByRole('button', { name: 'Mute Source 1' }).click();
    await expect(said(other)).toContainText('Source 1 muted');
    await page.getByRole('button', { name: 'Mute Source 2' }).click();
    await expect(page.getByRole('alert')).toContainText('The rig has changed meanwhile: Broadcast program: Source 1 muted');
    await page.getByRole('button', { name: 'Mute Source 2' }).click();
    await expect(said(page)).toContainText('Source 2 muted');
});

test('a small rig is built from an empty page, by the interface alone', async ({ page }) => {
    test.setTimeout(120000);
    await openStarter(page, 'The simplest: a headset');
    await page.getByRole('link', { name: 'All rigs' }).click();
    await page.getByLabel('Name of the new rig').fill('From nothing');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByText('There is no place yet')).toBeVisible();
    const rig = new URL(page.url()).pathname.split('/')[2];
    const place = async (name, kind) => {
        const form = page.locator('form', { hasText: 'Add the place' });
        await form.getByLabel('Name').fill(name);
        await form.getByLabel('Kind').selectOption(kind);
        await form.getByRole('button').click();
        await expect(said(page)).toContainText(`New place: ${name}`);
    };
    const unit = async (model, where, name) => {
        const form = page.locator('form', { hasText: 'Add the unit' });
        await form.getByLabel('Model').fill(model);
        await form.getByLabel('Place').selectOption({ label: where });
        await form.getByLabel('Name').fill(name);
        await form.getByRole('button').click();
        await expect(said(page)).toContainText(`New unit: ${name}`);
    };
    await place('Desk', 'desk');
    await place('Room', 'computer');
    await unit('usb-headset', 'Desk', 'Headset');
    await unit('laptop', 'Room', 'Laptop');
    await unit('game', 'Room', 'Game');
    await unit('broadcast-program-small', 'Room', 'Broadcast');

    // Plug it, and let the programs use it.
    const sheet = (id) => page.goto(`/rigs/${rig}/wiring?depth=everything&select=unit:${id}`);
    await sheet('headset');
    await page.getByLabel('Other end of USB plug').selectOption({ label: 'USB 1 of Laptop' });
    await page.getByRole('button', { name: 'Plug USB plug' }).click();
    await expect(said(page)).toContainText('W-01');
    const use = async (program, point, device) => {
        await sheet(program);
        await page.getByLabel(`Device for ${point}`, { exact: true }).selectOption({ label: device });
        await page.getByRole('button', { name: `Use for ${point}`, exact: true }).click();
        await expect(said(page)).toContainText('uses headset/usb');
    };
    await use('game', 'Game sound', 'USB Headset');
    await use('broadcast', 'Source 1', 'USB Headset');
    await use('broadcast', 'Source 2', 'what is sent to USB Headset');

    // Sounds, listeners, wishes.
    await page.goto(`/rigs/${rig}/wishes`);
    const add = async (word, name, kind, where) => {
        await page.getByLabel(`Name of the new ${word}`).fill(name);
        await page.getByLabel(`Kind of the new ${word}`).selectOption(kind);
        await page.getByLabel(`Where the new ${word}`).selectOption({ label: where });
        await page.getByRole('button', { name: `Add the ${word}` }).click();
        await expect(said(page)).toContainText(`New ${word}: ${name}`);
    };
    await add('sound', 'Voice', 'voice', 'Headset: Capsule');
    await add('sound', 'Game', 'game', 'Game: Game sound');
    await add('listener', 'Me', 'headphones', 'Headset: Ears');
    await add('listener', 'Viewers', 'stream', 'Broadcast: Stream');
    await page.goto(`/rigs/${rig}/wishes?pair=game:viewers`);
    await page.locator('.wish-form select[name=source]').selectOption({ label: 'every sound' });
    await page.getByRole('button', { name: /Must hear/ }).click();
    await expect(said(page)).toContainText('Every sound must be heard by Viewers');
    await expect(page.getByRole('link', { name: 'All as wished' })).toBeVisible();
    await expect(page.locator('tbody tr').first()).toContainText('Voice at Viewers: is heard as wished');

    // And a unit away, which says what goes with it, and comes back.
    await page.goto(`/rigs/${rig}/stock`);
    await page.getByRole('button', { name: 'Remove Headset, and with it W-01, 3 picks' }).click();
    await expect(page.getByRole('link', { name: /2 not as wished/ })).toBeVisible();
    await page.keyboard.press('u');
    await expect(page.getByRole('link', { name: 'All as wished' })).toBeVisible();
    for (const view of ['stock', 'history', 'wishes?pair=game:viewers', 'wiring?select=unit:broadcast']) {
        await page.goto(`/rigs/${rig}/${view}`);
        const { violations } = await new AxeBuilder({ page }).analyze();
        expect(violations.map((violation) => `${violation.id}: ${violation.nodes.map((node) => node.target).join(', ')}`)).toEqual([]);
    }
});
