import { expect } from '@playwright/test';
import { noViolations } from './hands.js';

// Each view is loaded once and looked at in every size and theme: what axe finds, and whether anything breaks out of the frame sideways.
const SIZES = [[320, 640, 1], [390, 844, 1], [390, 844, 2], [640, 400, 1], [1280, 800, 2], [1280, 800, 1]];

export const look = async (page, address, { inDark = false } = {}) => {
    await page.goto(address);
    if (address.includes('/wiring')) await expect(page.locator('[data-map][data-ready]')).toBeVisible({ timeout: 60000 });
    for (const [width, height, text] of SIZES) {
        await page.setViewportSize({ width, height });
        await page.evaluate((factor) => (document.documentElement.style.fontSize = factor === 1 ? '' : `${factor * 100}%`), text);
        const found = await page.evaluate(() => document.documentElement.scrollWidth);
        expect([address, width, text, found]).toEqual([address, width, text, width]);
        if (width === 390 && text === 1) await noViolations(page);
    }
    await noViolations(page);
    if (!inDark) return;
    await page.evaluate(() => (document.documentElement.dataset.bsTheme = 'dark'));
    await noViolations(page, ['color-contrast']);
};
