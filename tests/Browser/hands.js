import { expect } from '@playwright/test';
import AxeBuilder from '@axe-core/playwright';

export const said = (page) => page.locator('.message');

export const signIn = async (page, email = 'demo@hidden-wire.test', password = 'night-relay') => {
    await page.goto('/sign-in');
    await page.getByLabel('Email').fill(email);
    await page.getByLabel('Password').fill(password);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('heading', { name: 'Rigs', exact: true })).toBeVisible();
};

export const rigOf = (page) => new URL(page.url()).pathname.split('/')[2];

/** A rig of the list, on whichever page of it. */
export const openRig = async (page, name) => {
    const link = page.getByRole('link', { name, exact: true }).first();
    for (let pages = 1; !(await link.isVisible()) && pages < 9; pages++) await page.getByRole('link', { name: 'Older' }).click();
    await link.click();
    await page.waitForURL(/\/rigs\/\d+/);
};

/** Opens a copy of a starter, so that the demo stays as it is. */
export const openStarter = async (page, name) => {
    await signIn(page);
    await page.getByRole('button', { name: `Open a copy of ${name}` }).click();
    await expect(page.locator('[data-map][data-ready]')).toBeVisible({ timeout: 60000 });
    return rigOf(page);
};

/** Takes in a small rig of the tests' own, from the list of rigs: a laptop, a headset, a game and a broadcast program. */
export const importSmall = async (page) => {
    await page.getByLabel('Import a rig').or(page.locator('#document')).first().setInputFiles('tests/Browser/rigs/small.json');
    await page.getByRole('button', { name: 'Import', exact: true }).click();
    await page.waitForURL(/rigs\/\d+/);
};

export const openSmall = async (page) => {
    await signIn(page);
    await importSmall(page);
    await page.goto(`/rigs/${rigOf(page)}/wiring`);
    await expect(page.locator('[data-map][data-ready]')).toBeVisible({ timeout: 60000 });
    return rigOf(page);
};

/** Somebody with an account of their own, signed in on a page of their own. */
export const newcomer = async (browser, name) => {
    const context = await browser.newContext();
    const page = await context.newPage();
    const email = `${name.toLowerCase()}-${Date.now()}@hidden-wire.test`;
    await page.goto('/register');
    await page.getByLabel('Name').fill(name);
    await page.getByLabel('Email').fill(email);
    await page.getByLabel('Password, 10 characters or more').fill('a long password');
    await page.getByLabel('The password again').fill('a long password');
    await page.getByRole('button', { name: 'Create' }).click();
    await expect(page.getByText(`Welcome, ${name}.`)).toBeVisible();
    return { page, email, context };
};

/** What axe finds; with rules named, of those only. */
export const noViolations = async (page, rules = null) => {
    const axe = new AxeBuilder({ page });
    const { violations } = await (rules === null ? axe : axe.withRules(rules)).analyze();
    expect(violations.map((violation) => `${new URL(page.url()).pathname}${new URL(page.url()).search} ${violation.id}: ${violation.nodes.map((node) => node.target).join(', ')}`)).toEqual([]);
};

export const documentOf = (page, rig) => page.evaluate((url) => fetch(url).then((answer) => answer.text()), `/rigs/${rig}/document`);

/** Hands that never leave the keyboard. */
export const keyboard = (page) => {
    const name = () => page.evaluate(() => {
        const one = document.activeElement;
        return (one?.getAttribute('aria-label') ?? one?.labels?.[0]?.textContent ?? one?.textContent ?? '').replace(/\s+/g, ' ').trim();
    });
    const press = (key) => page.keyboard.press(key);
    /** Tabs on until what has the keyboard is called so. */
    const to = async (wanted) => {
        const seen = [];
        for (let i = 0; i < 400; i++) {
            const now = await name();
            if (wanted instanceof RegExp ? wanted.test(now) : now === wanted || now.startsWith(`${wanted} `)) return;
            seen.push(now);
            await press('Tab');
        }
        throw new Error(`Nothing is called "${wanted}"; there are ${[...new Set(seen)].join(' | ').slice(0, 1500)}`);
    };
    const write = async (field, text) => {
        await to(field);
        await press('Control+a');
        await page.keyboard.type(text);
    };
    /** Goes down a list of choices until the wanted one is chosen. */
    const choose = async (field, wanted) => {
        await to(field);
        const chosen = () => page.evaluate(() => document.activeElement.selectedOptions[0].textContent.trim());
        await press('Home');
        for (let i = 0; i < 120 && (await chosen()) !== wanted; i++) await press('ArrowDown');
        expect(await chosen()).toBe(wanted);
    };
    const push = async (button) => {
        await to(button);
        await press('Enter');
    };
    /** Escape: leaves a field, or clears what is chosen, which is another page. */
    const letGo = async () => {
        const leads = await page.evaluate(() => !document.activeElement?.matches('input, textarea, select')
            && document.querySelector('[data-menu][open]') === null && document.querySelector('[data-key-close]') !== null);
        const gone = leads ? page.waitForEvent('framenavigated') : null;
        await press('Escape');
        await gone;
        await page.waitForLoadState('load');
    };
    return { press, to, write, choose, push, letGo };
};

/** Begins a crew; gives the address of its page. */
export const beginCrew = async (page, name = 'Pier night crew') => {
    await page.goto('/crews');
    await page.getByLabel('Name').fill(name);
    await page.getByRole('button', { name: 'Begin it' }).click();
    await expect(page.getByRole('heading', { name, exact: true })).toBeVisible();
    return new URL(page.url()).pathname;
};
