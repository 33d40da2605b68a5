import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Locator, type Page } from '@playwright/test';
import { beside, open, passes, picture, planned, sequence, zones } from './planPlace';
import { unseenPhoto, walkedTo } from './unseen';

const pdf = async (page: Page, name: string): Promise<void> => {
    const answer = await page.request.get((await page.getByRole('link', { name }).getAttribute('href')) ?? '');
    expect(answer.headers()['content-type']).toBe('application/pdf');
};

/** Told in the report: machines are too noisy for a limit, which ./bench --plan knows. */
const took = (what: string, began: number): void =>
    void test.info().annotations.push({ type: what, description: `${((Date.now() - began) / 1000).toFixed(1)} s` });

test('the demo goes from zones to a printed plan, and is argued with by mouse', async ({ page }) => {
    test.setTimeout(300_000);
    const faults: string[] = [];
    page.on('pageerror', (e) => faults.push(e.message));
    const began = Date.now();
    await open(page);
    const begin = page.getByRole('button', { name: /^Plan / });
    if (await begin.isVisible()) {
        await begin.click();
        await expect(page.getByRole('progressbar')).toBeVisible();
        // Usable from the first zone on.
        await expect(
            zones(page)
                .filter({ hasText: /error \d/ })
                .first(),
        ).toBeVisible({ timeout: 40_000 });
    }
    await planned(page);
    await expect(picture(page)).toBeVisible();
    await beside(page, 'Print & files');
    for (const sheet of ['Palette card', 'Zone sheets', 'Step sheet']) {
        await pdf(page, sheet);
    }
    took('from zones to a printed plan', began);

    // From the bare paper on, session by session as the desk lays it, and step by step; the errors can be seen.
    const far = page.getByLabel('How far', { exact: true });
    await expect(page.getByRole('radio', { name: 'Session' })).toBeChecked({ timeout: 20_000 });
    await far.fill('0');
    await expect(picture(page)).toHaveAttribute('src', /step=0/);
    await far.press('ArrowRight');
    await expect(picture(page)).toHaveAttribute('src', /work=\d+&order=/, { timeout: 20_000 });
    await expect(page.getByText(/^About \d+ minutes: /)).toBeVisible();
    await page.getByRole('radiogroup', { name: 'The picture after each' }).getByText('Step').click();
    await far.press('ArrowRight');
    await expect(picture(page)).toHaveAttribute('alt', /^the picture after step \d+ of \d+/, { timeout: 20_000 });
    await page.getByRole('radiogroup', { name: 'How it is looked at' }).getByText('Errors').click();
    await expect(page.getByRole('img', { name: /^where the plan differs/ })).toHaveAttribute('src', /step=error/, { timeout: 20_000 });
    await page.getByRole('radiogroup', { name: 'How it is looked at' }).getByText('Colour').click();
    // From near, by keyboard, under a lamp; and back.
    await page.getByRole('button', { name: 'Zoom in' }).click();
    const glass = page.getByRole('img', { name: /^the drawing from near/ });
    await expect(page.getByText('36 × 27 mm of the drawing, enlarged')).toBeVisible({ timeout: 20_000 });
    await page.getByRole('application').press('ArrowRight');
    await expect(glass).toHaveAttribute('src', /x=0.5167/, { timeout: 20_000 });
    await page.getByRole('combobox', { name: 'Light' }).selectOption('A');
    await expect(glass).toHaveAttribute('src', /light=A/, { timeout: 20_000 });
    await expect(page.getByText(/^Under a warm lamp/)).toBeVisible({ timeout: 20_000 });
    await page.getByRole('button', { name: 'Zoom out' }).click();
    await expect(glass).toHaveCount(0);
    await expect(page.getByRole('img', { name: /^Value run, darkest first/ })).toBeVisible();

    // A pass is added, graded and changed in one shade; what comes of it follows; it is held, and undone.
    await beside(page, 'Zones');
    await zones(page).filter({ hasText: 'rope' }).click();
    await expect(sequence(page)).toContainText(/Likely error on paper: \d/);
    await expect(sequence(page)).toContainText(/Without this pass the/);
    const before = await sequence(page).getByRole('status').first().innerText();
    const count = await passes(page).count();
    await page.getByLabel('Add a pass at the end').fill('745 Bollard iron');
    await expect(passes(page)).toHaveCount(count + 1);
    await expect(sequence(page).getByRole('status').first()).not.toHaveText(before);
    await expect(sequence(page)).toContainText('Your own sequence.');
    await page.getByRole('button', { name: 'steeper' }).click();
    await expect(page.getByRole('button', { name: 'Undo: a pass steeper, "rope"' })).toBeVisible();
    await page.getByRole('button', { name: new RegExp(`^Pass ${count + 1} in the mid: light`) }).click();
    await page.getByRole('radio', { name: 'firm' }).click({ force: true });
    await expect(page.getByRole('button', { name: new RegExp(`^Pass ${count + 1} in the mid: firm, leaves`) })).toBeVisible();
    for (const done of ['change the sequence', 'a pass steeper', 'change the sequence']) {
        await page.getByRole('button', { name: `Undo: ${done}, "rope"` }).click();
    }
    await expect(passes(page)).toHaveCount(count);
    await expect(sequence(page)).toContainText('Planned:');
    await page.getByRole('button', { name: 'Compare sequences' }).click();
    await expect(page.getByRole('button', { name: /^Use / }).nth(1)).toBeVisible({ timeout: 20_000 });

    // A fade across it, by the mouse.
    await page.getByRole('button', { name: 'Fade' }).click();
    const box = await page.getByRole('application').boundingBox();
    const at = (x: number, y: number) => [(box?.x ?? 0) + (box?.width ?? 0) * x, (box?.y ?? 0) + (box?.height ?? 0) * y] as const;
    await page.mouse.move(...at(0.42, 0.64));
    await page.mouse.down();
    await page.mouse.move(...at(0.4, 0.71), { steps: 5 });
    await page.mouse.up();
    await expect(page.getByRole('region', { name: 'The fade' })).toContainText(
        'leave the marks, and let them follow the form; do not burnish',
    );
    await page.getByRole('button', { name: 'Close fade' }).click();

    // Fewer pencils are planned by themselves, and undone.
    await beside(page, 'Palette');
    await expect(page.getByRole('list', { name: 'Pencils in the plan' }).getByRole('listitem').nth(8)).toBeVisible();
    await page.getByRole('button', { name: 'Exactly three: light, mid, dark' }).click();
    await expect(page.getByText(/^3 pencils in this plan/)).toBeVisible({ timeout: 60_000 });
    await planned(page);
    await expect(page.getByText(/these lose most/)).toBeVisible();
    await page.getByRole('button', { name: /^Undo: exactly three/ }).click();
    await planned(page);
    await expect(page.getByRole('list', { name: 'Pencils in the plan' }).getByRole('listitem').nth(8)).toBeVisible();
    expect(faults).toEqual([]);
});

