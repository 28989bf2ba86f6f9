import { test, expect } from '@playwright/test';
import { documentOf, openSmall, rigOf, said } from './hands.js';

const unitsOf = async (page) => JSON.parse(await documentOf(page, rigOf(page))).units;

test('a model is found in spite of typing mistakes, by keys, drawn beside, and added; the field is ready for the next', async ({ page }) => {
    await openSmall(page);
    await page.goto(`/rigs/${rigOf(page)}/stock`);
    const field = page.getByRole('combobox', { name: 'Model' });
    await field.fill('dynamc mic');
    await expect(page.locator('.model-found [role=option]').first()).toContainText('Dynamic microphone');
    await field.press('ArrowDown');
    await expect(page.locator('.model-found').getByRole('option', { name: /^Handheld dynamic microphone/ })).toHaveAttribute('aria-selected', 'true');
    await field.press('Enter');
    await expect(field).toHaveValue('Handheld dynamic microphone');
    await expect(page.locator('.model-beside')).toContainText('Handheld dynamic microphone');
    await field.press('Enter');
    await expect(said(page)).toContainText('New unit: Handheld dynamic microphone');
    await expect(field).toBeFocused();
    await expect(field).toHaveValue('');
    expect((await unitsOf(page)).at(-1)).toMatchObject({ name: 'Handheld dynamic microphone', model: 'handheld-dynamic' });

    // What was only typed is looked for when it is sent: one that answers is taken, several are named.
    await field.fill('lapel');
    await page.locator('form', { has: field }).getByLabel('Name', { exact: true }).fill('Tie mic');
    await page.locator('form', { has: field }).getByRole('button', { name: /^Add( |$)/ }).click();
    await expect(said(page)).toContainText('New unit: Tie mic (Lapel microphone)');
    await field.fill('dynamic');
    await page.locator('form', { has: field }).getByRole('button', { name: /^Add( |$)/ }).click();
    await expect(page.locator('#trouble-model_name')).toBeVisible();
});

test('a list is read while it is typed; the caret stays, and back leads to where one came from', async ({ page }) => {
    await openSmall(page);
    const rig = rigOf(page);
    await page.goto(`/rigs/${rig}/cables`);
    await page.getByRole('link', { name: /^2? ?Equipment/ }).first().click();
    const list = page.getByLabel('One thing a line');
    await list.click();
    await page.keyboard.type('2 dynamic microphones');
    await expect(page.getByRole('heading', { name: /^1 line read/ })).toBeVisible();
    await expect(list).toBeFocused();
    await page.keyboard.type('\nwebcam');
    await expect(page.getByRole('heading', { name: /^2 lines read/ })).toBeVisible();
    await expect(list).toHaveValue('2 dynamic microphones\nwebcam');
    await expect(page.getByLabel(/^Model for line 2/)).toHaveValue('webcam');
    // Nothing is added before it is said.
    expect((await unitsOf(page)).filter(({ model }) => model === 'webcam')).toEqual([]);
    await page.getByRole('button', { name: 'Add all' }).click();
    await expect(said(page)).toContainText('Added 3 units: Dynamic microphone, Dynamic microphone 2 and Webcam with microphone');
    expect((await unitsOf(page)).filter(({ model }) => model === 'webcam').length).toBe(1);
    await page.goBack();
    await expect(page).toHaveURL(/cables/);
});

test('several units are moved, copied and removed at once', async ({ page }) => {
    await openSmall(page);
    await page.goto(`/rigs/${rigOf(page)}/stock`);
    await page.getByLabel('Choose Headset').check();
    await page.getByLabel('Choose Game').check();
    await expect(page.getByText('2 units chosen')).toBeVisible();
    await page.getByRole('button', { name: 'Copy', exact: true }).click();
    await expect(said(page)).toContainText('New unit: Headset 2');
    await expect.poll(async () => (await unitsOf(page)).length).toBe(6);
    await expect(page.getByText('2 units chosen')).toBeHidden();
    await page.getByLabel('All units of Desk').check();
    await page.getByRole('button', { name: 'Remove', exact: true }).click();
    await expect.poll(async () => (await unitsOf(page)).filter((unit) => unit.place === 'desk').length).toBe(0);
    await expect(said(page)).toContainText('Removed');
    await page.keyboard.press('u');
    await expect.poll(async () => (await unitsOf(page)).length).toBe(6);
});

test('the catalogue gives a model to a rig', async ({ page }) => {
    await openSmall(page);
    const rig = rigOf(page);
    await page.goto('/catalogue?model=isolator-one');
    await page.getByLabel('Rig and place').selectOption(`${rig}:desk`);
    await page.getByRole('button', { name: 'Add to my rig' }).click();
    await expect(page).toHaveURL(new RegExp(`/rigs/${rig}/stock\\?select=unit`));
    await expect(said(page)).toContainText('New unit');
    expect((await unitsOf(page)).at(-1)).toMatchObject({ model: 'isolator-one', place: 'desk' });
});
