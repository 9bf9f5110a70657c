import { expect, test } from '@playwright/test';

test('a car is entered with what it means as it is typed, then used on the bench, archived and brought back', async ({ page }) => {
    await page.goto('/account');
    await page.getByRole('button', { name: 'New car' }).click();
    await page.getByLabel('What you call it').fill('The test hatch');
    await page.getByText('From its data sheet, where you know it').click();
    const means = page.getByRole('region', { name: 'What these figures mean' });
    // 30 mph in third of the demo car's box: 2131 rpm; with a longer final drive less.
    await expect(means.getByRole('row', { name: /rpm at 30 mph/ })).toContainText('2131');
    await page.getByLabel('Final drive').fill('3.5');
    await expect(means.getByRole('row', { name: /rpm at 30 mph/ })).toContainText('1837');
    await page.getByLabel('Turning circle, kerb to kerb, m').fill('3');
    await expect(means).toContainText('turning circle m');
    await page.getByRole('button', { name: 'Keep the car' }).click();
    await expect(page.getByText(/is too small for this wheelbase|must lie between/).first()).toBeVisible();
    await page.getByLabel('Turning circle, kerb to kerb, m').fill('11,4');
    await expect(means).toContainText('Turning circle 11.4 m');
    await page.getByRole('button', { name: 'Keep the car' }).click();
    await expect(page.getByText('The test hatch')).toBeVisible();

    await page.goto('/bench/engine');
    await page.getByLabel('Vehicle').selectOption('The test hatch');
    await expect(page.getByText(/about 900 more before the clutch comes up/)).toBeVisible();
    await page.getByLabel('Vehicle').selectOption('Small electric car');
    await expect(page.getByLabel('From', { exact: true })).toHaveCount(0);
    await expect(page.getByText('In 1', { exact: true })).toBeVisible();
    await expect(page.getByText('all of it in 1')).toBeVisible();
    await page.goto('/account');
    await page.getByRole('button', { name: 'Archive The test hatch' }).click();
    await expect(page.getByRole('button', { name: 'Change The test hatch' })).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('button', { name: 'Change The test hatch' })).toBeVisible();
});

test('an electric car takes its figures from the electric kind, and refuses a clutch', async ({ page }) => {
    await page.goto('/account');
    await page.getByRole('button', { name: 'New car' }).click();
    await page.getByLabel('What you call it').fill('The silent one');
    await page.getByLabel('Most like').selectOption('Small electric car');
    await expect(page.getByLabel('Gearbox')).toHaveValue('automatic');
    await page.getByText('From its data sheet, where you know it').click();
    await expect(page.getByLabel('Idle, rpm')).toHaveCount(0);
    await expect(page.getByLabel('Peak torque, Nm')).toHaveAttribute('placeholder', '220, assumed');
    const pull = page.getByText(/From 30 to 50 mph/);
    const before = await pull.innerText();
    await page.getByLabel('Peak power, kW').fill('150');
    await expect(pull).not.toHaveText(before);
    await page.getByRole('button', { name: 'Keep the car' }).click();
    await expect(page.getByText('The silent one')).toBeVisible();
    await page.getByRole('button', { name: 'Archive The silent one' }).click();
});
