import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import type { DrawingChecks } from '../../resources/ts/api/types';
import { beside, open, planned } from './planPlace';
import { unseenPhoto } from './unseen';

test('a photo of the drawing is held against the plan, and one of something else is not', async ({ page }) => {
    test.setTimeout(240_000);
    await open(page);
    await planned(page);
    await beside(page, 'Check');
    const part = page.getByRole('region', { name: 'Check the drawing' });
    await expect(part.getByRole('button', { name: 'Try with a simulated photo' })).toBeVisible();
    await page.waitForLoadState('networkidle');
    const begun = await part.getByRole('region', { name: /^Check of/ }).count();
    await part.getByLabel('Passes done').selectOption('2');
    await part.getByRole('button', { name: 'Try with a simulated photo' }).focus();
    await page.keyboard.press('Enter');
    await expect(part.getByRole('status')).toContainText('Holding the photo against the plan…');
    const checks = part.getByRole('region', { name: /^Check of/ });
    // Cancelled, nothing is kept of it; asked for again, it waits for its turn by itself.
    await part.getByRole('button', { name: 'Cancel' }).press('Enter');
    await expect(part.getByRole('button', { name: /simulated/ })).toBeFocused();
    await expect(part.getByRole('status')).toHaveText('');
    await expect(part.getByRole('alert')).toHaveText('');
    await page.waitForTimeout(9000);
    const { checks: kept } = (await (
        await page.request.get(`/api/studies/${/plan\/(\d+)/.exec(page.url())?.[1]}/plan/checks`)
    ).json()) as DrawingChecks;
    expect(kept).toHaveLength(begun);
    await part.getByRole('button', { name: 'Try with a simulated photo' }).press('Enter');
    await expect(checks).toHaveCount(begun + 1, { timeout: 90_000 });
    await expect(checks.first().getByRole('list', { name: 'What to do next, zone by zone' }).getByRole('listitem').first()).toContainText(
        /Go on: |in place of|eave|ift/,
    );
    await expect(checks.first().getByAltText('where it differs from the plan so far')).toBeVisible();
    const result = await new AxeBuilder({ page }).include('main').withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']).analyze();
    expect(result.violations.filter((v) => v.impact === 'serious' || v.impact === 'critical')).toEqual([]);

    // Another photo is said to be another; its corners can be set by keyboard and mouse, and that does not help.
    const chooser = page.waitForEvent('filechooser');
    await part.getByRole('button', { name: 'Choose a photo of the drawing' }).click();
    await (await chooser).setFiles(unseenPhoto());
    await expect(part.getByRole('alert')).toContainText(/doesn’t look like|edges of the paper/, { timeout: 60_000 });
    const corner = part.getByRole('button', { name: /^Corner at the drawing's top left: 15 % across/ });
    await corner.focus();
    await page.keyboard.press('ArrowLeft');
    await expect(part.getByRole('button', { name: /^Corner at the drawing's top left: 1[0-4] % across/ })).toBeFocused();
    await part.getByRole('button', { name: 'Read it with these corners' }).click();
    await expect(part.getByRole('alert')).toContainText(/doesn’t look like|bare paper/, { timeout: 60_000 });
    await checks.first().getByRole('button', { name: 'Remove' }).click();
    await expect(checks).toHaveCount(begun);
});