test('the unseen photo goes from zones to a printed plan wholly by keyboard', async ({ page }) => {
    test.setTimeout(240_000);
    await page.goto('/photo');
    const chooser = page.waitForEvent('filechooser');
    await walkedTo(page, page.getByRole('button', { name: 'Another photo' }));
    await page.keyboard.press('Enter');
    const taken = page.waitForResponse((r) => r.request().method() === 'POST' && r.url().endsWith('/api/studies') && r.status() === 201);
    await (await chooser).setFiles(unseenPhoto());
    const { id } = (await (await taken).json()) as { id: number };
    await expect(page).toHaveURL(new RegExp(`/photo/${id}$`));
    await walkedTo(page, page.getByRole('radiogroup', { name: 'Beside the photo' }).getByRole('radio', { name: 'Recipes' }));
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowRight');
    await walkedTo(page, page.getByRole('button', { name: 'Propose zones' }));
    await page.keyboard.press('Enter');
    await expect(page.getByRole('list', { name: 'Zones by size' }).getByRole('listitem').first()).toBeVisible({ timeout: 20_000 });

    const began = Date.now();
    await walkedTo(page, page.getByRole('link', { name: 'Plan', exact: true }));
    await page.keyboard.press('Enter');
    await walkedTo(page, page.getByRole('button', { name: 'Plan the picture' }));
    await page.keyboard.press('Enter');
    await planned(page);
    await walkedTo(page, page.getByRole('button', { name: 'lighter', exact: true }));
    await walkedTo(page, page.getByRole('button', { name: 'Keep this sequence' }));
    await page.keyboard.press('Enter');
    await expect(sequence(page)).toContainText('Your own sequence.');
    await page.keyboard.press('Escape');
    await walkedTo(page, page.getByRole('radiogroup', { name: 'Beside the picture' }).getByRole('radio', { name: 'Zones' }));
    await page.keyboard.press('ArrowLeft');
    await pdf(page, 'Step sheet');
    took('from zones to a printed plan', began);
    await page.keyboard.press('Control+z');
    await expect(page.getByRole('button', { name: 'Undo', exact: true })).toBeDisabled();
    // A wrong input: a version wants a name only where something was decided.
    await expect(page.getByText('You haven’t changed anything in this plan yet.')).toBeVisible();
});

