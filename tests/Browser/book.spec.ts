import { expect, test, type Page } from '@playwright/test';
import ICAL from 'ical.js';
import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { find, newAccount, pencil, serious, slots } from './drawerPlace';

// The book on the demo, whose study is half done.

const part = (page: Page, name: string): Promise<void> =>
    page.getByRole('radiogroup', { name: 'In the book' }).getByText(name, { exact: true }).click();

/** Changes what can't be changed from the place that is tested, with the page's own session. */
const send = (page: Page, method: string, path: string, json: unknown = {}): Promise<number> =>
    page.evaluate(
        async ([how, where, body]) => {
            const token = document.querySelector<HTMLMetaElement>('meta[name="csrf-token"]')?.content ?? '';
            const headers = { 'Content-Type': 'application/json', Accept: 'application/json', 'X-CSRF-TOKEN': token };
            return (await fetch(where, { method: how, headers, body })).status;
        },
        [method, path, JSON.stringify(json)] as const,
    );

async function noteStock(page: Page, number: string, state: string): Promise<void> {
    await page.goto('/drawer?beside=pencil');
    await expect(slots(page).first()).toBeVisible();
    await find(page).fill(number);
    await find(page).press('Enter');
    await pencil(page).getByRole('radiogroup', { name: 'Stock' }).getByText(state, { exact: true }).click();
}

test('a finished zone is kept, found from another study by a like colour, and laid without one of its pencils', async ({ page }) => {
    test.setTimeout(120_000);
    await page.goto('/book?part=recipes');
    const zone = page.getByRole('combobox', { name: 'Zone to save' });
    await expect(zone).toBeVisible();
    const done = (await zone.locator('option').allInnerTexts()).filter((t) => t.endsWith(', done'));
    expect(done.length).toBeGreaterThan(0);
    const name = (done[0] ?? '').replace(', done', '');
    await zone.selectOption({ label: done[0] ?? '' });
    await page.getByLabel('Subject').fill('harbour wall');
    await page.getByLabel('How it turned out').fill('as hoped');
    await page.getByRole('button', { name: 'Save in the Book' }).click();
    const recipes = page.getByRole('region', { name: 'Recipes', exact: true });
    const entry = recipes.getByRole('listitem').filter({ has: page.getByText('harbour wall') });
    await expect(entry).toContainText(name);
    const numbers = [...new Set((await entry.locator('p').first().innerText()).match(/\d{3}/g))];

    // Another study: the same stones in another light.
    await page.goto('/photo');
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Another photo' }).click();
    await (await chooser).setFiles('demo/photos/low-water-morning.jpg');
    await expect(page).toHaveURL(/\/photo\/\d+/);
    const other = page.url().split('/').at(-1) ?? '';
    await page.goto(`/book/${other}?part=recipes`);
    await page.getByLabel('Words').fill('harbour heron');
    await expect(recipes).toContainText('No recipe in your Book matches all of that.');
    await page.getByLabel('Words').fill('');
    // By keyboard, then by mouse: the left stone.
    const photo = page.getByRole('application');
    await photo.focus();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Enter');
    await expect(page.getByText(/^like this:/)).toBeVisible();
    const box = (await photo.boundingBox()) ?? { width: 0, height: 0 };
    await photo.click({ position: { x: 0.1 * box.width, y: 0.78 * box.height } });
    await expect(entry).toBeVisible();
    await expect(entry).toContainText(/\d\.\d off/);
    expect(await serious(page)).toEqual([]);

    // Without the first of its pencils another stands in, and it is said.
    const lacking = numbers[0] ?? '';
    await noteStock(page, lacking, 'Not owned');
    await page.goto(`/book/${other}?part=recipes`);
    await entry.getByRole('button', { name: 'Use today’s pencils' }).click();
    await expect(entry.getByRole('status')).toContainText(new RegExp(`${lacking} .+ is not available: \\d{3}`), { timeout: 30_000 });
    await expect(entry.getByRole('region', { name: /with today’s pencils/ })).toContainText('likely error');

    // Taken out and put back, and out for good; all is as it was.
    await entry.getByRole('button', { name: /from the Book$/ }).click();
    await page.getByRole('button', { name: 'Undo remove' }).click();
    await expect(entry).toBeVisible();
    await entry.getByRole('button', { name: /from the Book$/ }).click();
    await expect(entry).toHaveCount(0);
    await page.goto('/drawer');
    await page.getByRole('button', { name: /^Undo:/ }).click();
    await expect(slots(page)).toHaveCount(24);
    expect(await send(page, 'DELETE', `/api/studies/${other}`)).toBe(204);
});

