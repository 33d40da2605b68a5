import { expect, test } from '@playwright/test';

const MOST_BYTES = 160_000;

for (const place of ['photo', 'drawer', 'plan', 'desk', 'book', 'sign-in']) {
    test(`opening "${place}" loads what it needs and little more`, async ({ browser }) => {
        // A visitor from elsewhere is led to sign in; all others are let in at this machine.
        const context = await browser.newContext(place === 'sign-in' ? { extraHTTPHeaders: { 'X-Forwarded-For': '203.0.113.9' } } : {});
        const page = await context.newPage();
        const scripts: Promise<number>[] = [];
        page.on('response', (response) => {
            if (response.request().resourceType() === 'script') {
                expect(response.headers()['cache-control']).toContain('immutable');
                scripts.push(
                    response
                        .request()
                        .sizes()
                        .then((s) => s.responseBodySize),
                );
            }
        });
        await page.goto(`/${place}`);
        await expect(page.locator('main')).toBeVisible();
        await page.waitForLoadState('networkidle');
        const bytes = (await Promise.all(scripts)).reduce((sum, n) => sum + n, 0);
        expect(bytes).toBeGreaterThan(50_000);
        expect(bytes).toBeLessThanOrEqual(MOST_BYTES);
        await context.close();
    });
}

test('every place comes back by its address to where one was, and Back leads back', async ({ page }) => {
    await page.goto('/photo');
    const { studies } = (await (await page.request.get('/api/studies')).json()) as { studies: { id: number; name: string }[] };
    await page.goto(`/photo/${studies.find((s) => s.name === 'Low water')?.id ?? 0}`);
    const beside = (name: string) => page.getByRole('radiogroup', { name: 'Beside the photo' }).getByText(name, { exact: true });
    await beside('Zones').click();
    const rope = page.getByRole('list', { name: 'Zones by size' }).getByRole('button', { name: 'rope' });
    await rope.click();
    await page.keyboard.press('g');
    await expect(page).toHaveURL(/beside=zones&zone=\d+&look=tone%3Agrey/);
    const address = page.url();
    await page.evaluate(() => localStorage.clear());
    await page.goto('/drawer');
    await page.goto(address);
    await expect(page.getByLabel('Name of the zone')).toHaveValue('rope');
    await expect(page.getByRole('button', { name: 'Grey (key G)' })).toHaveAttribute('aria-pressed', 'true');
    await beside('Spots').click();
    await expect(page).toHaveURL(/beside=spots/);
    await page.goBack();
    await expect(page.getByLabel('Name of the zone')).toHaveValue('rope');

    await page.goto('/plan?beside=palette');
    await expect(page.getByRole('radio', { name: 'Palette' })).toBeChecked();
    await page.goto('/drawer?beside=lines');
    await expect(page.getByRole('radio', { name: 'Lines' })).toBeChecked();
});
