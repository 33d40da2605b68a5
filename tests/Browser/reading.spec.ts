import { expect, test } from '@playwright/test';
import { unseenPhoto, walkedTo } from './unseen';
import { stage, beside, zonesList, saved, open, focused } from './photoPlace';

test('an unseen photo of 12 megapixels goes from file to named zones with shades by mouse in under three minutes', async ({ page }) => {
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
    // The address is there before the screen of its study.
    await expect(page.getByRole('combobox', { name: 'Study' })).toHaveValue(String(id));
    await beside(page, 'Zones');
    await page.getByRole('button', { name: 'Propose zones' }).click();
    await expect(zonesList(page).first()).toBeVisible({ timeout: 15_000 });
    const count = await zonesList(page).count();
    expect(count).toBeGreaterThanOrEqual(6);

    // Chosen on the photo, named, described, and its mid dragged along its own values.
    const at = async (x: number, y: number) => {
        const box = await stage(page).boundingBox();
        if (box === null) {
            throw new Error('the photo is not on the page');
        }
        return { x: box.x + box.width * x, y: box.y + box.height * y };
    };
    const wall = await at(0.5, 0.12);
    await page.mouse.click(wall.x, wall.y);
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
    await expect(page.getByText('Draw a line across')).toBeVisible();
    const [from, to] = [await at(0.5, 0.002), await at(0.5, 0.998)];
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

test('the unseen photo goes from file to named zones with shades wholly by keyboard: only keys are pressed', async ({ page }) => {
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
    await focused(page, page.getByRole('button', { name: 'Propose again' }));
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