test('practice: every drill, right and wrong, and how it goes', async ({ page }) => {
    test.setTimeout(240_000);
    await page.goto('/book?part=practice');
    const question = page.getByRole('region', { name: 'Question' });
    const options = page.getByRole('combobox', { name: 'Skill to practise' }).locator('option');
    await expect(options).toHaveCount(8);
    const skills = (await options.allInnerTexts()).slice(1);
    for (const skill of skills) {
        await page.getByRole('combobox', { name: 'Skill to practise' }).selectOption(skill);
        await expect(question.getByRole('heading', { level: 2 })).toContainText(skill);
        await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
        const seen = new Set<string>();
        for (let tries = 0; tries < 30 && seen.size < 2; tries++) {
            const answers = question.getByRole('list', { name: 'Answers' }).getByRole('button');
            await expect(answers.first()).toBeEnabled();
            const chosen = Math.floor(tries / 2) % (await answers.count());
            // By key and by mouse.
            await (tries % 2 === 0 ? page.keyboard.press(String(chosen + 1)) : answers.nth(chosen).click());
            const said = await question.getByRole('status').first().innerText();
            expect(said).toMatch(/^(Yes|No)\. \S/);
            seen.add(said.slice(0, 2));
            await (tries % 2 === 0 ? page.keyboard.press('Enter') : question.getByRole('button', { name: 'Next' }).click());
            await expect(question.getByRole('button', { name: 'Next' })).toHaveCount(0);
        }
        expect([...seen].sort(), skill).toEqual(['No', 'Ye']);
        const row = page.getByRole('row').filter({ has: page.getByRole('rowheader', { name: skill, exact: true }) });
        await expect(row).toContainText(/\d+ of \d+/);
    }
    await expect(page.getByRole('img', { name: /^lean, right each week: \d+ %/ })).toBeVisible();
    expect(await serious(page)).toEqual([]);
});

test('a plan is looked at by its link, signed out; nothing can be changed, and it dies when withdrawn', async ({ page, browser }) => {
    await page.goto('/book?part=share');
    await page.getByRole('button', { name: 'Create link' }).click();
    const link = await page.getByLabel('The link').inputValue();
    const stranger = await (await browser.newContext()).newPage();
    await stranger.goto(link);
    await expect(stranger.getByRole('heading', { name: /^Low water/ })).toBeVisible();
    await expect(stranger.getByRole('list', { name: 'Zones' }).getByRole('listitem').first()).toContainText('Slate step');
    await expect(stranger.getByAltText('Photo “evening”')).toBeVisible();
    // Nothing but a note: no place to go to, nothing to take back.
    await expect(stranger.getByRole('navigation')).toHaveCount(0);
    await expect(stranger.getByRole('button')).toHaveText(['Send reply']);
    expect(await send(stranger, 'DELETE', new URL(link).pathname.replace('/shared/', '/api/shared/'))).toBe(405);
    await stranger.getByText('evening', { exact: true }).last().click();
    await stranger.getByLabel('A note for the artist').fill('Warmer, please.');
    await stranger.getByRole('button', { name: 'Send reply' }).click();
    await expect(stranger.getByRole('status')).toContainText('Sent. You can change it');
    expect(await serious(stranger)).toEqual([]);

    await page.reload();
    await expect(page.getByRole('region', { name: 'Share the plan' })).toContainText('Colours should follow “evening”. Warmer, please.');
    await page.getByRole('button', { name: 'Stop sharing' }).click();
    await expect(page.getByRole('button', { name: 'Create link' })).toBeVisible();
    await stranger.reload();
    await expect(stranger.getByRole('alert')).toContainText('Sharing was stopped');
    await stranger.context().close();
});

