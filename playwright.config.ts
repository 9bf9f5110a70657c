import { defineConfig } from '@playwright/test';

/** The application is started by bin/test, which says where it is. */
export default defineConfig({
    testDir: 'tests/e2e',
    outputDir: 'var/test/e2e',
    workers: 1,
    retries: 0,
    timeout: 60_000,
    expect: { timeout: 20_000 },
    reporter: 'list',
    use: {
        baseURL: process.env.APP_URL,
        viewport: { width: 1280, height: 800 },
        screenshot: 'only-on-failure',
        launchOptions: {
            executablePath: '/usr/bin/chromium',
            args: [
                ...['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run'],
                ...['--disable-background-networking', '--disable-component-update', '--disable-sync'],
            ],
        },
    },
    projects: [
        { name: 'first-run', testMatch: 'first-run.spec.ts' },
        { name: 'sign-in', testMatch: 'sign-in.setup.ts' },
        {
            name: 'demo',
            testIgnore: ['first-run.spec.ts', 'sign-in.setup.ts', 'screenshots.spec.ts'],
            dependencies: ['sign-in'],
            use: { storageState: 'var/test/signed-in.json' },
        },
        { name: 'screenshots', testMatch: 'screenshots.spec.ts', dependencies: ['sign-in'], use: { storageState: 'var/test/signed-in.json' } },
    ],
});
