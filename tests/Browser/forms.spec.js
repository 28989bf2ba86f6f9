import { test, expect } from '@playwright/test';
import { documentOf, importSmall, openSmall, openStarter, rigOf, said, signIn } from './hands.js';

const cablesOf = async (page) => JSON.parse(await documentOf(page, rigOf(page))).cables;

test('the cable table marks every error at its field, takes rows out, puts rows in and sorts', async ({ page }) => {
    await openStarter(page, 'Harbour radio');
    await page.goto(`/rigs/${rigOf(page)}/cables`);
    const before = await cablesOf(page);
    const [first, second] = before;
    await page.getByLabel(`Length of ${first.label}, metres`).fill('long');
    await page.getByLabel(`To of ${second.label}`, { exact: true }).fill('nowhere');
    await page.getByRole('button', { name: 'Save the cables' }).click();
    await expect(page.getByRole('alert')).toContainText('1 more error is marked.');
    await expect(page.locator('.field-trouble')).toHaveCount(2);
    await expect(page.getByLabel(`Length of ${first.label}, metres`)).toBeFocused();
    await expect(page.getByLabel(`To of ${second.label}`, { exact: true })).toHaveAttribute('aria-invalid', 'true');
    expect(await cablesOf(page)).toEqual(before);

    // What is unsaved is shown, and leaving is asked about.
    await expect(page.locator('form[data-unsaved]')).toHaveCount(1);
    let asked = '';
    page.once('dialog', (dialog) => {
        asked = dialog.type();
        dialog.dismiss();
    });
    await page.getByRole('link', { name: /^Wishes/ }).click({ noWaitAfter: true });
    await expect.poll(() => asked).toBe('confirm');
    await expect(page).toHaveURL(/cables/);

    await page.getByLabel(`Length of ${first.label}, metres`).fill('2.5');
    await page.getByLabel(`Remove ${second.label}`).check();
    await page.getByRole('button', { name: 'Insert a row' }).click();
    await expect(page.getByLabel('Label of new row 4', { exact: true })).toBeFocused();
    await page.getByRole('button', { name: /^Label/ }).click();
    await page.getByRole('button', { name: /^Label/ }).click();
    await expect(page.getByRole('columnheader', { name: 'Label' })).toHaveAttribute('aria-sort', 'descending');
    await expect(page.locator('.cable-rows tbody tr').first().locator('input').nth(1)).toHaveValue(before.at(-1).label);
    await page.getByRole('button', { name: 'Save the cables' }).click();
    await expect(said(page)).toContainText(`Unplugged ${second.label}`);
    const after = await cablesOf(page);
    expect(after).toHaveLength(before.length - 1);
    expect(after[0].length_m).toBe(2.5);
    await expect(page.getByLabel('Label of new row 4', { exact: true })).toHaveCount(0);
    await expect(page.locator('form[data-unsaved]')).toHaveCount(0);
});

test('a device is set as soon as it is chosen, and a form of several fields has one Save', async ({ page }) => {
    await openSmall(page);
    await page.goto(`/rigs/${rigOf(page)}/computers`);
    const pick = page.getByLabel('Device for Source 1');
    await pick.focus();
    await pick.selectOption({ label: 'nothing' });
    await expect(said(page)).toContainText('Broadcast program: Source 1 uses no device');
    await expect(pick).toBeFocused();
    await expect(page.getByRole('button', { name: /^Use for/ })).toHaveCount(0);
    await page.locator('.device-row summary').first().click();
    await page.getByLabel(/^Name given to/).first().fill('Ears');
    await expect(page.locator('form[data-unsaved]')).toHaveCount(1);
    await page.getByRole('button', { name: /^Save/ }).first().click();
    await expect(said(page)).toContainText('Ears');
    await expect(page.locator('form[data-unsaved]')).toHaveCount(0);
});

test('forms work without scripts', async ({ browser }) => {
    const context = await browser.newContext({ javaScriptEnabled: false });
    const page = await context.newPage();
    await signIn(page);
    await importSmall(page);
    const rig = rigOf(page);
    await page.goto(`/rigs/${rig}/computers`);
    await page.getByLabel('Device for Source 1').selectOption({ label: 'nothing' });
    await page.getByRole('button', { name: /^Use for Source 1 of/ }).click();
    await expect(said(page)).toContainText('Broadcast program: Source 1 uses no device');
    await page.goto(`/rigs/${rig}/wishes?pair=voice:me`);
    await page.getByRole('button', { name: /Must hear/ }).click();
    await expect(said(page)).toContainText('Voice must be heard by Me');
    await page.goto(`/rigs/${rig}/stock`);
    await page.getByLabel('Model').fill('lapel');
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(said(page)).toContainText('New unit: Lapel microphone');
    await context.close();
});
