import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Locator, type Page } from '@playwright/test';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const photoOf = (page: Page): Locator => page.getByRole('application', { name: /^Photo/ });
const reading = (page: Page): Locator => page.getByTestId('reading');
const recipe = (page: Page, place: number): Locator => page.getByTestId(`recipe-${place}`);
const plan = (page: Page): Locator => page.getByTestId('kept-recipes');

const fileOf = (name: string, content: string | Buffer): string => {
    const path = join(mkdtempSync(join(tmpdir(), 'kp-')), name);
    writeFileSync(path, content);
    return path;
};

/** Clicks the photo at a share of its width and height, and waits until recipes for that spot are there. */
async function point(page: Page, x: number, y: number): Promise<void> {
    const box = await photoOf(page).boundingBox();
    if (box === null) {
        throw new Error('the photo is not on the page');
    }
    const answered = page.waitForResponse((r) => r.url().includes('/recipes?') && r.ok());
    await photoOf(page).click({ position: { x: box.width * x, y: box.height * y } });
    await answered;
    await settled(page);
}

const settled = (page: Page) => expect(page.getByRole('region', { name: 'Recipes', exact: true })).toHaveAttribute('aria-busy', 'false');

async function open(page: Page): Promise<void> {
    // The newest study opens first where nothing is remembered; these tests are about the demo's.
    const { studies } = (await (await page.request.get('/api/studies')).json()) as { studies: { id: number; name: string }[] };
    await page.goto(`/photo/${studies.find((s) => s.name === 'Low water')?.id ?? ''}`);
    await expect(reading(page)).toContainText('Value');
    await settled(page);
}

/** How many recipes the demo's plan holds, once it is there. */
async function planned(page: Page): Promise<number> {
    await expect(plan(page).getByRole('listitem').first()).toBeVisible();
    return plan(page).getByRole('listitem').count();
}

/** The colours a dab shows, and how often: drawn in grain, so several. */
const coloursOf = (canvas: Locator): Promise<number> =>
    canvas.evaluate((element) => {
        const c = element as HTMLCanvasElement;
        const data = c.getContext('2d')?.getImageData(0, 0, c.width, c.height).data ?? new Uint8ClampedArray();
        const seen = new Set<number>();
        for (let i = 0; i < data.length; i += 4) {
            seen.add(((data[i] ?? 0) << 16) | ((data[i + 1] ?? 0) << 8) | (data[i + 2] ?? 0));
        }
        return seen.size;
    });

test('a hovering mouse reads what lies under it and leaves the ring and its recipes alone', async ({ page }) => {
    await open(page);
    const before = await reading(page).innerText();
    const asked: string[] = [];
    page.on('request', (r) => r.url().includes('/recipes') && asked.push(r.url()));
    const box = await photoOf(page).boundingBox();
    await page.mouse.move((box?.x ?? 0) + (box?.width ?? 0) * 0.78, (box?.y ?? 0) + (box?.height ?? 0) * 0.35);
    const line = page.getByTestId('under-pointer');
    await expect(line).toContainText(/value [89] of 9/);
    await page.mouse.move((box?.x ?? 0) + (box?.width ?? 0) * 0.93, (box?.y ?? 0) + (box?.height ?? 0) * 0.15, { steps: 12 });
    await expect(line).toContainText(/value [123] of 9/);
    await page.mouse.move(2, 2);
    await expect(line).toBeHidden();
    expect(await reading(page).innerText()).toBe(before);
    expect(asked).toEqual([]);
});

