import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Locator, type Page } from '@playwright/test';
import { unseenPhoto, walkedTo } from './unseen';

const stage = (page: Page): Locator => page.getByRole('application', { name: /^Photo/ }).first();
const shown = (page: Page): Locator => stage(page).locator('img');
const beside = (page: Page, column: string): Promise<void> =>
    page.getByRole('radiogroup', { name: 'Beside the photo' }).getByText(column, { exact: true }).click();
const zonesList = (page: Page): Locator => page.getByRole('list', { name: 'Zones by size' }).getByRole('listitem');
const history = (page: Page, word: string): Locator => page.getByRole('button', { name: new RegExp(`^${word}`) });
const saved = (page: Page) => page.waitForResponse((r) => /\/survey\/(changes|undo|redo)$/.test(r.url()) && r.ok());

async function open(page: Page, column: string): Promise<void> {
    // The newest study opens first where nothing is remembered; these tests are about the demo's.
    const { studies } = (await (await page.request.get('/api/studies')).json()) as { studies: { id: number; name: string }[] };
    await page.goto(`/photo/${studies.find((s) => s.name === 'Low water')?.id ?? ''}`);
    await beside(page, column);
    await expect(page.getByTestId('reading')).toContainText('alue');
}

async function focused(page: Page, locator: Locator): Promise<void> {
    await locator.focus();
    await expect(locator).toBeFocused();
    await page.waitForTimeout(50);
}

test('an unseen photo of 12 megapixels goes from file to named zones with targets by mouse in under three minutes', async ({ page }) => {
    test.slow();
    const file = unseenPhoto();
    const began = Date.now();
    await open(page, 'Zones');
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Another photo' }).click();
    const taken = page.waitForResponse((r) => r.request().method() === 'POST' && r.url().endsWith('/api/studies') && r.status() === 201);
    await (await chooser).setFiles(file);
    const { id } = (await (await taken).json()) as { id: number };
    await expect(page).toHaveURL(new RegExp(`/photo/${id}$`));
    await beside(page, 'Zones');
    await page.getByRole('button', { name: 'Propose zones' }).click();
    await expect(zonesList(page).first()).toBeVisible({ timeout: 15_000 });
    const count = await zonesList(page).count();
    expect(count).toBeGreaterThanOrEqual(6);

    // Chosen on the photo, named, described, and its mid dragged along its own values.
    const box = await stage(page).boundingBox();
    if (box === null) {
        throw new Error('the photo is not on the page');
    }
    const at = (x: number, y: number) => ({ x: box.x + box.width * x, y: box.y + box.height * y });
    await page.mouse.click(at(0.5, 0.12).x, at(0.5, 0.12).y);
    const name = page.getByLabel('Name of the zone');
    await name.fill('the background');
    await name.press('Enter');
    await expect(zonesList(page).filter({ hasText: 'the background' })).toHaveCount(1);
    let done = saved(page);
    await page.getByText('far', { exact: true }).click();
    await done;
    const mid = page.getByRole('group', { name: /^mid of/ });
    const before = await mid.innerText();
    const track = await mid.getByTestId('own-values').boundingBox();
    done = saved(page);
    await page.mouse.click((track?.x ?? 0) + (track?.width ?? 0) * 0.96, (track?.y ?? 0) + (track?.height ?? 0) / 2);
    await done;
    await expect(mid).toContainText('moved');
    expect(await mid.innerText()).not.toBe(before);

    // Split by drawing from the top to the bottom, which parts whatever lies on the line; merged again.
    await page.getByRole('button', { name: 'Split by a line' }).click();
    const [from, to] = [at(0.5, 0.002), at(0.5, 0.998)];
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move((from.x + to.x) / 2, (from.y + to.y) / 2, { steps: 12 });
    done = saved(page);
    await page.mouse.move(to.x, to.y, { steps: 12 });
    await page.mouse.up();
    await done;
    await expect(zonesList(page)).toHaveCount(count + 1);
    done = saved(page);
    await page.getByLabel('Merge another zone into the background').selectOption({ label: 'the background 2' });
    await done;
    await expect(zonesList(page)).toHaveCount(count);

    await page.reload();
    await expect(zonesList(page).filter({ hasText: 'the background' })).toHaveCount(1);
    expect(Date.now() - began).toBeLessThan(180_000);
});

