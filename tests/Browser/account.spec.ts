import { expect, test, type Page } from '@playwright/test';

const FIRST = 'long enough 10';
const SECOND = 'another long one';

async function signIn(page: Page, email: string, password: string, stays: boolean) {
    await page.goto('/sign-in');
    await page.getByLabel('E-mail address').fill(email);
    await page.getByLabel('Password').fill(password);
    await page.getByLabel('Stay signed in on this device').setChecked(stays);
    await page.keyboard.press('Enter');
}

test('an account: its password changed by keyboard, whoever is elsewhere signed out, and in the end all of it deleted', async ({
    browser,
}) => {
    const visitor = { extraHTTPHeaders: { 'X-Forwarded-For': '203.0.113.9' } };
    const [here, there] = [await browser.newContext(visitor), await browser.newContext(visitor)];
    const [page, other] = [await here.newPage(), await there.newPage()];
    const email = `tide-${Date.now().toString()}@example.org`;
    await page.goto('/sign-in');
    await page.getByText('New account').click();
    await page.getByLabel('Your name').fill('Tide');
    await page.getByLabel('E-mail address').fill(email);
    await page.getByLabel('Password').fill(FIRST);
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/\/photo/);
    await signIn(other, email, FIRST, false);
    await expect(other).toHaveURL(/\/photo/);
    // Not to stay: what lets one in ends with the browser.
    expect((await there.cookies()).every((cookie) => cookie.expires === -1)).toBe(true);
    expect((await here.cookies()).some((cookie) => cookie.expires > Date.now() / 1000 + 86_400)).toBe(true);

    await page.getByRole('link', { name: 'Tide' }).click();
    await page.getByLabel('Current password').fill('not this one at all');
    await page.keyboard.press('Tab');
    await page.keyboard.type(SECOND);
    await page.keyboard.press('Enter');
    await expect(page.getByText('That is not the password of this account')).toBeVisible();
    await page.getByLabel('Current password').fill(FIRST);
    await page.keyboard.press('Enter');
    await expect(page.getByText('All other devices are signed out')).toBeVisible();
    await other.reload();
    await expect(other).toHaveURL(/\/sign-in/);
    await page.reload();
    await expect(page.getByText('MB that an account may have here')).toBeVisible();

    await page.getByRole('button', { name: 'Delete account…' }).click();
    await page.getByLabel('Password', { exact: true }).fill(SECOND);
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/\/sign-in/);
    await signIn(page, email, SECOND, true);
    await expect(page.getByRole('alert')).toContainText('is wrong');
    await here.close();
    await there.close();
});