test('from the photo to a printed card, by mouse: point, compare, choose, reload, print, undo', async ({ page }) => {
    const elsewhere: string[] = [];
    const faults: string[] = [];
    page.on('request', (r) => new URL(r.url()).hostname !== '127.0.0.1' && !r.url().startsWith('data:') && elsewhere.push(r.url()));
    page.on('pageerror', (e) => faults.push(e.message));
    page.on('console', (m) => m.type() === 'error' && faults.push(m.text()));
    await open(page);

    await point(page, 0.45, 0.72);
    await expect(reading(page)).toContainText(/Value [678] of 9, (light|pale), (warm grey|muted|greyed)/);
    await expect(reading(page)).toContainText('L*');
    for (const place of [1, 2, 3, 4]) {
        await expect(recipe(page, place)).toContainText('ΔE00');
    }
    const dabs = recipe(page, 1).getByRole('img', { name: /^after pass/ });
    await expect(dabs.first()).toBeVisible();
    // Six strata; those that the strokes leave bare have the paper's one colour.
    expect(await coloursOf(dabs.last())).toBeGreaterThanOrEqual(4);
    await expect(recipe(page, 1).getByRole('listitem').first()).toContainText(/\d/);

    const before = await planned(page);
    await page.getByLabel('Name', { exact: true }).fill('rope by mouse');
    await page.getByRole('button', { name: /^Choose recipe 1/ }).click();
    await expect(plan(page).getByText('rope by mouse')).toBeVisible();
    await page.reload();
    await expect(plan(page).getByText('rope by mouse')).toBeVisible();
    await expect(plan(page).getByRole('listitem')).toHaveCount(before + 1);

    const card = await page.request.get((await page.getByRole('link', { name: 'Print the card' }).getAttribute('href')) ?? '');
    expect(card.headers()['content-type']).toBe('application/pdf');
    expect((await card.body()).subarray(0, 5).toString()).toBe('%PDF-');

    await page.getByRole('button', { name: 'Show rope by mouse on the photo' }).click();
    await page.getByRole('button', { name: 'Rename rope by mouse' }).click();
    await page.getByLabel('New name of rope by mouse').fill('rope again');
    await page.keyboard.press('Enter');
    await expect(plan(page).getByText('rope again')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(plan(page).getByText('rope by mouse')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(plan(page).getByText('rope by mouse')).toHaveCount(0);

    expect(elsewhere).toEqual([]);
    expect(faults).toEqual([]);
});

test('the same by keyboard alone', async ({ page }) => {
    await open(page);
    await photoOf(page).focus();
    const first = await reading(page).textContent();
    for (let i = 0; i < 6; i++) {
        await page.keyboard.press('Shift+ArrowRight');
    }
    await page.keyboard.press('ArrowUp');
    await page.keyboard.press('+');
    await expect(page.getByText(/^Ring wide at/)).toBeAttached();
    await expect(reading(page)).not.toHaveText(first ?? '');
    await settled(page);

    const before = await planned(page);
    await page.keyboard.press('Shift+Digit2');
    await expect(plan(page).getByRole('listitem')).toHaveCount(before + 1);
    await page.keyboard.press('Control+z');
    await expect(plan(page).getByRole('listitem')).toHaveCount(before);

    // Everything that can be pressed can be reached, the photo, the rings and the choices among it.
    const reached = new Set<string>();
    await page.locator('body').focus();
    for (let i = 0; i < 60; i++) {
        await page.keyboard.press('Tab');
        reached.add(
            await page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent ?? ''),
        );
    }
    for (const label of [
        'Choose recipe 1, surest on paper',
        'Choose recipe 4',
        'Print the card',
        'Another photo',
        'Show mug, lit side on the photo',
    ]) {
        expect([...reached].some((r) => r.startsWith(label))).toBe(true);
    }
});

test('has no serious accessibility faults, in both surroundings', async ({ page }) => {
    const serious = async (): Promise<string[]> => {
        const found = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']).analyze();
        return found.violations
            .filter((v) => v.impact === 'serious' || v.impact === 'critical')
            .map((v) => `${v.id}: ${v.nodes.map((n) => n.html).join(' ')}`);
    };
    await open(page);
    expect(await serious()).toEqual([]);
    await page.getByRole('radiogroup', { name: 'Surroundings' }).getByText('middle').click();
    expect(await serious()).toEqual([]);
    await page.getByRole('radiogroup', { name: 'Surroundings' }).getByText('light').click();
});

test('fits the screen of a desk and of a tablet without scrolling sideways', async ({ page }) => {
    await open(page);
    const size = () => page.evaluate(() => [document.documentElement.scrollWidth, document.documentElement.scrollHeight] as const);
    expect(await size()).toEqual([1280, 800]);
    await page.setViewportSize({ width: 820, height: 1180 });
    expect((await size())[0]).toBe(820);
    await expect(recipe(page, 1)).toBeInViewport();
});

test('a file that is no photo is refused in plain words, and nothing is lost', async ({ page }) => {
    await open(page);
    const before = await planned(page);
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Another photo' }).click();
    await (await chooser).setFiles(fileOf('holiday.jpg', 'these are only words'));
    await expect(page.getByRole('alert').filter({ hasText: 'not a picture' })).toBeVisible();
    await expect(plan(page).getByRole('listitem')).toHaveCount(before);
});

test('a new account starts empty, takes a photo and a drawer in, and gets recipes', async ({ page }) => {
    await open(page);
    await page.getByRole('button', { name: 'Sign out' }).click();
    await expect(page).toHaveURL(/sign-in/);
    await page.getByText('New account').click();
    await page.getByLabel('Your name').fill('Ebb');
    await page.getByLabel('E-mail address').fill(`ebb${Date.now()}@example.org`);
    await page.getByLabel(/^Password/).fill('long enough 10');
    await page.getByRole('button', { name: 'Create account' }).click();
    await expect(page.getByText('Start with the photo you want to draw')).toBeVisible();

    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Choose a photo' }).click();
    await (await chooser).setFiles('demo/photos/low-water-evening.jpg');
    await expect(reading(page)).toContainText('Value');
    await expect(page.getByText('Your drawer is empty.')).toBeVisible();

    await page.getByRole('link', { name: 'Drawer', exact: true }).click();
    await page.getByRole('radiogroup', { name: 'Beside the drawer' }).getByText('Import & export').click();
    const drawerChooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Choose a drawer file' }).click();
    await (await drawerChooser).setFiles('demo/drawer.csv');
    await page.getByRole('button', { name: 'Import 24' }).click();
    await expect(page.getByRole('list', { name: 'Pencils in the drawer' }).getByRole('button')).toHaveCount(24, { timeout: 30_000 });
    await page.getByRole('link', { name: 'Photo', exact: true }).click();
    await settled(page);
    await expect(recipe(page, 1)).toContainText('ΔE00');
    await page.getByRole('button', { name: /^Choose recipe 1/ }).click();
    await expect(plan(page).getByRole('listitem')).toHaveCount(1);
});