test('the unseen photo goes from file to named zones with targets wholly by keyboard: only keys are pressed', async ({ page }) => {
    test.slow();
    const file = unseenPhoto();
    await open(page, 'Recipes');
    const chooser = page.waitForEvent('filechooser');
    await walkedTo(page, page.getByRole('button', { name: 'Another photo' }));
    await page.keyboard.press('Enter');
    const taken = page.waitForResponse((r) => r.request().method() === 'POST' && r.url().endsWith('/api/studies') && r.status() === 201);
    await (await chooser).setFiles(file);
    const { id } = (await (await taken).json()) as { id: number };
    await expect(page).toHaveURL(new RegExp(`/photo/${id}$`));
    // The photo that was opened is where the keys work next.
    await expect(stage(page)).toBeFocused();
    await page.keyboard.press('Shift+ArrowLeft');

    await walkedTo(page, page.getByRole('radiogroup', { name: 'Beside the photo' }).getByRole('radio', { name: 'Recipes' }));
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowRight');
    await walkedTo(page, page.getByRole('button', { name: 'Propose zones' }));
    await page.keyboard.press('Enter');
    await expect(zonesList(page).first()).toBeVisible({ timeout: 15_000 });
    expect(await zonesList(page).count()).toBeGreaterThanOrEqual(6);
    await walkedTo(page, zonesList(page).first().getByRole('button'));
    await page.keyboard.press('Enter');
    await walkedTo(page, page.getByLabel('Name of the zone'));
    await page.keyboard.press('Control+a');
    await page.keyboard.type('wall at the back');
    let done = saved(page);
    await page.keyboard.press('Enter');
    await done;
    await expect(zonesList(page).first()).toContainText('wall at the back');
    await walkedTo(page, page.getByRole('slider', { name: /^mid/ }));
    done = saved(page);
    await page.keyboard.press('ArrowRight');
    await done;
    await expect(page.getByRole('group', { name: /^mid of/ })).toContainText('moved');
    await page.reload();
    await expect(zonesList(page).first()).toContainText('wall at the back');
});

test('the same wholly by keyboard: zones proposed, chosen, named, split, moved, undone and done again', async ({ page }) => {
    test.slow();
    await open(page, 'Recipes');
    const choice = page.getByRole('radiogroup', { name: 'Beside the photo' }).getByRole('radio', { name: 'Recipes' });
    await focused(page, choice);
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowRight');
    await expect(zonesList(page).first()).toBeVisible();
    let done = saved(page);
    await focused(page, page.getByRole('button', { name: 'Propose anew' }));
    await page.keyboard.press('Enter');
    await done;
    const count = await zonesList(page).count();
    // Down the list with arrows.
    await focused(page, zonesList(page).first().getByRole('button'));
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('ArrowUp');
    await page.keyboard.press('Enter');
    await focused(page, page.getByLabel('Name of the zone'));
    await page.keyboard.press('Control+a');
    done = saved(page);
    await page.keyboard.type('all the water');
    await page.keyboard.press('Enter');
    await done;
    await expect(zonesList(page).first()).toContainText('all the water');
    done = saved(page);
    await focused(page, page.getByRole('slider', { name: /^mid/ }));
    await page.keyboard.press('ArrowRight');
    await done;

    // A line across: corners set with Space where the ring is, ended with Enter.
    await focused(page, page.getByRole('button', { name: 'Split by a line' }));
    await page.keyboard.press('Enter');
    await expect(page.getByText('Draw a line across')).toBeVisible();
    await focused(page, stage(page));
    for (let i = 0; i < 40; i++) {
        await page.keyboard.press('Shift+ArrowUp');
    }
    for (let i = 0; i < 16; i++) {
        await page.keyboard.press('Shift+ArrowRight');
    }
    await page.keyboard.press('Space');
    for (let i = 0; i < 26; i++) {
        await page.keyboard.press('Shift+ArrowDown');
    }
    await page.keyboard.press('Space');
    done = saved(page);
    await page.keyboard.press('Enter');
    await done;
    await expect(zonesList(page)).toHaveCount(count + 1);
    for (const [key, left] of [
        ['Control+z', count],
        ['Control+Shift+z', count + 1],
        ['Control+z', count],
    ] as const) {
        done = saved(page);
        await page.keyboard.press(key);
        await done;
        await expect(zonesList(page)).toHaveCount(left);
    }
    // Everything back to where it was, so that other tests find the demo's zones.
    for (let i = 0; i < 3; i++) {
        done = saved(page);
        await page.keyboard.press('Control+z');
        await done;
    }
    await expect(zonesList(page).filter({ hasText: 'rope' })).toHaveCount(1);
});

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
    await expect(page.getByRole('region', { name: 'Differences' })).toContainText('rope, lit side');
    // The ring on rust: no white and no grey.
    const box = await stage(page).boundingBox();
    await stage(page).click({ position: { x: (box?.width ?? 0) * 0.693, y: (box?.height ?? 0) * 0.444 } });
    await page.keyboard.press('-');
    await page.getByRole('button', { name: 'The ring is on white or grey' }).click();
    const alert = page.getByRole('alert').filter({ hasText: /white or grey|lighter/ });
    const balanced = page.getByText(/^Balanced on/);
    await expect(alert.or(balanced).first()).toBeVisible();
    if (await balanced.isVisible()) {
        await history(page, 'Undo').click();
        await expect(balanced).toBeHidden();
    }
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
    await expect(waiting).toContainText('One change waits.');
    await page.getByRole('button', { name: 'Send now' }).click();
    await page.getByRole('button', { name: 'Send now' }).click();
    await expect.poll(() => tries).toBe(3);
    await expect(waiting).toContainText('Kept on this device, over a reload too');
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
    const tries = page.getByRole('button', { name: /^Try it in grey/ });
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
