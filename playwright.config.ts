import { defineConfig } from '@playwright/test';

/** Debian's Chromium, sRGB so that colours can be compared, and nothing that reaches for the network. */
export default defineConfig({
    testDir: 'tests/Browser',
    outputDir: 'var/test/browser',
    snapshotPathTemplate: 'tests/Browser/whole/pictures/{arg}{ext}',
    workers: 1,
    timeout: 60_000,
    expect: { timeout: 15_000 },
    reporter: [['list'], ['junit', { outputFile: 'var/test/playwright.xml' }]],
    use: {
        baseURL: process.env['BASE_URL'] ?? 'http://127.0.0.1:8040',
        viewport: { width: 1280, height: 800 },
        launchOptions: {
            executablePath: '/usr/bin/chromium',
            args: [
                '--no-sandbox',
                '--disable-gpu',
                '--disable-quic',
                '--no-first-run',
                '--disable-background-networking',
                '--disable-component-update',
                '--disable-sync',
                '--force-color-profile=srgb',
            ],
        },
    },
});
