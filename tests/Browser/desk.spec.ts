import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { head, laid, number, sitDown, where } from './deskPlace';

// Plays sessions beside the drawing on the demo, which is half done.

test('a session: laid by key and by touch, skipped, taken back, over a reload', async ({ page }) => {
    await page.goto('/desk');
    const toLayOut = page.getByRole('region', { name: 'Laying out' });
    await expect(toLayOut.getByText('blade going away from the thumb')).toBeVisible();
    const numbers = await toLayOut.locator('li b').allInnerTexts();
    await page.getByRole('button', { name: 'Start session' }).click();
    await expect(number(page)).toHaveText(new RegExp(numbers.join('|')));

    const first = await where(page);
    await page.keyboard.press('Space');
    await expect.poll(() => where(page)).not.toBe(first);
    const second = await where(page);
    await laid(page).click();
    await expect.poll(() => where(page)).not.toBe(second);
    const third = await where(page);
    await page.getByRole('button', { name: 'Skip pass' }).click();
    await expect.poll(() => where(page)).not.toBe(third);
    await page.keyboard.press('Backspace');
    await expect.poll(() => where(page)).toBe(third);

    await page.reload();
    await expect.poll(() => where(page)).toBe(third);
    await page.getByRole('button', { name: 'Undo last tick' }).click();
    await expect.poll(() => where(page)).toBe(second);
    await page.keyboard.press('Control+z');
    await expect.poll(() => where(page)).toBe(first);
});

test('something else is laid, and what is to come is found from what lies there', async ({ page }) => {
    await sitDown(page);
    const before = await where(page);
    await page.getByRole('button', { name: 'I did something else' }).click();
    const part = page.getByRole('region', { name: 'Something else' });
    for (const select of await part.locator('.pressures select').all()) {
        await select.selectOption('');
    }
    await expect(part.getByRole('alert')).toContainText('Skip');
    await expect(part.getByRole('button', { name: 'Save what I did' })).toBeDisabled();
    await part.getByLabel('With').selectOption({ label: 'solvent' });
    await part.locator('.pressures select').first().selectOption('medium');
    await part.getByRole('button', { name: 'Save what I did' }).click();

    // Wet: another zone comes first, and the timer goes on over a reload.
    const timer = page.getByRole('timer');
    await expect(timer).toHaveText(/^[45]:\d\d$/, { timeout: 15_000 });
    await expect.poll(() => where(page)).not.toBe(before);
    await page.reload();
    await expect(timer).toHaveText(/^[45]:\d\d$/);
    await page.getByRole('button', { name: 'Undo last tick' }).click();
    await expect(timer).toHaveCount(0);
    await expect.poll(() => where(page)).toBe(before);
});

test('before a zone is begun its own passes are tried on a scrap', async ({ page }) => {
    await sitDown(page);
    // The first pass of a zone that nothing lies in yet.
    const toTry = page.getByRole('link', { name: 'Try on a scrap first' });
    let ticks = 0;
    for (; ticks < 40 && (await toTry.count()) === 0; ticks++) {
        const before = await where(page);
        await page.keyboard.press('Space');
        await expect.poll(() => where(page)).not.toBe(before);
    }
    const zone = /“(.+?)”/.exec((await page.getByAltText(/^the photo, “.+” in it$/).getAttribute('alt')) ?? '')?.[1] ?? '';
    const desk = page.url();
    await toTry.click();
    const which = page.getByRole('combobox', { name: 'Which strips' });
    await expect(which).toHaveValue('zone');
    await expect(which.locator('option:checked')).toHaveText(`as the plan lays “${zone}”, shade by shade`);
    await expect(page.getByRole('radiogroup', { name: /^Strip 1:/ })).toBeVisible();
    await page.goto(desk);
    for (; ticks > 0; ticks--) {
        const before = await where(page);
        await page.keyboard.press('Backspace');
        await expect.poll(() => where(page)).not.toBe(before);
    }
});

test('how one works: another way and a shorter session change what is to come; a wrong length says so', async ({ page }) => {
    await sitDown(page);
    const before = await head(page).innerText();
    await page.getByRole('button', { name: 'Settings' }).click();
    const field = page.getByLabel('Session, minutes');
    await field.fill('5');
    await field.press('Enter');
    await expect(page.getByText('10 to 480 minutes.')).toBeVisible();
    await field.fill('20');
    await field.press('Enter');
    await expect.poll(() => head(page).innerText()).not.toBe(before);
    await page.getByText('left hand', { exact: true }).click();
    const photo = page.locator('.photo');
    await expect.poll(async () => ((await photo.boundingBox())?.x ?? 0) > 500).toBe(true);
    await page.getByText('right hand', { exact: true }).click();
    await field.fill('60');
    await field.press('Enter');
    await expect.poll(() => head(page).innerText()).toBe(before);
});

