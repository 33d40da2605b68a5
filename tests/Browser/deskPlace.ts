import { expect, type Page } from '@playwright/test';

export const number = (page: Page) => page.getByTestId('number');
/** Of one pass or of several coats: "Laid", "Laid, two coats". */
export const laid = (page: Page) => page.getByRole('button', { name: /^Laid(, \w+ coats)?$/ });
export const head = (page: Page) => page.getByText(/sessions? left|last session/);

export async function sitDown(page: Page) {
    await page.goto('/desk');
    await expect(page.getByRole('heading', { name: /Today/ })).toBeVisible();
    await page.getByRole('button', { name: 'Start session' }).click();
    await expect(laid(page)).toBeVisible();
}

export const where = async (page: Page) =>
    `${await number(page).innerText()} ${await page.getByRole('region', { name: 'This pass' }).innerText()}`;
