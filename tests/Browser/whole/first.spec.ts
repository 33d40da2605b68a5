import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';

test('a new account has its first recipe after two presses, and a plan after four', async ({ page }) => {
    test.setTimeout(180_000);
    await page.goto('/photo');
    await page.getByRole('button', { name: 'Sign out' }).click();
    await page.getByText('New account').click();
    await page.getByLabel('Your name').fill('Neap');
    await page.getByLabel('E-mail address').fill(`neap-${Date.now().toString()}@example.org`);
    await page.getByLabel(/^Password/).fill('long enough 10');
    await page.getByRole('button', { name: 'Create account' }).click();
    await expect(page.getByRole('link', { name: 'Photograph my pencils' })).toBeVisible();
    expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);

    await page.getByRole('button', { name: 'Use sample pencils' }).click();
    await expect(page.getByRole('button', { name: /sample pencils|Adding/ })).toBeHidden({ timeout: 60_000 });
    await page.getByRole('button', { name: 'Use the sample photo' }).click();
    await expect(page.getByTestId('recipe-1')).toContainText('ΔE00', { timeout: 60_000 });

    await page.getByRole('link', { name: 'Plan', exact: true }).click();
    await page.getByRole('button', { name: 'Propose zones and plan the picture' }).click();
    await expect(page.getByText('Plan is up to date')).toBeVisible({ timeout: 120_000 });
    await expect(page.getByRole('list', { name: 'Zones of the plan' }).getByRole('button').first()).toContainText(/error \d/);
});
