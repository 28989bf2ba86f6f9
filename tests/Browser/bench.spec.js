import { test, expect } from '@playwright/test';
import { noViolations, openRig, openSmall, rigOf, signIn } from './hands.js';

const PHONE = { width: 390, height: 844 };
// A thumb needs so much, in CSS pixels.
const THUMB = 44;

test('a test of the rig is walked on a phone, also while the network is away, and goes out as a file', async ({ page, context }) => {
    await page.setViewportSize(PHONE);
    await openSmall(page);
    const rig = rigOf(page);
    await page.goto(`/rigs/${rig}/bench`);
    await expect(page.getByText('Never tested')).toBeVisible();
    await page.getByRole('button', { name: 'Start a test' }).click();
    await expect(page.getByText('all sent')).toBeVisible();
    const steps = page.locator('[data-step]');
    const count = await steps.count();
    expect(count).toBeGreaterThan(3);
    await expect(page.getByText(`0 of ${count} done`)).toBeVisible();
    await noViolations(page);
    for (const button of await steps.first().getByRole('button').all()) {
        const { width, height } = await button.boundingBox();
        expect([width >= THUMB, height >= THUMB]).toEqual([true, true]);
    }
    await page.evaluate(() => navigator.serviceWorker.ready);
    await page.reload();
    await expect.poll(() => page.evaluate(() => Boolean(navigator.serviceWorker.controller))).toBe(true);

    await context.setOffline(true);
    const first = () => steps.nth(0).getByRole('button').first();
    await first().click();
    await steps.nth(1).getByRole('button', { name: 'Hum' }).click();
    await steps.nth(1).getByRole('textbox').fill('only with the lamp on');
    await steps.nth(1).getByRole('textbox').blur();
    await expect(page.getByText(`2 of ${count} done, 1 with trouble`)).toBeVisible();
    await expect(page.getByText('no network; 2 kept here')).toBeVisible();
    await page.reload();
    await expect(page.getByText(`2 of ${count} done, 1 with trouble`)).toBeVisible();
    await expect(first()).toHaveAttribute('aria-pressed', 'true');
    await expect(steps.nth(1).getByRole('textbox')).toHaveValue('only with the lamp on');

    await context.setOffline(false);
    await expect(page.getByText('all sent')).toBeVisible({ timeout: 30000 });
    await page.goto(`/rigs/${rig}/bench`);
    await expect(page.getByText(`2 of ${count} steps done, 1 with trouble`)).toBeVisible();
    await expect(page.getByText('only with the lamp on')).toBeVisible();
    const file = await page.evaluate(async (address) => (await fetch(address)).json(), await page.getByRole('link', { name: 'Test as JSON' }).getAttribute('href'));
    expect(file.steps.filter(({ answer }) => answer).map(({ answer }) => answer.heard)).toEqual(['as-planned', 'hum']);
});

test('a fault that is hidden in the simulated room is found by the checks that the page asks for', async ({ page }) => {
    await openSmall(page);
    const rig = rigOf(page);
    await page.goto(`/rigs/${rig}/bench`);
    await page.getByRole('link', { name: 'Find a fault' }).click();
    await expect(page.getByRole('heading', { name: 'Nothing to look for yet' })).toBeVisible();
    await page.getByRole('link', { name: 'find a hidden fault in a simulated room' }).click();
    // Every fault is tried beside the page.
    await expect(page.getByRole('heading', { name: 'Check next' })).toBeVisible({ timeout: 60000 });
    await noViolations(page);
    const found = page.getByRole('heading', { name: 'Found' });
    const ask = page.getByRole('link', { name: 'Ask the simulated room' });
    let checks = 0;
    for (; checks < 12 && !(await found.isVisible()); checks++) {
        const known = await page.getByRole('link', { name: /^Take back/ }).count();
        await ask.click();
        await expect(page.getByRole('link', { name: /^Take back/ })).toHaveCount(known + 1);
    }
    await expect(found).toBeVisible();
    expect(checks).toBeGreaterThan(0);
    // Any answer can be taken back.
    await page.getByRole('link', { name: /^Take back/ }).last().click();
    await expect(page.getByRole('heading', { name: 'Check next' })).toBeVisible();
});

// Silence of a second: 16 bits, two channels, 16 kHz.
const silence = () => {
    const bytes = Buffer.alloc(44 + 64000);
    bytes.write('RIFF', 0);
    bytes.writeUInt32LE(36 + 64000, 4);
    bytes.write('WAVEfmt ', 8);
    bytes.writeUInt32LE(16, 16);
    bytes.writeUInt16LE(1, 20);
    bytes.writeUInt16LE(2, 22);
    bytes.writeUInt32LE(16000, 24);
    bytes.writeUInt32LE(64000, 28);
    bytes.writeUInt16LE(4, 32);
    bytes.writeUInt16LE(16, 34);
    bytes.write('data', 36);
    bytes.writeUInt32LE(64000, 40);
    return bytes;
};

test('the tone test of a simulated recording names a doubling, a swap and a hum, and leads to the finder', async ({ page }) => {
    test.slow();
    await signIn(page);
    await openRig(page, 'Night relay at the pier arcade');
    await page.goto(`/rigs/${rigOf(page)}/bench`);
    await page.getByRole('link', { name: 'Tone test' }).click();
    await expect(page.getByRole('row', { name: /Music as the sound of Music player, in stereo/ })).toBeVisible();
    await noViolations(page);
    await page.getByText('Try it in a simulated room').click();
    for (const what of ['A sound that comes twice', 'Left and right exchanged', 'Hum']) await page.getByLabel(what).check();
    await page.getByRole('button', { name: 'Record there' }).click();
    // It is rendered and read beside the page, which says how far it is.
    await expect(page.getByRole('heading', { name: 'What is on each track' })).toBeVisible({ timeout: 180000 });
    for (const kind of ['Hum', 'Doubled', 'Sides swapped']) {
        await expect(page.getByRole('rowheader', { name: kind, exact: true }).first()).toBeVisible();
    }
    await noViolations(page);
    await page.getByRole('link', { name: /Find the fault ?: .* comes twice/ }).first().click();
    await expect(page.getByText(/with an echo/).first()).toBeVisible();
});

test('a recording comes in by pieces, is read, and a sound plays on its page', async ({ page }) => {
    await signIn(page);
    await openRig(page, 'Night relay at the pier arcade');
    await page.goto(`/rigs/${rigOf(page)}/tones`);
    await page.getByLabel('Files').setInputFiles({ name: 'night.wav', mimeType: 'audio/wav', buffer: silence() });
    await page.getByRole('button', { name: 'Bring it in' }).click();
    await expect(page.getByText('Nothing at all is on it, not even noise.')).toBeVisible({ timeout: 60000 });
    await page.getByRole('button', { name: 'Keep the files' }).click();
    await expect(page.getByText('its files are kept')).toBeVisible();
    await page.getByRole('button', { name: 'Remove' }).click();
    await expect(page.getByText('The recording is removed.')).toBeVisible();

    await page.setViewportSize(PHONE);
    await page.getByRole('link', { name: 'Play page of Music' }).click();
    await page.getByRole('button', { name: 'Play', exact: true }).click();
    await expect(page.getByText('Playing.')).toBeVisible();
    await noViolations(page);
    await page.getByRole('button', { name: 'Stop' }).click();
    await expect(page.getByText('Stopped. Play it from the beginning.')).toBeVisible();
});
