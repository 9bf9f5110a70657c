// What the benches in a browser share: a signed-in page, its API, and how times are taken and said.
import { chromium } from '@playwright/test';

export const median = (values) => values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)];
export const row = (what, ...said) => console.log(`${what.padEnd(46)}${said.join('   ')}`);

/** Milliseconds that some work takes, median of several. */
export async function timed(work, times = 7) {
    const took = [];
    for (let i = 0; i < times; i++) {
        const began = performance.now();
        await work();
        took.push(performance.now() - began);
    }
    return median(took);
}

/** A browser in which somebody of the demo is signed in. */
export async function signedIn(base, email, options = {}) {
    const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
    const device = await browser.newContext(options);
    const page = await device.newPage();
    await page.goto(base);
    await page.getByLabel('Email').fill(email);
    await page.getByLabel('Password').fill('demo-harbour');
    await page.getByRole('button', { name: 'Sign in' }).click();
    return { browser, device, page };
}

/** Asks the API as the page would. */
export const asking = (base, device, page) => async (method, path, data) => {
    const token = decodeURIComponent((await device.cookies()).find((cookie) => cookie.name === 'XSRF-TOKEN').value);
    const answer = await page.request.fetch(`${base}/api/${path}`, { method, data, headers: { Accept: 'application/json', 'X-XSRF-TOKEN': token } });
    if (!answer.ok()) throw new Error(`${method} ${path}: ${answer.status()} ${await answer.text()}`);
    return answer.status() === 204 ? null : answer.json();
};
