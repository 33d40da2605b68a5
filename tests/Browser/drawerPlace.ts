import AxeBuilder from '@axe-core/playwright';
import { expect, type Locator, type Page } from '@playwright/test';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export const pencil = (page: Page): Locator => page.getByTestId('pencil');
export const slots = (page: Page): Locator => page.getByRole('list', { name: 'Pencils in the drawer' }).getByRole('button');
export const find = (page: Page): Locator => page.getByLabel('Find a pencil by number, name or family');
export const undo = (page: Page): Locator => page.getByRole('button', { name: /^Undo:/ });

export const beside = (page: Page, what: string): Promise<void> =>
    page.getByRole('radiogroup', { name: 'Beside the drawer' }).getByText(what, { exact: true }).click();

export async function open(page: Page): Promise<void> {
    await page.goto('/drawer');
    await expect(slots(page)).toHaveCount(24);
    await beside(page, 'Pencil');
    await expect(pencil(page)).toContainText('Works well with');
}

export async function serious(page: Page): Promise<string[]> {
    const found = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']).analyze();
    return found.violations
        .filter((v) => v.impact === 'serious' || v.impact === 'critical')
        .map((v) => `${v.id}: ${v.nodes.map((n) => n.html).join(' ')}`);
}

export async function chooseFile(page: Page, name: string, content: string): Promise<void> {
    const path = join(mkdtempSync(join(tmpdir(), 'kp-')), name);
    writeFileSync(path, content);
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Choose a drawer file' }).click();
    await (await chooser).setFiles(path);
}

/** A new account with an empty drawer. */
export async function newAccount(page: Page): Promise<void> {
    await page.goto('/drawer');
    // An answer to the demo that is still under way would bring its session back after the new account's.
    await page.waitForLoadState('networkidle');
    await page.getByRole('button', { name: 'Sign out' }).click();
    await page.getByText('New account').click();
    await page.getByLabel('Your name').fill('Ebb');
    await page.getByLabel('E-mail address').fill(`drawer${Date.now()}@example.org`);
    await page.getByLabel(/^Password/).fill('long enough 10');
    await page.getByRole('button', { name: 'Create account' }).click();
    await expect(page.getByText('Start with the photo you want to draw')).toBeVisible();
    await page.goto('/drawer');
}
