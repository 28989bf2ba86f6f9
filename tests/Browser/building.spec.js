import { test, expect } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { documentOf, keyboard, rigOf, said, signIn } from './hands.js';

const STARTER = readFileSync('tests/Browser/rigs/small.json', 'utf8');
const { name: NAME, summary: SUMMARY } = JSON.parse(STARTER);

test('a starter\'s rig is built from an empty page by the interface alone, and is the same document', async ({ page }) => {
    await signIn(page);
    await page.getByLabel('Name of the new rig').fill(NAME);
    await page.getByRole('button', { name: 'Create' }).click();
    const rig = rigOf(page);
    const rail = (stop) => page.getByRole('navigation', { name: 'Stops' }).getByRole('link', { name: new RegExp(`^${stop}`) }).click();
    const tab = (view) => page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: view }).click();

    // What it is, where things are, what there is.
    await rail('Equipment');
    await page.getByText('Rig details').click();
    await page.getByLabel('What it is for').fill(SUMMARY);
    await page.locator('form', { has: page.getByLabel('What it is for') }).getByRole('button', { name: 'Save' }).click();
    await expect(said(page)).toContainText("The rig's summary changed");
    await page.getByText('New place').click();
    for (const [name, kind] of [['Desk', 'desk'], ['Laptop', 'computer']]) {
        const form = page.locator('form', { hasText: 'Add the place' });
        await form.getByLabel('Name').fill(name);
        await form.getByLabel('Kind').selectOption(kind);
        await form.getByRole('button').click();
        await expect(said(page)).toContainText(`New place: ${name}`);
    }
    for (const [model, place, name] of [['trrs-headset', 'Desk', 'Headset'], ['laptop', 'Laptop', 'Laptop'], ['game', 'Laptop', 'Game'], ['broadcast-program-small', 'Laptop', 'Broadcast program']]) {
        const form = page.locator('form', { has: page.getByLabel('How many') });
        await form.getByLabel('Model').fill(model);
        await form.getByLabel('Place').selectOption({ label: place });
        await form.getByLabel('Name').fill(name);
        await form.getByRole('button').click();
        await expect(said(page)).toContainText(`New unit: ${name}`);
    }

    await page.getByRole('link', { name: 'Laptop', exact: true }).click();
    await page.getByLabel('Operating system').fill('Harbour');
    await page.getByLabel('Its version').fill('3.6');
    await page.getByLabel('Its version').press('Enter');
    await expect(said(page)).toContainText('runs Harbour 3.6');

    // Plug: pick a socket up on the map, the one that takes the other end lights up.
    await rail('Wiring');
    await page.getByRole('link', { name: 'Sockets', exact: true }).click();
    await expect(page.locator('[data-map][data-ready]')).toBeVisible({ timeout: 60000 });
    await page.locator('.plate', { hasText: 'Laptop' }).locator('.port', { hasText: 'Headset' }).click();
    await expect(page.locator('.port-fits')).toHaveCount(1);
    await expect(page.locator('.port-blocked').first()).toBeVisible();
    await page.locator('.port-fits').click();
    await expect(said(page)).toContainText('W-01: Headset of Laptop to Plug of Headset');
    await page.goto(`/rigs/${rig}/wiring?select=cable:w-01`);
    await page.getByRole('combobox', { name: /^Type/ }).selectOption('captive');
    await page.getByLabel('Length, m').fill('1.2');
    await page.getByRole('button', { name: 'Save W-01' }).click();
    await expect(said(page)).toContainText('W-01: captive cable, 1.2 m');

    // Devices and picks.
    await rail('Computers');
    for (const [name, role] of [['Headset', 'playback'], ['Headset mic', 'recording']]) {
        const row = page.locator('.device-row', { has: page.getByLabel(`Name given to Headset, built-in sound, ${role}`) });
        await row.locator('summary').click();
        await row.getByLabel(/^Name given to/).fill(name);
        await row.getByLabel(`default for ${role}`).check();
        await row.getByLabel('default for calls').check();
        await row.getByRole('button').click();
        await expect(said(page)).toContainText(`renamed to ${name}, default for ${role} and call`);
    }
    for (const [program, point, device] of [['Game', 'Game sound', 'the system default'], ['Broadcast program', 'Source 1', 'the system default'], ['Broadcast program', 'Source 2', 'loopback of Headset']]) {
        const item = page.locator('[data-program]', { hasText: program });
        await item.getByLabel(`Device for ${point}`).selectOption({ label: device });
        await expect(said(page)).toContainText(`${program}: ${point} uses`);
    }

    // Sounds, listeners, and what is wished; apart in the pause.
    await rail('Wishes');
    for (const [word, name, kind, where] of [['sound', 'Voice', 'voice', 'Headset: Capsule'], ['sound', 'Game', 'game', 'Game: Game sound'], ['listener', 'Me', 'headphones', 'Headset: Ears'], ['listener', 'Viewers', 'stream', 'Broadcast program: Stream']]) {
        await page.getByLabel(`Name of the new ${word}`).fill(name);
        await page.getByLabel(`Kind of the new ${word}`).selectOption(kind);
        await page.getByLabel(`Where the new ${word}`).selectOption({ label: where });
        await page.getByRole('button', { name: `Add the ${word}` }).click();
        await expect(said(page)).toContainText(`New ${word}: ${name}`);
    }
    await rail('Show');
    await page.getByLabel('Name of the new situation').fill('Pause');
    await page.getByRole('button', { name: 'Add the situation' }).click();
    await expect(said(page)).toContainText('New situation: Pause');
    const wish = async (source, listener, button) => {
        await page.getByRole('link', { name: new RegExp(`^${source} at ${listener}:`) }).first().click();
        await expect(page.getByRole('group', { name: `Wish for ${source} at ${listener}` })).toBeVisible();
        await page.getByRole('region', { name: 'Way strip' }).getByRole('button', { name: button }).click();
        await expect(said(page)).toContainText(`${source} must ${button === 'Must not' ? 'not ' : ''}be heard by ${listener}`.replace('must be', button === 'May hear' ? 'may be' : 'must be'));
    };
    await rail('Wishes');
    await wish('Voice', 'Me', 'May hear');
    await wish('Voice', 'Viewers', 'Must hear');
    await wish('Game', 'Me', 'Must hear');
    await wish('Game', 'Viewers', 'Must hear');
    const pause = page.getByRole('navigation', { name: 'Situation' }).getByRole('link', { name: 'Pause' });
    await pause.click();
    await expect(pause).toHaveAttribute('aria-current', 'true');
    await wish('Voice', 'Viewers', 'Must not');
    await expect(said(page)).toContainText('Voice must not be heard by Viewers in Pause');
    await expect(page.getByRole('link', { name: /1 not as wished/ })).toBeVisible();
    await rail('Mixes');
    await tab('Tracks');
    await page.waitForURL(/tracks/);
    await page.getByRole('button', { name: 'Mute Source 1' }).click();
    await expect(said(page)).toContainText('Broadcast program: Source 1 muted in Pause · Now as wished at Viewers: Voice');
    await expect(page.getByRole('link', { name: 'All as wished' })).toBeVisible();

    expect(await documentOf(page, rig)).toBe(STARTER);
});

