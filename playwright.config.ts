import { defineConfig } from '@playwright/test';
import { signedIn } from './tests/e2e/support';

/**
 * The applications are started by bin/test, which says where they are: each worker has one with a database of its own, so that tests
 * run beside each other and in any order.
 */
const APPS = (process.env.APP_URL ?? '').split(',');
const MINE = Number(process.env.TEST_PARALLEL_INDEX ?? 0);

export default defineConfig({
    testDir: 'tests/e2e',
    outputDir: 'var/test/e2e',
    workers: APPS.length,
    retries: 0,
    // A time limit finds what hangs; how fast a machine is, bin/bench measures.
    timeout: 180_000,
    expect: { timeout: 20_000 },
    reporter: 'list',
    use: {
        baseURL: APPS[MINE],
        viewport: { width: 1280, height: 800 },
        // What keeps the pages for a day without signal fetches it ahead: tests of that have it, the others are quicker without.
        serviceWorkers: 'block',
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
            use: { storageState: signedIn(MINE) },
        },
        { name: 'screenshots', testMatch: 'screenshots.spec.ts', dependencies: ['sign-in'], use: { storageState: signedIn(MINE) } },
    ],
});
