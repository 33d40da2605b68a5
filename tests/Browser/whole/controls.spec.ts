import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';

/** Of 1.6 million pixels. Drawn by another build of the browser letters differ in a few; a control that moves differs in thousands. */
const FEW = { maxDiffPixels: 400, fullPage: true };

test('every control in every state looks as it was agreed, in all three surroundings', async ({ page }) => {
    await page.setViewportSize({ width: 1440, height: 900 });
    await page.goto('/controls');
    await expect(page.getByRole('region', { name: 'dark' })).toBeVisible();
    await page.evaluate(() => document.fonts.ready);
    await expect(page).toHaveScreenshot('controls.png', FEW);
    expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);

    // The first thing that can be focused in the light surroundings, with its ring.
    await page.keyboard.press('Tab');
    const box = await page.locator(':focus').boundingBox();
    const clip = { x: (box?.x ?? 0) - 8, y: (box?.y ?? 0) - 8, width: (box?.width ?? 0) + 16, height: (box?.height ?? 0) + 16 };
    await expect(page).toHaveScreenshot('focus.png', { clip, maxDiffPixels: 20 });
    await page.locator(':focus').blur();
    await expect(page).not.toHaveScreenshot('focus.png', { clip, maxDiffPixels: 20 });

    // It bites: two pixels of space, or a line that is gone, are seen.
    for (const [token, value] of [
        ['--space-2', '10px'],
        ['--line', 'transparent'],
    ] as const) {
        const sections = page.locator('main > section');
        await sections.evaluateAll((all, [t, v]) => all.forEach((s) => (s as HTMLElement).style.setProperty(t, v)), [
            token,
            value,
        ] as const);
        await expect(page).not.toHaveScreenshot('controls.png', FEW);
        await sections.evaluateAll((all, t) => all.forEach((s) => (s as HTMLElement).style.removeProperty(t)), token);
    }
});

test('surroundings follow the system until one is chosen, and then stay', async ({ page }) => {
    const ground = () => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
    await page.emulateMedia({ colorScheme: 'dark' });
    await page.goto('/account');
    const surroundings = page.getByRole('radiogroup', { name: 'Surroundings' });
    await expect(surroundings.getByRole('radio', { name: 'dark' })).toBeChecked();
    expect(await ground()).toBe('rgb(28, 28, 28)');
    expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
    await page.emulateMedia({ colorScheme: 'light' });
    await expect.poll(ground).toBe('rgb(230, 230, 230)');
    await surroundings.getByText('middle', { exact: true }).click();
    await page.emulateMedia({ colorScheme: 'dark' });
    await page.reload();
    await expect(surroundings.getByRole('radio', { name: 'middle' })).toBeChecked();
    expect(await ground()).toBe('rgb(128, 128, 128)');
});
