import { expect, test } from '@playwright/test';
import { api, complaints, expectNoAxeFinding, expectSound, newLesson, send, type Lesson } from './support';

/* What a lesson could be for and drive, on its plan. */

for (const [name, viewport] of [
    ['a tablet', { width: 1280, height: 800 }],
    ['a phone', { width: 390, height: 844 }],
] as const) {
    test(`a lesson is proposed from the record, planned again without a way, taken by one press and taken back, on ${name}`, async ({ page }) => {
        await page.setViewportSize(viewport);
        const heard = complaints(page);
        const lesson = await newLesson(page);
        for (const { id } of lesson.items) await page.request.delete(`/api/items/${id}`, { headers: await token(page) });
        await page.goto(`/lessons/${lesson.id}/plan`);
        const part = page.getByRole('region', { name: 'Proposed from the record' });
        await expect(part.getByRole('button', { name: 'Take it' })).toBeVisible();
        const ways = part.getByRole('button', { name: /^Without / });
        const before = await ways.count();
        expect(before).toBeGreaterThan(1);
        await expectSound(page, name);
        await expectNoAxeFinding(page, name);
        const first = (await ways.first().getAttribute('aria-label'))!;
        await ways.first().click();
        await expect(part.getByRole('button', { name: first, exact: true })).toHaveCount(0);
        // What was thrown out is the first of what is left out, and can be put in again.
        await part.getByText(/ left out, and why$/).click();
        await expect(part.getByText(/: you left it out\.$/)).toBeVisible();
        await part.getByRole('button', { name: first.replace(/^Without/, 'Put in'), exact: true }).click();
        await expect(part.getByRole('button', { name: first, exact: true })).toBeVisible();
        await expect(part.getByText('you put it in')).toBeVisible();
        await part.getByRole('button', { name: 'As it was proposed' }).click();
        await expect(ways).toHaveCount(before);
        await part.getByRole('button', { name: 'Take it' }).click();
        await expect(page.getByText(/^The aim is written, \d+ ways on the plan\.$/)).toBeVisible();
        const taken = await api<Lesson & { aim: string | null; works_on: object | null }>(page, `lessons/${lesson.id}`);
        expect(taken.items).toHaveLength(before);
        expect(taken.aim).not.toBeNull();
        expect(taken.works_on).not.toBeNull();
        await page.getByRole('button', { name: 'Undo' }).click();
        await expect.poll(async () => (await api<Lesson>(page, `lessons/${lesson.id}`)).items.length).toBe(0);
        await expect.poll(async () => (await api<{ aim: string | null }>(page, `lessons/${lesson.id}`)).aim).toBeNull();
        expect(heard).toEqual([]);
        await send(page, `lessons/${lesson.id}`, { state: 'cancelled', ended_by: 'other' }, 'PATCH');
    });
}

/** What a deletion is sent with. */
async function token(page: Parameters<typeof send>[0]): Promise<Record<string, string>> {
    const cookie = (await page.context().cookies()).find(({ name }) => name === 'XSRF-TOKEN')!.value;
    return { Accept: 'application/json', 'X-XSRF-TOKEN': decodeURIComponent(cookie) };
}
