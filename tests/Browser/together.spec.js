import { test, expect } from '@playwright/test';
import { importSmall, newcomer, rigOf, said, signIn } from './hands.js';

test('two people work in one rig, see each other and each other\'s changes, and only the invited come in', async ({ page, browser }) => {
    const { page: hers, email } = await newcomer(browser, 'Ines');
    await signIn(page);
    await importSmall(page);
    const rig = rigOf(page);
    expect((await hers.goto(`/rigs/${rig}/recipes`)).status()).toBe(404);

    await page.goto(`/rigs/${rig}/people`);
    await page.getByLabel('Email of their account').fill(email);
    await page.getByLabel('Role').selectOption('view');
    await page.getByRole('button', { name: 'Invite' }).click();
    await expect(said(page)).toContainText('the invitation waits in their list of rigs');
    await hers.goto('/');
    await expect(hers.getByRole('group', { name: /^Invitation to/ })).toContainText('you may look at it');
    await hers.getByRole('button', { name: 'Accept' }).click();
    await expect(hers.locator(`[data-rig="${rig}"]`)).toBeVisible();
    await hers.goto(`/rigs/${rig}/recipes?select=unit:broadcast-program`);
    await expect(hers.getByText('view only')).toBeVisible();
    await expect(hers.getByLabel('Fader of Source 1, dB')).toBeDisabled();
    await page.getByLabel('Email of their account').fill(email);
    await page.getByLabel('Role').selectOption('edit');
    await page.getByRole('button', { name: 'Invite' }).click();

    // Each is shown that the other is there, and sees what they do without loading anything.
    await hers.reload();
    await page.goto(`/rigs/${rig}/recipes?select=unit:broadcast-program`);
    await expect(page.getByText('Ines is here (recipes)')).toBeVisible({ timeout: 60000 });
    await hers.getByLabel('Fader of Source 1, dB').fill('-6');
    await hers.getByLabel('Fader of Source 1, dB').press('Enter');
    await expect(said(hers)).toContainText('Source 1 fader −6.0 dB');
    // What she is typing meanwhile stays, though the page around it is redrawn.
    await hers.getByText(/nothing plugged in/).first().click();
    await hers.getByLabel('Fader of Source 3, dB').focus();
    await hers.keyboard.press('Control+a');
    await hers.keyboard.type('-12');
    await expect(page.getByLabel('Fader of Source 1, dB')).toHaveValue('-6', { timeout: 60000 });
    await expect(said(page)).toContainText('Ines: Broadcast program: Source 1 fader −6.0 dB');
    await page.getByLabel('Fader of Source 2, dB').fill('-3');
    await page.getByLabel('Fader of Source 2, dB').press('Enter');
    await expect(hers.getByLabel('Fader of Source 2, dB')).toHaveValue('-3', { timeout: 60000 });
    await expect(hers.getByLabel('Fader of Source 3, dB')).toHaveValue('-12');
    await expect(hers.getByLabel('Fader of Source 3, dB')).toBeFocused();

    // So does what she has chosen from a list and not sent.
    await hers.goto(`/rigs/${rig}/wishes`);
    await hers.getByRole('link', { name: /^Voice at Viewers:/ }).first().click();
    const whole = hers.locator('.wish-form select[name=listener]');
    await whole.selectOption({ label: 'every listener' });
    await page.getByLabel('Fader of Source 2, dB').fill('-9');
    await page.getByLabel('Fader of Source 2, dB').press('Enter');
    await expect(said(hers)).toContainText('Source 2 fader −9.0 dB');
    await expect(whole.locator('option:checked')).toHaveText('every listener');

    // Compare what was with what is.
    await page.goto(`/rigs/${rig}/history`);
    await page.getByRole('link', { name: 'Compare revision 1 with now' }).click();
    await expect(page.getByText('Broadcast program: Source 1 fader −6.0 dB')).toBeVisible();
});

test('cables are pasted from a spreadsheet, changed in one step or not at all', async ({ page }) => {
    await signIn(page);
    await importSmall(page);
    const rig = rigOf(page);
    await page.goto(`/rigs/${rig}/stock`);
    for (const name of ['Webcam', 'Second webcam']) {
        const form = page.locator('form', { has: page.getByLabel('How many') });
        await form.getByLabel('Model').fill('webcam');
        await form.getByLabel('Name').fill(name);
        await form.getByRole('button').click();
        await expect(said(page)).toContainText(name);
    }
    await page.goto(`/rigs/${rig}/cables`);
    const paste = (label, text) => page.getByLabel(label, { exact: true }).evaluate((field, content) => {
        const data = new DataTransfer();
        data.setData('text/plain', content);
        field.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
    }, text);
    await paste('Label of new row 1', 'CAM-1\tWebcam · USB plug\tLaptop · USB 1\tusb\t1.8\tblack\t1\nCAM-2\tSecond webcam · USB plug\tLaptop · USB 9\tusb\t3\tgrey\t0\n');
    await page.getByRole('button', { name: 'Save the cables' }).click();
    await expect(page.getByRole('alert')).toContainText('Not saved: New row 2, To: Choose the socket for the other end.');
    await page.getByLabel('To of new row 2', { exact: true }).fill('Laptop · USB 2');
    await page.getByRole('button', { name: 'Save the cables' }).click();
    await expect(said(page)).toContainText('CAM-2');
    await expect(page.getByLabel('Label of CAM-2', { exact: true })).toHaveValue('CAM-2');
    await expect(page.getByLabel('CAM-2 is owned', { exact: true })).not.toBeChecked();
    // The start order, by key.
    await page.goto(`/rigs/${rig}/computers`);
    await page.getByRole('button', { name: 'Broadcast program earlier' }).focus();
    await page.keyboard.press('Alt+ArrowUp');
    await expect(said(page)).toContainText('Laptop starts Broadcast program, Game');
    await expect(page.locator('[data-program]').first()).toContainText('Broadcast program');
});

test('a picture is attached to a unit, and a unit is swapped after what would not fit was read', async ({ page }) => {
    await signIn(page);
    await importSmall(page);
    const rig = rigOf(page);
    await page.goto(`/rigs/${rig}/stock?select=unit:headset`);
    const picture = await page.screenshot();
    await page.getByLabel(/^Picture/).setInputFiles({ name: 'panel.png', mimeType: 'image/png', buffer: picture });
    await page.getByLabel('What it shows').fill('Volume wheel at six');
    await page.getByRole('button', { name: 'Attach' }).click();
    await expect(page.getByRole('img', { name: 'Volume wheel at six' })).toBeVisible();
    await expect.poll(() => page.getByRole('img', { name: 'Volume wheel at six' }).evaluate((image) => image.complete && image.naturalWidth)).toBe(1280);
    await page.getByLabel(/^New model for/).selectOption({ label: 'Closed headphones' });
    await page.getByRole('button', { name: 'Check the swap' }).click();
    await expect(page.getByText('These will be lost:')).toBeVisible();
    await page.getByRole('button', { name: 'Replace with Closed headphones' }).click();
    await expect(said(page)).toContainText('Headset is a Closed headphones now; what did not fit:');
    await page.locator('main').press('u');
    await expect(page.getByRole('link', { name: 'All as wished' })).toBeVisible();
});
