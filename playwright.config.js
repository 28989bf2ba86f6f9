import { defineConfig } from '@playwright/test';

export default defineConfig({
    testDir: 'tests/Browser',
    outputDir: 'storage/run/playwright',
    reporter: [['list'], ['json', { outputFile: 'storage/run/playwright.json' }]],
    // One a core; each test works on rigs of its own.
    workers: 2,
    // A slow machine is no failure.
    timeout: 90000,
    expect: { timeout: 20000 },
    use: {
        baseURL: process.env.APP_URL,
        actionTimeout: 20000,
        navigationTimeout: 20000,
        viewport: { width: 1280, height: 800 },
        launchOptions: {
            executablePath: '/usr/bin/chromium',
            args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
        },
    },
});
