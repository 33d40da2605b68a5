import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { focused, history, open, saved, shown, stage, zonesList } from './photoPlace';

test('every way of looking has its key, they combine, and are remembered', async ({ page }) => {
    await open(page, 'Spots');
    await stage(page).focus();
    await page.keyboard.press('s');
    await expect(shown(page)).toHaveAttribute('src', /tone=steps&steps=9/);
    await page.keyboard.press('q');
    await page.keyboard.press('m');
    await page.keyboard.press('5');
    await expect(shown(page)).toHaveAttribute('src', /squint=1.*only=5/);
    await expect(page.getByRole('button', { name: /^Value 5,/ })).toHaveAttribute('aria-pressed', 'true');
    await expect(shown(page)).toHaveCSS('transform', 'matrix(-1, 0, 0, 1, 0, 0)');
    await page.keyboard.press('l');
    await expect(shown(page)).toHaveAttribute('src', /lightest=1.*only=5/);
    await page.keyboard.press('r');
    await expect(page.getByLabel('Side of a square of the grid in millimetres')).toBeVisible();
    await page.reload();
    await expect(shown(page)).toHaveAttribute('src', /tone=steps&steps=9&lightest=1&squint=1.*only=5/);

    // A square that is none is refused in words, and the grid stays.
    const square = page.getByLabel('Side of a square of the grid in millimetres');
    await square.fill('5000');
    await square.press('Enter');
    await expect(page.getByRole('alert').filter({ hasText: '2 to 1000 mm' })).toBeVisible();
    await stage(page).focus();
    await page.keyboard.press('Escape');
    await expect(shown(page)).toHaveAttribute('src', /tone=colour.*squint=0/);
    await expect(shown(page)).toHaveCSS('transform', 'matrix(1, 0, 0, 1, 0, 0)');
});

test('spots are kept by name, found again, moved, saved as files, and undone', async ({ page }) => {
    await open(page, 'Spots');
    const rows = page.getByRole('button', { name: /^Spot \d+,/ });
    await expect(rows.first()).toBeVisible();
    const before = await rows.count();
    const box = await stage(page).boundingBox();
    await stage(page).click({ position: { x: (box?.width ?? 0) * 0.93, y: (box?.height ?? 0) * 0.15 } });
    await page.getByLabel('Name of the new spot').fill('tar in the shade');
    await page.getByLabel('Name of the new spot').press('Enter');
    await expect(rows).toHaveCount(before + 1);
    await expect(page.getByRole('button', { name: /^Spot \d+, tar in the shade: value [34] of 9/ })).toHaveCount(1);
    await rows.first().click();
    await expect(page.getByText(/^Ring wide at 1440/)).toBeAttached();
    const download = page.waitForEvent('download');
    await page.getByRole('link', { name: 'Save the spots as gpl' }).click();
    expect((await download).suggestedFilename()).toBe('low-water-spots.gpl');
    await history(page, 'Undo: keep the spot').click();
    await expect(rows).toHaveCount(before);
});

test('two photos lie side by side with the same spots, and their differences are said; a wrong neutral is refused', async ({ page }) => {
    await open(page, 'Photos');
    await expect(page.getByTestId('comparison')).toContainText('“evening” is warmer by', { timeout: 15_000 });
    await expect(page.getByRole('application', { name: /^Photo evening/ })).toBeVisible();
    await expect(page.getByRole('region', { name: 'Differences between the photos' })).toContainText('rope, lit side');
    // The ring on rust: no white and no grey.
    const box = await stage(page).boundingBox();
    await stage(page).click({ position: { x: (box?.width ?? 0) * 0.693, y: (box?.height ?? 0) * 0.444 } });
    await page.keyboard.press('-');
    await page.getByRole('button', { name: 'Use the ring as white or grey' }).click();
    const alert = page.getByRole('alert').filter({ hasText: /white or grey|lighter/ });
    const balanced = page.getByText(/^Balanced on/);
    await expect(alert.or(balanced).first()).toBeVisible();
    if (await balanced.isVisible()) {
        await history(page, 'Undo').click();
        await expect(balanced).toBeHidden();
    }
});

