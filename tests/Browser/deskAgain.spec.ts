import { expect, test } from '@playwright/test';
import type { Desk, Studies } from '../../resources/ts/api/types';
import { laid, sitDown, where } from './deskPlace';
import { beside, serious } from './drawerPlace';

// What the desk does about something that changes while a drawing is under way.

test('a hand is learned in the middle of a drawing: the desk says so, plans it from where it stands, and what lies is kept', async ({
    page,
}) => {
    // All of the picture is planned, as fast as the machine is.
    test.setTimeout(600_000);
    await sitDown(page);
    const desk = page.url();
    const before = await where(page);
    const ticks = async (): Promise<number> => {
        const { studies } = (await (await page.request.get('/api/studies')).json()) as Studies;
        const answer = await page.request.get(`/api/studies/${studies[0]?.id}/desk`);
        return ((await answer.json()) as Desk).zones.reduce((sum, zone) => sum + zone.ticks, 0);
    };
    const there = (await ticks()) + 1;
    await page.keyboard.press('Space');
    await expect.poll(() => where(page)).not.toBe(before);
    // The page goes on at once; what was laid is kept a moment later.
    await expect.poll(ticks).toBe(there);
    await page.goto('/drawer');
    await beside(page, 'My hand');
    const hand = page.getByRole('region', { name: 'My hand' });
    try {
        await hand.getByRole('button', { name: 'Try with a simulated photo' }).click();
        await hand.getByRole('button', { name: /^Learn from \d+ strips$/ }).click({ timeout: 60_000 });
        await expect(hand.getByRole('status').first()).toContainText(/from \d+ strips/, { timeout: 60_000 });

        await page.goto(desk);
        await expect(page.getByText(/No zone is planned yet/)).toBeVisible();
        expect(await serious(page)).toEqual([]);
        await page.getByRole('button', { name: 'Plan it now' }).press('Enter');
        await expect(page.getByRole('progressbar')).toBeVisible({ timeout: 60_000 });
        // Where it does not come to that, what the page said last is told.
        const said = page.getByRole('main').last();
        const planned = async (): Promise<string> => ((await laid(page).isVisible()) ? 'planned' : said.innerText({ timeout: 5_000 }));
        await expect.poll(planned, { timeout: 400_000 }).toBe('planned');
        await expect(page.getByText(/planned yet: a pencil/)).toHaveCount(0);
        expect(await ticks()).toBe(there);
    } finally {
        // Back to the hand of before, for the tests that follow too: what was planned by it is there still.
        await page.goto('/drawer');
        await beside(page, 'My hand');
        await expect(hand.getByRole('status').first()).toContainText(/hand/);
        const even = hand.getByRole('button', { name: 'Use the average hand' });
        // Where nothing was learned there is nothing to undo, and what went wrong before is what is to be told.
        if (await even.isVisible()) {
            await even.click();
        }
        await expect(hand.getByRole('status').first()).toContainText('an average, even hand');
        await page.goto(desk);
        await expect(laid(page)).toBeVisible();
        await page.keyboard.press('Backspace');
        await expect.poll(() => where(page)).toBe(before);
    }
});
