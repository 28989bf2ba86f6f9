// Takes the pictures that docs/screenshots/pictures.json lists, each at its stated size, from a running server with a fresh seed.
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { chromium } from '@playwright/test';

const FOLDER = 'docs/screenshots';
const pictures = JSON.parse(readFileSync(`${FOLDER}/pictures.json`, 'utf8'));
const asked = process.argv.slice(2);
const base = process.env.APP_URL;
const unknown = asked.filter((name) => !pictures.some(({ file }) => file === name));
if (unknown.length > 0) {
    console.error(`There is no picture ${unknown.join(', ')}. Known: ${pictures.map(({ file }) => file).join(', ')}.`);
    process.exit(2);
}

const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking',
        '--disable-component-update', '--disable-sync'],
});
const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' });
const page = await context.newPage();
// What is put together is on a page of its own: those of the application take no style from elsewhere.
const sheet = await context.newPage();

await page.goto(`${base}/sign-in`);
await page.getByLabel('Email').fill('demo@hidden-wire.test');
await page.getByLabel('Password').fill('night-relay');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.waitForURL(`${base}/`);
const rig = (await page.locator('a[href*="/rigs/"]').evaluateAll((links) => links.map((link) => link.getAttribute('href'))))
    .map((href) => href.match(/\/rigs\/(\d+)/)?.[1]).find((found) => found);

/** One page as it is seen when everything on it has come. */
const look = async ({ page: view, query = '', size = [1280, 800], theme = 'light', causes = false, book = false, until = '' }) => {
    await page.setViewportSize({ width: size[0], height: size[1] });
    await page.addInitScript(`localStorage.setItem('theme', '"${theme}"')`);
    await page.goto(view.startsWith('/') ? `${base}${view}${query}` : `${base}/rigs/${rig}/${view}${query}`);
    await page.evaluate((now) => (document.documentElement.dataset.bsTheme = now), theme);
    if (view === 'wiring') await page.locator('[data-map][data-ready]').waitFor({ timeout: 60000 });
    if (causes) await page.getByText(/causes? for/).first().waitFor({ timeout: 60000 });
    if (until) await page.getByText(until).first().waitFor({ timeout: 60000 });
    if (book) await page.locator('.book h2:visible').first().waitFor({ timeout: 120000 });
    await page.waitForLoadState('networkidle');
    await page.evaluate(() => document.fonts.ready);
    return page.screenshot();
};

/** Several pictures in one, below or beside each other. */
const joined = async (images, [width, height], beside) => {
    await sheet.setViewportSize({ width, height });
    await sheet.setContent(`<body style="margin:0;display:flex;flex-direction:${beside ? 'row' : 'column'};background:#f6f2e9">
        ${images.map((image) => `<img src="data:image/png;base64,${image.toString('base64')}">`).join('')}</body>`);
    return sheet.screenshot();
};

/** Maps of starters, three in a row, with their names, in the order of their page. */
const maps = async ([from, to], [width, height]) => {
    const ids = [...readFileSync('docs/starters.md', 'utf8').matchAll(/^`([a-z-]+)` ·/gm)].map((found) => found[1]).slice(from, to);
    const drawn = ids.map((id) => {
        const file = `resources/starters/${id}.json`;
        const map = execFileSync('php', ['artisan', 'rig:export', file, '--format=svg'], { maxBuffer: 1e8 }).toString();
        return `<figure><figcaption>${JSON.parse(readFileSync(file, 'utf8')).name}</figcaption>${map.slice(map.indexOf('<svg'))}</figure>`;
    });
    const faces = [400, 600].map((weight) => `@font-face { font-family: 'Barlow Semi Condensed'; font-weight: ${weight};
        src: url(data:font/woff2;base64,${readFileSync(`node_modules/@fontsource/barlow-semi-condensed/files/barlow-semi-condensed-latin-`
        + `${weight}-normal.woff2`).toString('base64')}); }`);
    await sheet.setViewportSize({ width, height });
    await sheet.setContent(`<style>${faces.join('')}
        body { margin: 16px; background: #f6f2e9; font: 600 17px 'Barlow Semi Condensed'; color: #1e2428;
            display: grid; grid-template-columns: repeat(3, 1fr); gap: 16px }
        figure { margin: 0 } svg { width: 100%; height: 360px; background: #fff; font-weight: 400 }</style>${drawn.join('')}`);
    await sheet.evaluate(() => document.fonts.ready);
    return sheet.screenshot();
};

for (const picture of pictures.filter(({ file }) => asked.length === 0 || asked.includes(file))) {
    const images = [];
    for (const shot of picture.shots ?? []) images.push(await look(shot));
    const whole = picture.starters ? await maps(picture.starters, picture.size)
        : images.length === 1 ? images[0] : await joined(images, picture.size, picture.beside ?? false);
    writeFileSync(`${FOLDER}/${picture.file}`, whole);
    console.log(`  ${picture.file}`);
}
await browser.close();
