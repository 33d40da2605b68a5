import { expect, test, type Locator, type Page } from '@playwright/test';
import { beside, chooseFile, newAccount, serious, slots } from './drawerPlace';
import { readFileSync } from 'node:fs';

const hand = (page: Page): Locator => page.getByRole('region', { name: 'My hand' });
const ladder = (page: Page, at: number): Locator => hand(page).getByRole('radiogroup', { name: new RegExp(`^Strip ${at}:`) });

/** A new account with the sample's first dozen pencils, at its hand. */
async function opened(page: Page): Promise<void> {
    await newAccount(page);
    await beside(page, 'Import & export');
    await chooseFile(page, 'drawer.csv', readFileSync('demo/drawer.csv', 'utf8').split('\n').slice(0, 13).join('\n'));
    await page.getByRole('button', { name: 'Import 12' }).click();
    await expect(slots(page)).toHaveCount(12, { timeout: 60_000 });
    await beside(page, 'My hand');
    await expect(hand(page)).toContainText('Predictions assume an average, even hand.');
}

test('a hand is told by the ladder, by mouse and by keyboard, and taken back', async ({ page }) => {
    await opened(page);
    await expect(hand(page).getByRole('button', { name: 'Learn from these strips' })).toBeDisabled();
    for (let at = 1; at <= 6; at++) {
        await ladder(page, at).getByRole('radio', { name: 'a little heavier' }).click({ force: true });
    }
    // By keyboard a step further on; then one is left out again.
    await ladder(page, 6).getByRole('radio', { name: 'a little heavier' }).focus();
    await page.keyboard.press('ArrowRight');
    await expect(ladder(page, 6).getByRole('radio', { name: 'heavier', exact: true })).toBeChecked();
    await hand(page).getByRole('button', { name: 'Skip strip 6' }).click();
    expect(await serious(page)).toEqual([]);
    await hand(page).getByRole('button', { name: 'Learn from 5 strips' }).click();
    await expect(hand(page).getByRole('status').first()).toContainText('more than planned');
    await expect(hand(page).getByRole('list', { name: 'Results of the strips' }).getByRole('listitem')).toHaveCount(5);
    // It is there after a reload, and can be gone back from by keyboard.
    await page.reload();
    await expect(hand(page).getByRole('status').first()).toContainText('more than planned');
    await hand(page).getByRole('button', { name: 'Use the average hand' }).focus();
    await page.keyboard.press('Enter');
    await expect(hand(page).getByRole('status').first()).toContainText('an average, even hand');
    await hand(page).getByRole('button', { name: 'Use version 1' }).click();
    await expect(hand(page).getByRole('status').first()).toContainText('more than planned');
});

test('strips are read from a photo, and a photo of something else says so', async ({ page }) => {
    await opened(page);
    const chooser = page.waitForEvent('filechooser');
    await hand(page).getByRole('button', { name: 'Choose a photo of it' }).click();
    await (await chooser).setFiles('demo/photos/low-water-evening.jpg');
    await expect(hand(page).getByRole('alert')).toContainText('No chart sheet was found in this photo');
    await hand(page).getByRole('button', { name: 'Try with a simulated photo' }).click();
    await expect(hand(page).getByAltText('The simulated photo')).toBeVisible({ timeout: 30_000 });
    await expect(hand(page).getByRole('alert')).toBeEmpty();
    await hand(page).getByRole('button', { name: 'Learn from 8 strips' }).click();
    await expect(hand(page).getByRole('status').first()).toContainText('(from 16 strips)');
});
