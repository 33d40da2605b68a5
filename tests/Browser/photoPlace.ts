import { expect, type Locator, type Page } from '@playwright/test';

export const stage = (page: Page): Locator => page.getByRole('application', { name: /^Photo/ }).first();
export const shown = (page: Page): Locator => stage(page).locator('img');
export const beside = (page: Page, column: string): Promise<void> =>
    page.getByRole('radiogroup', { name: 'Beside the photo' }).getByText(column, { exact: true }).click();
export const zonesList = (page: Page): Locator => page.getByRole('list', { name: 'Zones by size' }).getByRole('listitem');
export const history = (page: Page, word: string): Locator => page.getByRole('button', { name: new RegExp(`^${word}`) });
export const saved = (page: Page) => page.waitForResponse((r) => /\/survey\/(changes|undo|redo)$/.test(r.url()) && r.ok());

export async function open(page: Page, column: string): Promise<void> {
    // The newest study opens first where nothing is remembered; these tests are about the demo's.
    const { studies } = (await (await page.request.get('/api/studies')).json()) as { studies: { id: number; name: string }[] };
    await page.goto(`/photo/${studies.find((s) => s.name === 'Low water')?.id ?? ''}`);
    await beside(page, column);
    await expect(page.getByTestId('reading')).toContainText('alue');
}

export async function focused(page: Page, locator: Locator): Promise<void> {
    await locator.focus();
    await expect(locator).toBeFocused();
    await page.waitForTimeout(50);
}
