import { expect, test } from '@playwright/test';
import { beside, newAccount, serious, slots } from './drawerPlace';

const TWELVE = Array.from({ length: 12 }, (_, i) => `${21 + i} mine ${i + 1}`).join('\n');

test('an empty account has twelve measured pencils and a first recipe within five minutes', async ({ page }) => {
    const begun = Date.now();
    await newAccount(page);
    await expect(page.getByText('Your drawer is empty.')).toBeVisible();
    await page.getByRole('button', { name: 'Photograph my pencils' }).click();

    // A pencil named twice is a slip: it is said, and what was typed stays.
    const list = page.getByLabel('Pencils, one per line');
    await list.fill(`${TWELVE}\n21 again`);
    await page.getByRole('button', { name: 'Create chart' }).click();
    await expect(page.getByRole('alert').filter({ hasText: 'names 21 again' })).toBeVisible();
    await list.fill(TWELVE);
    await page.getByRole('button', { name: 'Create chart' }).click();
    await expect(page.getByRole('link', { name: 'Print the chart' })).toBeVisible();

    await page.getByRole('button', { name: 'Try with a simulated photo' }).click();
    await expect(page.getByText('12 of 12 pencils measured')).toBeVisible({ timeout: 30_000 });
    await page.getByRole('button', { name: 'Skip 21, light coat' }).click();
    await expect(page.getByRole('button', { name: 'Restore 21, light coat' })).toBeVisible();
    await page.getByRole('button', { name: 'Restore 21, light coat' }).click();
    expect(await serious(page)).toEqual([]);

    await page.getByRole('button', { name: 'Import 12 into the drawer' }).click();
    await page.getByRole('button', { name: 'Import 12 pencils' }).click();
    await expect(slots(page)).toHaveCount(12, { timeout: 60_000 });

    await page.getByRole('link', { name: 'Photo', exact: true }).click();
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Choose a photo' }).click();
    await (await chooser).setFiles('demo/photos/low-water-evening.jpg');
    await expect(page.getByRole('button', { name: /^Choose recipe 1/ })).toBeVisible({ timeout: 60_000 });
    expect(Date.now() - begun).toBeLessThan(300_000);
});

test('a sheet is made, read and taken in by keyboard alone, and is there after a reload', async ({ page }) => {
    await newAccount(page);
    await page.getByRole('button', { name: 'Photograph my pencils' }).focus();
    await page.keyboard.press('Enter');
    await page.getByLabel('Pencils, one per line').focus();
    await page.keyboard.type('3 moss\n4 brick');
    await page.reload();
    await beside(page, 'Measure');
    await expect(page.getByLabel('Pencils, one per line')).toHaveValue('3 moss\n4 brick');
    await page.getByLabel('Pencils, one per line').focus();
    for (let tabs = 0; tabs < 3; tabs++) {
        await page.keyboard.press('Tab');
    }
    // The paper in use is another.
    await expect(page.getByLabel('coloured in on')).toBeFocused();
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Tab');
    await expect(page.getByRole('button', { name: 'Create chart' })).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(page.getByText('2 pencils on one page of white smooth paper')).toBeVisible();
    await page.getByRole('button', { name: 'Try with a simulated photo' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByText('2 of 2 pencils measured')).toBeVisible({ timeout: 30_000 });
    await page.reload();
    await expect(page.getByText('2 of 2 pencils measured')).toBeVisible();
    await page.getByRole('button', { name: 'Import 2 into the drawer' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: 'Import 2 pencils' })).toBeVisible();
    await page.getByRole('button', { name: 'Import 2 pencils' }).focus();
    await page.keyboard.press('Enter');
    await expect(slots(page)).toHaveCount(2, { timeout: 60_000 });
});

test('a photo that is none is refused with what to do, and nothing is lost', async ({ page }) => {
    await newAccount(page);
    await beside(page, 'Measure');
    await page.getByLabel('Pencils, one per line').fill('3 moss');
    await page.getByRole('button', { name: 'Create chart' }).click();
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Choose a photo of it' }).click();
    await (await chooser).setFiles('demo/photos/low-water-evening.jpg');
    await expect(page.getByRole('alert').filter({ hasText: 'No chart sheet was found' })).toBeVisible({ timeout: 30_000 });
    await expect(page.getByRole('link', { name: 'Print the chart' })).toBeVisible();
});
