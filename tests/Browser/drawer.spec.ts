import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';

const pencil = (page: Page) => page.getByTestId('pencil');
const slots = (page: Page) => page.getByRole('list', { name: 'Pencils in the drawer' }).getByRole('button');

async function open(page: Page): Promise<void> {
    await page.goto('/drawer');
    await expect(slots(page)).toHaveCount(24);
    await expect(pencil(page)).toContainText('What works with it');
}

test('a pencil is found in two keystrokes and read in words, in another order and on another paper', async ({ page }) => {
    await open(page);
    const field = page.getByLabel('Find a pencil by number, name or family');
    await field.pressSequentially('70');
    await expect(page.getByText('1 found')).toBeVisible();
    await expect(pencil(page).getByRole('heading', { level: 2 }).first()).toContainText('703');
    await expect(pencil(page)).toContainText(/Value 5 of 9, middle, clear green/);
    await field.fill('violet');
    await expect(page.getByText(/^\d+ found/)).toBeVisible();
    await field.fill('');
    await page.getByRole('radiogroup', { name: 'Order of the drawer' }).getByText('Number').click();
    await expect(slots(page).first()).toHaveAccessibleName(/^F59/);
    await page.getByRole('radiogroup', { name: 'Order of the drawer' }).getByText('Gradual').click();
    await expect(page.getByRole('region', { name: 'The drawer as a whole' })).toContainText('in the mean');
    await page.getByRole('combobox', { name: 'Paper' }).selectOption('black');
    await expect(page.getByRole('table', { name: /on black$/ })).toBeVisible();
    await page.reload();
    await expect(pencil(page)).toBeVisible();
});

test('the drawer is walked by keyboard, has no serious accessibility faults, and fits the screen', async ({ page }) => {
    await open(page);
    await slots(page).first().focus();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowDown');
    const name = await page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? '');
    await page.keyboard.press('Enter');
    await expect(pencil(page).getByRole('heading', { level: 2 }).first()).toContainText(name.split(' ')[0] ?? '');
    const found = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']).analyze();
    expect(
        found.violations
            .filter((v) => v.impact === 'serious' || v.impact === 'critical')
            .map((v) => `${v.id}: ${v.nodes.map((n) => n.html).join(' ')}`),
    ).toEqual([]);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(1280);
});
