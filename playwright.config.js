import { defineConfig } from '@playwright/test';

export default defineConfig({
    testDir: 'tests/Browser',
    outputDir: 'storage/run/playwright',
    reporter: [['list'], ['json', { outputFile: 'storage/run/playwright.json' }]],
    workers: 1,
    timeout: 30000,
    use: {
        baseURL: process.env.APP_URL,
        actionTimeout: 8000,
        navigationTimeout: 20000,
        viewport: { width: 1280, height: 800 },
        launchOptions: {
            executablePath: '/usr/bin/chromium',
            args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
        },
    },
});
