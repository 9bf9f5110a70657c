import { expect, test } from '@playwright/test';
import { complaints, everythingSent, newLesson } from './support';

/** How little travels: what is asked again and again must stay small. */

/** A slider at rest, bytes: half a second on a poor connection of 4 Mbit/s. */
const A_REST = 250_000;

test('a slider that rests is one question, and its answer is small, whatever the place has', async ({ page }) => {
    const found = complaints(page);
    const asked: Promise<number>[] = [];
    page.on('response', (response) => {
        if (response.url().includes('/api/compute/')) asked.push(response.body().then((body) => body.length));
    });
    const place = {
        routine: 'roundabout',
        limit_mph: 40,
        exit: 'right',
        sign: { at_m: 130 },
        parked: [{ side: 'left', from_m: 90, to_m: 60 }],
        then: { routine: 'turn-left', distance_m: 90 },
    };
    await page.goto(`/bench/approach?road=${encodeURIComponent(JSON.stringify(place))}&speed=30`);
    await expect(page.getByRole('slider', { name: 'Speed' })).toBeVisible();
    await expect.poll(() => asked.length).toBe(2);
    for (const name of ['Speed', 'Slope']) {
        asked.length = 0;
        await page.getByRole('slider', { name }).focus();
        // As a key that is held down: none waits until the one before is drawn.
        await Promise.all(Array.from({ length: 4 }, () => page.keyboard.press('ArrowLeft')));
        await expect.poll(() => asked.length, name).toBe(1);
        await page.waitForTimeout(600);
        expect(asked, name).toHaveLength(1);
        expect(await asked[0], name).toBeLessThan(A_REST);
    }
    expect(found).toEqual([]);
});

test('Drive asks for no lesson again for what it sent, and the debrief does', async ({ page }) => {
    const found = complaints(page);
    const lesson = await newLesson(page);
    const lessons: string[] = [];
    await page.goto(`/lessons/${lesson.id}/drive`);
    await expect(page.getByRole('button', { name: 'Position missed' })).toBeVisible();
    page.on('request', (request) => {
        if (request.method() === 'GET' && request.url().endsWith(`/api/lessons/${lesson.id}`)) lessons.push(request.url());
    });
    for (const step of ['Mirrors', 'Signal', 'Position']) {
        const sent = page.waitForResponse((response) => response.url().endsWith('/api/sync'));
        await page.getByRole('button', { name: `${step} missed` }).click();
        await sent;
    }
    await everythingSent(page, lesson.id, 1);
    expect(lessons).toEqual([]);
    await page.getByRole('link', { name: 'Debrief' }).click();
    await expect(page.getByText(/in 1 of 1 attempt/)).toBeVisible();
    expect(lessons).toHaveLength(1);
    expect(found).toEqual([]);
});
