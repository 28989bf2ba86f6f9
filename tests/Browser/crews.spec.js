import { test, expect } from '@playwright/test';
import { beginCrew, importSmall, newcomer, openSmall, rigOf } from './hands.js';
import { look } from './look.js';

test('a crew takes a rig over, and each sees it as far as their role goes', async ({ page, browser }) => {
    const small = await openSmall(page);
    // Others of the same name may be there.
    const name = `Pier crew ${Date.now()}`;
    const crew = await beginCrew(page, name);
    const hers = await newcomer(browser, 'Odo');

    await page.getByLabel('Email of their account').fill(hers.email);
    await page.getByRole('combobox', { name: 'Role', exact: true }).selectOption('test');
    await page.getByRole('button', { name: 'Invite' }).click();
    await page.goto(`/rigs/${small}/people`);
    page.once('dialog', (dialog) => dialog.accept());
    await page.locator('select[name=to]').selectOption({ label: `the crew ${name}` });
    await page.getByRole('button', { name: 'Hand over' }).click();
    await expect(page.getByText('the crew that owns it')).toBeVisible();

    await hers.page.goto('/');
    await expect(hers.page.getByText(`You are invited to the crew ${name}`)).toBeVisible();
    await hers.page.getByRole('button', { name: 'Accept' }).click();
    await hers.page.locator('.card-rig .card-open').first().click();
    await hers.page.waitForURL(/\/rigs\/\d+/);
    expect(rigOf(hers.page)).toBe(small);
    await expect(hers.page.getByText('view only')).toBeVisible();
    await hers.page.goto(`/rigs/${small}/bench`);
    await expect(hers.page.getByRole('button', { name: 'Start a test' })).toBeVisible();

    await page.goto(crew);
    await page.getByLabel('What Odo may do').selectOption('view');
    await page.getByRole('button', { name: 'Set the role of Odo' }).click();
    await expect(page.getByText('Odo may look at the rigs of the crew now.').first()).toBeVisible();
    await hers.page.reload();
    await expect(hers.page.getByRole('button', { name: 'Start a test' })).toHaveCount(0);

    for (const address of ['/crews', crew, `/?crew=${crew.split('/').pop()}`, '/find?q=mixer']) await look(page, address, { inDark: address === crew });
    await hers.context.close();
});

test('what is in two rigs on the same days is told beside the equipment', async ({ page }) => {
    const number = `PA-${Date.now() % 1000000}`;
    const book = async (rig) => {
        await page.goto(`/rigs/${rig}/stock?select=unit:headset`);
        await page.getByLabel('Inventory number').fill(number);
        await page.locator('form', { has: page.getByLabel('Inventory number') }).getByRole('button', { name: 'Save' }).click();
        await expect(page.locator('.message').first()).toContainText(`inventory number ${number}`);
        await page.getByText('Rig details').click();
        await page.getByLabel('First day of use').fill('2026-12-05');
        await page.locator('form', { has: page.getByLabel('First day of use') }).getByRole('button', { name: 'Save' }).click();
        await expect(page.locator('.message').first()).toContainText('5 December 2026');
    };
    const first = await openSmall(page);
    await page.goto('/');
    await importSmall(page);
    const second = rigOf(page);
    await book(first);
    await book(second);
    await page.goto(`/rigs/${second}/stock`);
    await expect(page.getByRole('group', { name: 'In two rigs on the same days' })).toContainText(number);
    await page.goto('/');
    await page.getByLabel('Find in all rigs').fill(number.toLowerCase());
    await page.getByLabel('Find in all rigs').press('Enter');
    await expect(page.locator('#found-units')).toContainText('2');
});
