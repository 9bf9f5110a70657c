import { expect, test } from '@playwright/test';
import { complaints, expectNoAxeFinding, expectSound } from './support';

test('an empty installation leads through school, owner, first car and first learner', async ({ page }) => {
    const heard = complaints(page);
    await page.goto('/');
    await expectNoAxeFinding(page, 'first run');
    await page.getByLabel('Name of the school').fill('Breakwater Tuition');
    await page.getByLabel('Time zone').selectOption('Europe/London');
    await page.getByLabel('Your name').fill('Ottilie Marrack');
    await page.getByLabel('Your email').fill('owner@breakwater.test');
    await page.getByLabel('Password').fill('short');
    await page.getByRole('button', { name: 'Set up the school' }).click();
    // The browser itself asks for ten characters: nothing was sent, nothing typed is lost.
    await expect(page.getByLabel('Name of the school')).toHaveValue('Breakwater Tuition');
    await page.getByLabel('Password').fill('a-long-enough-password');
    await page.getByRole('button', { name: 'Set up the school' }).click();
    await page.getByLabel('What you call it').fill('The green one');
    await expectSound(page, 'first car');
    await page.getByRole('button', { name: 'Keep the car' }).click();
    await page.getByLabel('Name').fill('Lucan Treverrow');
    await page.getByRole('button', { name: 'Keep the learner' }).click();
    // An empty day says what to do, and the first lesson can be booked at once.
    await expect(page.getByText('No lesson is booked')).toBeVisible();
    await expectNoAxeFinding(page, 'empty Today');
    await page.getByRole('button', { name: 'Book a lesson' }).click();
    await page.getByLabel('Learner').selectOption('Lucan Treverrow');
    await page.getByRole('button', { name: 'Book' }).last().click();
    await expect(page.getByText('No places yet')).toBeVisible();
    await expectNoAxeFinding(page, 'empty plan');
    // The first place is described on the spot and its plan opens.
    await page.getByRole('button', { name: 'Add a place' }).click();
    await page.getByLabel('Name').fill('Gull Street into Harbour Road');
    await page.getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByRole('slider', { name: 'Steps of the approach' })).toBeVisible();
    await page.getByRole('link', { name: 'Debrief' }).click();
    await expect(page.getByText('No rounds were marked in this lesson.')).toBeVisible();
    await expectNoAxeFinding(page, 'empty debrief');
    expect(heard).toEqual([]);
});