test('a place to stop, and whether it is finished', async ({ page }) => {
    await sitDown(page);
    await page.getByRole('button', { name: 'Finished?' }).click();
    const finished = page.getByRole('region', { name: 'Finished?' });
    await expect(finished.getByRole('heading')).toHaveText(/done|begun|Halfway/);
    await expect(finished.getByRole('listitem').first()).toContainText('to come');
    await finished.getByRole('listitem').first().getByRole('button').click();
    await expect(page.getByAltText(/^the photo, “.+” in it$/)).toBeVisible();
    await finished.getByRole('button', { name: 'Back to the desk' }).click();
    await page.getByRole('button', { name: 'Stop here' }).click();
    await expect(page.getByRole('region', { name: 'Stop here' })).toContainText('wash your hands');
    await page.getByRole('button', { name: 'Stop for today' }).click();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('heading', { name: /Today/ })).toBeVisible();
});

test('the number is read from 70 cm, and nothing stands where the hand rests', async ({ page }) => {
    // A tablet of 10.1 inches, both ways round: 0.17 mm a pixel.
    const mm = 216.5 / 1280;
    for (const [width, height] of [
        [1280, 800],
        [800, 1280],
    ] as const) {
        await page.setViewportSize({ width, height });
        await sitDown(page);
        const size = await number(page).evaluate((e) => parseFloat(getComputedStyle(e).fontSize));
        // A figure is 0.727 of its size high.
        expect(size * 0.727 * mm).toBeGreaterThan(8);
        const lowest = await page.evaluate(() =>
            Math.max(
                ...[...document.querySelectorAll('main button, main img, main table, main p')].map((e) => e.getBoundingClientRect().bottom),
            ),
        );
        expect(lowest).toBeLessThan(height - 40);
        await page.evaluate(() => sessionStorage.clear());
    }
});

test('outlines to transfer are printed at their real size, mirrored, and under the grid', async ({ page }) => {
    await page.goto('/plan');
    await page.getByRole('radiogroup', { name: 'Beside the picture' }).getByText('Print & files', { exact: true }).click();
    await page.getByRole('combobox', { name: 'Size of the paper' }).selectOption('letter');
    const sizes: number[] = [];
    for (const name of ['Outlines', 'Outlines, mirrored', 'Outlines with the grid']) {
        const href = await page.getByRole('link', { name, exact: true }).getAttribute('href');
        const answer = await page.request.get(href ?? '');
        expect(answer.headers()['content-type']).toContain('application/pdf');
        const pdf = await answer.body();
        // The demo is 297 mm wide: two pages of Letter.
        expect(pdf.toString('latin1').match(/\/Type \/Page\b/g)).toHaveLength(2);
        sizes.push(pdf.length);
    }
    expect(new Set(sizes).size).toBe(3);
});

test('has no serious accessibility faults in any of its states, and fits the screen', async ({ page }) => {
    const faults = async (state: string) => {
        const found = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']).analyze();
        const serious = found.violations.filter((v) => v.impact === 'serious' || v.impact === 'critical');
        expect(serious.map((v) => `${state} ${v.id}: ${v.nodes.map((n) => n.html).join(' ')}`)).toEqual([]);
        expect(await page.evaluate(() => document.documentElement.scrollWidth), state).toBe(1280);
    };
    await page.goto('/desk');
    await page.getByRole('button', { name: 'Start session' }).waitFor();
    await faults('laying out');
    await page.getByRole('button', { name: 'Start session' }).click();
    await laid(page).waitFor();
    await faults('a pass');
    await page.getByRole('button', { name: 'Settings' }).click();
    await page.keyboard.press('o');
    await faults('something else');
    await page.getByRole('button', { name: 'Finished?' }).click();
    await page.getByRole('region', { name: 'Finished?' }).getByRole('listitem').first().waitFor();
    await faults('finished');
});

test('the desk by keyboard alone: begun, laid, done otherwise, stopped', async ({ page }) => {
    await page.goto('/desk');
    await page.getByRole('button', { name: 'Start session' }).focus();
    await page.keyboard.press('Enter');
    const first = await where(page);
    await page.keyboard.press('Space');
    await expect.poll(() => where(page)).not.toBe(first);
    await page.keyboard.press('o');
    const part = page.getByRole('region', { name: 'Something else' });
    await part.getByLabel('With').focus();
    await page.keyboard.press('Tab');
    await page.keyboard.press('ArrowDown');
    await part.getByRole('button', { name: 'Back to the pass' }).focus();
    await page.keyboard.press('Enter');
    await expect(laid(page)).toBeVisible();
    await page.keyboard.press('Backspace');
    await expect.poll(() => where(page)).toBe(first);
    await page.getByRole('button', { name: 'Stop here' }).focus();
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Stop for today' }).focus();
    await page.keyboard.press('Enter');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('heading', { name: /Today/ })).toBeVisible();
});