test('a touch is put on the photo, named, moved by keys, dropped, and every step taken back', async ({ page }) => {
    await open(page, 'Zones');
    await zonesList(page).filter({ hasText: 'plank' }).getByRole('button').click();
    const touches = page.getByRole('group', { name: 'Touches' });
    const names = touches.getByRole('textbox');
    const before = await names.count();
    await page.getByRole('button', { name: 'Add a touch' }).click();
    await expect(page.getByText(/^Press the colour of/)).toBeVisible();
    const box = (await stage(page).boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
    const put = saved(page);
    await page.mouse.click(box.x + 0.8 * box.width, box.y + 0.5 * box.height);
    await put;
    await expect(names).toHaveCount(before + 1);
    const renamed = saved(page);
    await names.last().fill('rust on it');
    await names.last().press('Enter');
    await renamed;
    await page.getByRole('button', { name: 'Move rust on it', exact: true }).press('Enter');
    await focused(page, stage(page));
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Space');
    const moved = saved(page);
    await page.keyboard.press('Enter');
    await moved;
    await expect(page.getByRole('button', { name: 'Remove rust on it' })).toBeVisible();
    await page.getByRole('button', { name: 'Remove rust on it' }).press('Enter');
    await expect(names).toHaveCount(before);
    for (let i = 0; i < 4; i++) {
        const undone = saved(page);
        await history(page, 'Undo: change the touches').click();
        await undone;
    }
    await expect(names).toHaveCount(before);
});

test('a border that grades is made sharp, shown so, left to the photo again, and both are taken back', async ({ page }) => {
    await open(page, 'Zones');
    await zonesList(page).getByRole('button', { name: 'stone, worn edge', exact: true }).click();
    const borders = page.getByLabel('How stone, worn edge meets its neighbours');
    const grade = borders.locator('option').first();
    await expect(grade).toHaveText(/^2 of \d grade …$/);
    const one = borders.locator('optgroup[label$="soft in the photo"] option').filter({ hasText: 'make it sharp' }).first();
    const sharp = saved(page);
    await borders.selectOption((await one.getAttribute('value')) ?? '');
    await sharp;
    await expect(borders.locator('optgroup[label$="sharp (your choice)"]')).toHaveCount(1);
    await expect(grade).toHaveText(/^1 of \d grade …$/);
    // By keys alone.
    const left = saved(page);
    await borders.focus();
    await page.keyboard.press('a');
    await left;
    await expect(grade).toHaveText(/^2 of \d grade …$/);
    for (const words of ['Undo: leave the border', 'Undo: make the border sharp']) {
        const undone = saved(page);
        await history(page, words).click();
        await undone;
    }
    await expect(borders.locator('optgroup[label$="as you said"]')).toHaveCount(0);
});

test('one piece of a zone becomes a zone of its own, by name or under the ring, and both are taken back', async ({ page }) => {
    await open(page, 'Zones');
    await expect(zonesList(page).first()).toBeVisible();
    const before = await zonesList(page).count();
    await zonesList(page).filter({ hasText: 'tar and deep shadow' }).getByRole('button').click();
    const part = page.getByLabel('Make a piece of tar and deep shadow a zone of its own');
    const named = saved(page);
    await part.selectOption({ index: 2 });
    await named;
    await expect(zonesList(page)).toHaveCount(before + 1);
    await expect(zonesList(page).filter({ hasText: 'tar and deep shadow 2' })).toHaveCount(1);
    // A stake before the sea, pointed at; and then the sea, where no piece of it lies.
    const box = (await stage(page).boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
    await page.mouse.click(box.x + 0.4586 * box.width, box.y + 0.22 * box.height);
    const pointed = saved(page);
    await part.selectOption({ label: 'the piece under the ring' });
    await pointed;
    await expect(zonesList(page)).toHaveCount(before + 2);
    await page.mouse.click(box.x + 0.2 * box.width, box.y + 0.08 * box.height);
    await zonesList(page).filter({ hasText: 'tar and deep shadow' }).first().getByRole('button').click();
    await part.selectOption({ label: 'the piece under the ring' });
    await expect(page.getByRole('alert').filter({ hasText: 'There is no piece of "tar and deep shadow" there' })).toBeVisible();
    for (let i = 0; i < 2; i++) {
        const undone = saved(page);
        await history(page, 'Undo: make a piece').click();
        await undone;
    }
    await expect(zonesList(page)).toHaveCount(before);
});

test('what is done while the connection is gone is kept, said, and made when it is back', async ({ page }) => {
    await open(page, 'Zones');
    await zonesList(page).filter({ hasText: 'sea' }).getByRole('button').click();
    // First no connection, then a proxy whose application is gone, then a fault: none of them is a refusal.
    let tries = 0;
    await page.route('**/survey/changes', (route) =>
        [() => route.abort(), () => route.fulfill({ status: 502, body: '<html>' }), () => route.fulfill({ status: 500, body: '' })][
            Math.min(2, tries++)
        ]?.(),
    );
    const name = page.getByLabel('Name of the zone');
    await name.fill('the sea');
    await name.press('Enter');
    const waiting = page.getByTestId('waiting');
    await expect(waiting).toContainText('One change is waiting to be sent.');
    await page.getByRole('button', { name: 'Send now' }).click();
    await page.getByRole('button', { name: 'Send now' }).click();
    await expect.poll(() => tries).toBe(3);
    await expect(waiting).toContainText('Saved on this device');
    await page.unroute('**/survey/changes');
    // Not even a reload loses it.
    await page.reload();
    await expect(zonesList(page).filter({ hasText: 'the sea' })).toHaveCount(1);
    await history(page, 'Undo: rename').click();
    await expect(zonesList(page).filter({ hasText: 'the sea' })).toHaveCount(0);
});

test('a pasted picture becomes a study of its own', async ({ page }) => {
    await open(page, 'Spots');
    const taken = page.waitForResponse((r) => r.request().method() === 'POST' && r.url().endsWith('/api/studies') && r.status() === 201);
    await page.evaluate(async () => {
        const canvas = new OffscreenCanvas(300, 200);
        const context = canvas.getContext('2d');
        if (context !== null) {
            context.fillStyle = '#5f8f86';
            context.fillRect(0, 0, 300, 200);
        }
        const clipboard = new DataTransfer();
        clipboard.items.add(new File([await canvas.convertToBlob({ type: 'image/png' })], 'pasted glass.png', { type: 'image/png' }));
        window.dispatchEvent(new ClipboardEvent('paste', { clipboardData: clipboard }));
    });
    const { id } = (await (await taken).json()) as { id: number };
    await expect(page).toHaveURL(new RegExp(`/photo/${id}$`));
    await expect(page.getByTestId('reading')).toContainText(/green/);
});

test('neighbours that end alike are tried in grey and left again', async ({ page }) => {
    await open(page, 'Zones');
    const tries = page.getByRole('button', { name: /^Preview in grey/ });
    await tries.first().click();
    await expect(shown(page)).toHaveAttribute('src', /tone=grey.*push=\d+&by=-?1/);
    await tries.first().click();
    await expect(shown(page)).toHaveAttribute('src', /tone=colour/);
});

test('has no serious accessibility faults in any of its columns, and fits the screen', async ({ page }) => {
    for (const column of ['Spots', 'Zones', 'Photos']) {
        await open(page, column);
        if (column === 'Zones') {
            await zonesList(page).first().getByRole('button').click();
        }
        await page.waitForTimeout(500);
        const found = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']).analyze();
        expect(
            found.violations
                .filter((v) => v.impact === 'serious' || v.impact === 'critical')
                .map((v) => `${column} ${v.id}: ${v.nodes.map((n) => n.html).join(' ')}`),
        ).toEqual([]);
        const size = await page.evaluate(() => [document.documentElement.scrollWidth, document.documentElement.scrollHeight]);
        expect(size[0], column).toBe(1280);
        expect(size[1], column).toBeLessThanOrEqual(800);
    }
});