test('the same rig is built by keyboard alone', async ({ page }) => {
    await signIn(page);
    // From here on nothing but keys.
    const { press, to, write, choose, push, letGo } = keyboard(page);
    const done = (words) => expect(said(page)).toContainText(words);
    await write('Name of the new rig', NAME);
    await press('Enter');
    await page.waitForURL(/wishes/);
    const rig = rigOf(page);

    await letGo();
    await press('2');
    await page.waitForURL(/stock/);
    await push('Rig details');
    await write('What it is for', SUMMARY);
    await push('Save');
    await done("The rig's summary changed");
    await push('New place');
    for (const [name, kind] of [['Desk', 'desk'], ['Laptop', 'computer']]) {
        await to('New place');
        await write('Name', name);
        await choose('Kind', kind);
        await push('Add the place');
        await done(`New place: ${name}`);
    }
    for (const [model, place, name] of [['trrs-headset', 'Desk', 'Headset'], ['laptop', 'Laptop', 'Laptop'], ['game', 'Laptop', 'Game'], ['broadcast-program-small', 'Laptop', 'Broadcast program']]) {
        await write('Model', model);
        await letGo();
        await to('Model');
        await choose('Place', place);
        await write('Name', name);
        await press('Enter');
        await done(`New unit: ${name}`);
    }

    // Find the headset, plug it from its sheet, say what the cable is.
    await letGo();
    await press('/');
    await page.keyboard.type('headset unit');
    await expect(page.locator('[data-found] a').first()).toContainText('Headset');
    await press('Enter');
    await page.waitForURL(/select=unit/);
    await press('/');
    await page.keyboard.type('laptop unit');
    await expect(page.locator('[data-found] a').first()).toContainText('Laptop');
    await press('Enter');
    await page.waitForURL(/select=unit%3Alaptop|select=unit:laptop/);
    await push('name, notes, price, reasons, pictures, swap');
    await page.waitForURL(/stock/);
    await write('Operating system', 'Harbour');
    await write('Its version', '3.6');
    await press('Enter');
    await done('runs Harbour 3.6');
    await letGo();
    await press('/');
    await page.keyboard.type('laptop unit');
    await expect(page.locator('[data-found] a').first()).toContainText('Laptop');
    await press('Enter');
    await page.waitForURL(/wiring.*select=unit/);
    await choose('Other end of Headset', 'Plug of Headset');
    await push('Plug Headset');
    await done('W-01: Headset of Laptop to Plug of Headset');
    await press('/');
    await page.keyboard.type('w-01');
    await expect(page.locator('[data-found] a').first()).toContainText('W-01');
    await press('Enter');
    await page.waitForURL(/select=cable/);
    await choose('Type', 'captive');
    await write('Length, m', '1.2');
    await press('Enter');
    await done('W-01: captive cable, 1.2 m');

    // The first Escape leaves the field.
    await letGo();
    await press('4');
    await page.waitForURL(/computers/);
    for (const [name, role] of [['Headset', 'playback'], ['Headset mic', 'recording']]) {
        await push(new RegExp(`^Headset, built-in sound.*${role}`, 's'));
        await write(new RegExp(`^Name given to Headset, built-in sound, ${role}`), name);
        for (const one of [role, 'calls']) {
            await to(`default for ${one}`);
            await press('Space');
        }
        await push(/^Save/);
        await done(`renamed to ${name}, default for ${role} and call`);
    }
    for (const [point, device] of [['Game sound', 'the system default'], ['Source 1', 'the system default'], ['Source 2', 'loopback of Headset']]) {
        await choose(`Device for ${point}`, device);
        await press('Enter');
        await done(`${point} uses`);
    }

    await letGo();
    await press('1');
    await page.waitForURL(/wishes/);
    for (const [word, name, kind, where] of [['sound', 'Voice', 'voice', 'Headset: Capsule'], ['sound', 'Game', 'game', 'Game: Game sound'], ['listener', 'Me', 'headphones', 'Headset: Ears'], ['listener', 'Viewers', 'stream', 'Broadcast program: Stream']]) {
        await write(`Name of the new ${word}`, name);
        await choose(`Kind of the new ${word}`, kind);
        await choose(new RegExp(`^Where the new ${word}`), where);
        await push(`Add the ${word}`);
        await done(`New ${word}: ${name}`);
    }
    await letGo();
    await press('s');
    await page.waitForURL(/situations/);
    await write('Name of the new situation', 'Pause');
    await press('Enter');
    await done('New situation: Pause');
    await letGo();
    await press('1');
    await page.waitForURL(/wishes/);
    const wish = async (source, listener, key, words) => {
        await to(new RegExp(`^(${source} at ${listener}:|${source} at ${listener} )|^${source} at ${listener}`));
        await press('Enter');
        await page.waitForURL(/pair=/);
        await expect(page.locator('td.chosen a')).toBeFocused();
        await press(key);
        await done(words);
    };
    await wish('Voice', 'Me', 'y', 'Voice may be heard by Me');
    await wish('Voice', 'Viewers', 'm', 'Voice must be heard by Viewers');
    await wish('Game', 'Me', 'm', 'Game must be heard by Me');
    await wish('Game', 'Viewers', 'm', 'Game must be heard by Viewers');
    await press(']');
    await page.waitForURL(/situation=pause/);
    await to(/^Voice at Viewers/);
    await press('Enter');
    await page.waitForURL(/pair=voice/);
    await press('n');
    await done('Voice must not be heard by Viewers in Pause');
    await letGo();
    await press('5');
    await page.waitForURL(/recipes/);
    await press('5');
    await page.waitForURL(/tracks/);
    await push('Mute Source 1');
    await done('Source 1 muted in Pause · Now as wished at Viewers: Voice');

    expect(await documentOf(page, rig)).toBe(STARTER);
});
