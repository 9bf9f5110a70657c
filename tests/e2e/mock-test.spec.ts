import { expect, test } from '@playwright/test';
import { api, complaints, expectNoAxeFinding, expectSound, newLesson, send } from './support';

/* A mock test in a lesson: driven in silence, told at the kerb, marked. */

interface Assessment {
    id: string;
    lesson_id: string | null;
    result: string;
    faults: { step: string; effect: string; routine: string | null }[];
}
interface Round {
    id: string;
    assessment_id: string | null;
    routine: string;
    marks: { step: string; outcome: string }[];
}

for (const [name, viewport] of [
    ['a tablet', { width: 1280, height: 800 }],
    ['a phone by night', { width: 390, height: 844 }],
] as const) {
    test(`a mock test is driven without signal, told at the kerb over a reload, and marked once there is signal again, on ${name}`, async ({
        page,
        context,
    }) => {
        await page.setViewportSize(viewport);
        await page.emulateMedia({ colorScheme: name.includes('night') ? 'dark' : 'light' });
        const heard = complaints(page);
        const lesson = await newLesson(page);
        await page.goto(`/lessons/${lesson.id}/drive`);
        await page.getByRole('link', { name: 'Mock test' }).click();
        await expect(page.getByRole('heading', { name: 'Mock test' })).toBeVisible();
        await expectSound(page, `${name}, before`);
        await page.getByRole('button', { name: 'Begin' }).click();
        const driving = page.getByRole('region', { name: 'Mock test, driving' });
        await expectSound(page, `${name}, driving`);
        await expectNoAxeFinding(page, `${name}, driving`);
        await context.setOffline(true);
        await driving.getByRole('button', { name: 'Mirrors' }).click();
        await driving.getByRole('button', { name: 'Signal' }).click();
        await driving.getByRole('button', { name: 'Not signal' }).click();
        const on = driving.getByRole('button', { name: /^(On to|Once more)/ });
        await on.click();
        await driving.getByRole('button', { name: 'Look' }).click();
        await expect(driving).toContainText('2 faults');
        await driving.getByRole('button', { name: 'Parked' }).click();
        const first = page.getByRole('listitem', { name: /^Fault 1, Mirrors/ });
        await first.getByRole('button', { name: 'Nobody' }).click();
        const done = page.getByRole('button', { name: 'What it comes to' });
        await expect(done).toBeDisabled();
        await page
            .getByRole('listitem', { name: /^Fault 2, Look/ })
            .getByRole('button', { name: 'Had to change' })
            .click();
        await expectSound(page, `${name}, telling`);
        await expectNoAxeFinding(page, `${name}, telling`);
        await done.click();
        await expect(page.getByRole('alert')).toContainText('It is kept on this device.');
        await context.setOffline(false);
        await page.reload();
        await page.getByRole('button', { name: 'What it comes to' }).click();
        await expect(page.getByRole('heading', { name: 'Mock test, failed' })).toBeVisible();
        await expect(page.getByRole('row', { name: /^Look/ })).toContainText('1');
        await expectSound(page, `${name}, the sheet`);
        await expectNoAxeFinding(page, `${name}, the sheet`);
        const after = await api<{ learner: { id: string }; rounds: Round[] }>(page, `lessons/${lesson.id}`);
        const tests = (await api<Assessment[]>(page, `learners/${after.learner.id}/assessments`)).filter((one) => one.lesson_id === lesson.id);
        expect(tests).toMatchObject([
            {
                result: 'fail',
                faults: [
                    { step: 'mirrors', effect: 'nobody' },
                    { step: 'look', effect: 'affected' },
                ],
            },
        ]);
        const driven = after.rounds.filter((round) => round.assessment_id === tests[0]!.id);
        expect(driven).toHaveLength(2);
        expect(driven[0]!.marks.find(({ step }) => step === 'mirrors')!.outcome).toBe('reminded');
        expect(driven[1]!.marks.find(({ step }) => step === 'look')!.outcome).toBe('missed');
        await page.getByRole('link', { name: 'The way to the test' }).click();
        await expect(page.getByRole('region', { name: 'Tests' })).toContainText('Mock test, failed');
        expect(heard.filter((words) => !/ERR_INTERNET_DISCONNECTED|Failed to load resource/.test(words))).toEqual([]);
        await send(page, `lessons/${lesson.id}`, { state: 'cancelled', ended_by: 'other' }, 'PATCH');
    });
}
