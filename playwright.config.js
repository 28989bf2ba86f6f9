import { defineConfig } from '@playwright/test';

export default defineConfig({
    testDir: 'tests/Browser',
    outputDir: 'storage/run/playwright',
    reporter: [['list'], ['json', { outputFile: 'storage/run/playwright.json' }]],
    // One a core; each test works on rigs of its own.
    workers: 2,
    // A slow machine is no failure.
    timeout: 900000,
    expect: { timeout: 40000 },
    use: {
        baseURL: process.env.APP_URL,
        actionTimeout: 40000,
        navigationTimeout: 40000,
        viewport: { width: 1280, height: 800 },
        launchOptions: {
            executablePath: '/usr/bin/chromium',
            args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
        },
    },
});
