// A page of the headless browser with the demo account signed in.
import { chromium } from '@playwright/test';

const DEMO = 'Night relay at the pier arcade';
const FLAGS = ['--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking',
    '--disable-component-update', '--disable-sync'];

/** @returns {Promise<{browser: import('@playwright/test').Browser, page: import('@playwright/test').Page, rig: string}>} */
export const demoPage = async (base, asked) => {
    const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: FLAGS });
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    await page.goto(`${base}/sign-in`);
    await page.getByLabel('Email').fill('demo@hidden-wire.test');
    await page.getByLabel('Password').fill('night-relay');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByRole('heading', { name: 'Rigs', exact: true }).waitFor();
    const link = async () => page.getByRole('link', { name: DEMO, exact: true }).first().getAttribute('href');
    return { browser, page, rig: asked ?? (await link()).match(/rigs\/(\d+)/)[1] };
};