test('a pass is put where another one is, by the mouse and by the keyboard', async ({ page }) => {
    await open(page);
    await planned(page);
    await zones(page).filter({ hasText: 'sea' }).click();
    const numbers = () => passes(page).locator('b').allInnerTexts();
    const before = await numbers();
    await page.getByLabel('Add a pass at the end').fill('745 Bollard iron');
    await expect.poll(numbers).toEqual([...before, '745']);
    // What each pass is for comes with the answer, and makes its row higher or lower.
    await page.waitForLoadState('networkidle');
    const grip = (at: number): Locator => page.getByRole('button', { name: `Move pass ${at}`, exact: true });
    const middle = async (at: number): Promise<[number, number]> => {
        const box = await grip(at).boundingBox();
        return [(box?.x ?? 0) + 8, (box?.y ?? 0) + 20];
    };
    await grip(before.length + 1).scrollIntoViewIfNeeded();
    await page.mouse.move(...(await middle(before.length + 1)));
    await page.mouse.down();
    await page.mouse.move(...(await middle(2)), { steps: 4 });
    await page.mouse.move(...(await middle(1)), { steps: 4 });
    await page.mouse.up();
    await expect.poll(numbers).toEqual(['745', ...before]);

    const place = (at: number) => expect(page.getByRole('row', { name: `Place of pass ${at}` })).toBeFocused();
    await grip(1).focus();
    await page.keyboard.press('Enter');
    await place(1);
    await page.keyboard.press('Tab');
    await place(2);
    await page.keyboard.press('Enter');
    await expect.poll(numbers).toEqual([before[0], '745', ...before.slice(1)]);
    // Let go of with Escape, it stays.
    await grip(1).focus();
    await page.keyboard.press('Enter');
    await place(1);
    await page.keyboard.press('Escape');
    await expect.poll(numbers).toEqual([before[0], '745', ...before.slice(1)]);
    for (let i = 0; i < 3; i++) {
        await page.getByRole('button', { name: 'Undo: change the sequence, "sea"' }).click();
    }
    await expect.poll(numbers).toEqual(before);
});

test('has no serious accessibility faults beside any of its parts, and fits the screen', async ({ page }) => {
    test.slow();
    await open(page);
    for (const what of ['Zones', 'Palette', 'Method', 'Print & files']) {
        await beside(page, what);
        await page.waitForTimeout(1500);
        const found = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']).analyze();
        expect(
            found.violations
                .filter((v) => v.impact === 'serious' || v.impact === 'critical')
                .map((v) => `${v.id}: ${v.nodes.map((n) => n.html).join(' ')}`),
        ).toEqual([]);
        expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(1280);
    }
    await page.setViewportSize({ width: 820, height: 1180 });
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(820);
});