test('the log: sessions, a note, a table and a calendar; a wrong file is no account', async ({ page }) => {
    await page.goto('/book');
    const sessions = page.getByRole('region', { name: 'Sessions' }).getByRole('listitem');
    await expect(sessions.first()).toContainText('Low water');
    const count = await sessions.count();
    await sessions.first().getByRole('button', { name: 'Add a note' }).click();
    await page.getByLabel('Note of this session').fill('the light went early');
    await page.getByLabel('Note of this session').press('Enter');
    await expect(sessions.first()).toContainText('the light went early');
    expect(await serious(page)).toEqual([]);
    const saved = async (name: string): Promise<string> => {
        const download = page.waitForEvent('download');
        await page.getByRole('link', { name, exact: true }).click();
        return readFileSync(await (await download).path(), 'utf8');
    };
    const events = new ICAL.Component(ICAL.parse(await saved('Calendar')) as unknown[])
        .getAllSubcomponents('vevent')
        .map((e) => new ICAL.Event(e));
    expect(events).toHaveLength(count);
    expect(events.map((e) => e.summary)).toContain('Drawing: Low water');
    expect(events.some((e) => e.description.includes('the light went early'))).toBe(true);
    expect(events.every((e) => e.endDate.toUnixTime() > e.startDate.toUnixTime())).toBe(true);
    const table = Papa.parse<Record<string, string>>(await saved('Table'), { header: true, skipEmptyLines: true });
    expect(table.errors).toEqual([]);
    const totals = page.getByRole('region', { name: 'Totals' }).getByRole('row', { name: /^total/ });
    await expect(totals.getByRole('cell').nth(2)).toHaveText(String(table.data.filter((r) => r['left_out'] === 'no').length));
    await sessions.first().getByRole('button', { name: 'Edit note' }).click();
    await page.getByLabel('Note of this session').fill('');
    await page.getByRole('button', { name: 'Save note' }).click();
    await expect(sessions.first()).not.toContainText('the light went early');

    await part(page, 'Share');
    const chooser = page.waitForEvent('filechooser');
    const bringIn = page.getByRole('button', { name: 'Restore an account file' });
    await bringIn.click();
    await (await chooser).setFiles({ name: 'all.zip', mimeType: 'application/zip', buffer: Buffer.from('no zip') });
    const along = page.getByRole('region', { name: 'Account backup' });
    await expect(along.getByRole('alert')).toContainText('This is not an account file');
    // Saved and brought in again, nothing is there twice.
    const all = await (await page.request.get('/api/book/account.zip')).body();
    const again = page.waitForEvent('filechooser');
    await bringIn.click();
    await (await again).setFiles({ name: 'all.zip', mimeType: 'application/zip', buffer: all });
    await expect(along.getByRole('status')).toContainText(/Restored: .* you already have w/, { timeout: 60_000 });
    const studies = async () => ((await (await page.request.get('/api/studies')).json()) as { studies: unknown[] }).studies.length;
    expect(await studies()).toBe(Number(/(\d+) stud\w+ you already have/.exec((await along.getByRole('status').textContent()) ?? '')?.[1]));
});

test('a new account finds its book empty, and works it by keyboard alone', async ({ page }) => {
    test.setTimeout(120_000);
    await newAccount(page);
    await page.goto('/book');
    await expect(page.getByText('You have no study yet.')).toBeVisible();
    await page.goto('/photo');
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Choose a photo' }).click();
    await (await chooser).setFiles('demo/photos/low-water-evening.jpg');
    await expect(page).toHaveURL(/\/photo\/\d+/);
    await page.goto('/book');
    await expect(page.getByText(/No sessions yet/)).toBeVisible();
    await expect(page.getByText('No pencil has been used or planned yet.')).toBeVisible();

    const log = page.getByRole('radio', { name: 'Log' });
    await log.focus();
    await page.keyboard.press('ArrowRight');
    await expect(page).toHaveURL(/part=recipes/);
    await expect(page.getByText(/^Your Book is empty\./)).toBeVisible();
    await page.getByRole('application').focus();
    await page.keyboard.press('Enter');
    await expect(page.getByText('No recipe in your Book is close to that colour (ΔE00 10 or less).')).toBeVisible();
    expect(await serious(page)).toEqual([]);

    // Without a pencil the photo alone is asked of.
    await page.getByRole('radio', { name: 'Recipes' }).focus();
    await page.keyboard.press('ArrowRight');
    const question = page.getByRole('region', { name: 'Question' });
    await expect(question.getByRole('list', { name: 'Answers' })).toBeVisible();
    await page.getByRole('combobox', { name: 'Skill to practise' }).selectOption('complement');
    await expect(page.getByText(/No question of this kind/)).toBeVisible();
    await page.getByRole('combobox', { name: 'Skill to practise' }).selectOption('value');
    await expect(question.getByRole('heading', { name: /How light is this/ })).toBeVisible();
    await question.getByRole('list', { name: 'Answers' }).getByRole('button').first().focus();
    await page.keyboard.press('Enter');
    await expect(question.getByRole('status')).toHaveText(/^(Yes|No)\./);
    await expect(question.getByRole('button', { name: 'Next' })).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(question.getByRole('status')).toHaveCount(0);

    await page.getByRole('radio', { name: 'Practice' }).focus();
    await page.keyboard.press('ArrowRight');
    await page.getByRole('button', { name: 'Create link' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('The link')).toHaveValue(/\/shared\/[A-Za-z0-9]{48}$/);
    expect(await serious(page)).toEqual([]);
});
