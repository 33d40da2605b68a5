import { expect, type Locator, type Page } from '@playwright/test';

export const zones = (page: Page): Locator => page.getByRole('list', { name: 'Zones of the plan' }).getByRole('button');
export const sequence = (page: Page): Locator => page.getByTestId('sequence');
export const passes = (page: Page): Locator => sequence(page).getByRole('rowheader');
export const beside = (page: Page, what: string): Promise<void> =>
    page.getByRole('radiogroup', { name: 'Beside the picture' }).getByText(what, { exact: true }).click();
export const planned = (page: Page) => expect(page.getByText('Plan is up to date')).toBeVisible({ timeout: 60_000 });
export const picture = (page: Page): Locator => page.getByRole('img', { name: /^the picture (after|as bare)/ });

export async function open(page: Page): Promise<void> {
    const { studies } = (await (await page.request.get('/api/studies')).json()) as { studies: { id: number; name: string }[] };
    await page.goto(`/plan/${studies.filter((s) => s.name === 'Low water').pop()?.id ?? ''}`);
    await expect(zones(page).first()).toBeVisible();
}
