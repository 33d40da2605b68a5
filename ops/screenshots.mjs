// Takes the pictures of docs/screenshots from the running demo: node ops/screenshots.mjs [ADDRESS]
import { chromium } from '@playwright/test';

const address = process.argv[2] ?? 'http://127.0.0.1:8040';
const folder = new URL('../docs/screenshots/', import.meta.url).pathname;
const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--force-color-profile=srgb',
    ],
});

async function open(width, height) {
    const page = await browser.newPage({ viewport: { width, height } });
    await page.goto(address);
    await page.getByLabel('Show rope, lit side on the photo').click();
    await page.waitForTimeout(2500);
    return page;
}

const desk = await open(1280, 800);
await desk.screenshot({ path: `${folder}photo-desk.png` });

const beside = (column) => desk.getByRole('radiogroup', { name: 'Beside the photo' }).getByText(column, { exact: true }).click();
const pressed = async (...keys) => {
    for (const key of keys) {
        await desk.keyboard.press(key);
    }
    await desk.waitForTimeout(2500);
};
await beside('Zones');
await desk.getByRole('list', { name: 'Zones by size' }).getByRole('button', { name: 'rope' }).click();
await pressed();
await desk.screenshot({ path: `${folder}photo-zones.png` });
await beside('Spots');
await desk.getByRole('button', { name: /^Spot 3,/ }).click();
await pressed('s', 'r');
await desk.screenshot({ path: `${folder}photo-spots.png` });
await pressed('Escape');
await beside('Photos');
await desk.waitForTimeout(3000);
await desk.screenshot({ path: `${folder}photo-pair.png` });
await beside('Recipes');
await desk.waitForTimeout(1500);

await desk.getByRole('navigation', { name: 'Places' }).getByText('Drawer').click();
await desk.getByRole('button', { name: /^703 / }).click();
await desk.waitForTimeout(3000);
await desk.screenshot({ path: `${folder}drawer-place.png` });
for (const [what, name] of [
    ['Balance', 'balance'],
    ['Mixes', 'mixes'],
    ['Measure', 'measure'],
    ['My hand', 'hand'],
]) {
    await desk.getByRole('radiogroup', { name: 'Beside the drawer' }).getByText(what, { exact: true }).click();
    if (what === 'Balance') {
        await desk.getByRole('combobox', { name: 'Purchases for the study' }).selectOption({ label: 'Low water' });
        await desk.getByText(/planned colours/).waitFor({ timeout: 60_000 });
    }
    if (what === 'Measure') {
        await desk
            .getByLabel('Pencils, one per line')
            .fill('21 lemon\n22 egg yolk\n23 ember\n24 port light\n25 garnet\n26 rose\n27 violet\n28 pennant');
        await desk.getByRole('button', { name: 'Create chart' }).click();
        await desk.getByRole('button', { name: 'Try with a simulated photo' }).click();
        await desk.getByText('8 of 8 pencils measured').waitFor({ timeout: 30_000 });
    }
    if (what === 'My hand') {
        await desk.getByRole('button', { name: 'Try with a simulated photo' }).click();
        await desk.getByAltText('The simulated photo').waitFor({ timeout: 30_000 });
        await desk.getByRole('button', { name: /^Learn from/ }).click();
        await desk.getByRole('list', { name: 'Results of the strips' }).waitFor({ timeout: 30_000 });
        await desk.evaluate(() => window.scrollTo(0, 0));
    }
    await desk.waitForTimeout(what === 'Balance' ? 6000 : 2000);
    await desk.screenshot({ path: `${folder}drawer-${name}.png` });
    if (what === 'My hand') {
        await desk.getByRole('button', { name: 'Use the average hand' }).click();
        await desk.waitForTimeout(2000);
    }
}
await desk.getByRole('radiogroup', { name: 'Beside the drawer' }).getByText('Pencil', { exact: true }).click();
await desk.getByRole('navigation', { name: 'Places' }).getByText('Photo').click();
await desk.waitForTimeout(2500);

await desk.getByRole('navigation', { name: 'Places' }).getByText('Plan').click();
const begin = desk.getByRole('button', { name: /^Plan (the picture|what changed)/ });
await desk.getByRole('list', { name: 'Zones of the plan' }).waitFor();
if (await begin.isVisible()) {
    await begin.click();
}
await desk.getByText('Plan is up to date').waitFor({ timeout: 90_000 });
await desk.getByRole('list', { name: 'Zones of the plan' }).getByRole('button', { name: /^rope/ }).click();
for (const [what, name] of [
    ['Zones', 'zones'],
    ['Palette', 'palette'],
    ['Method', 'method'],
    ['Check', 'check'],
    ['Print & files', 'along'],
]) {
    await desk.getByRole('radiogroup', { name: 'Beside the picture' }).getByText(what, { exact: true }).click();
    if (what === 'Check') {
        await desk.getByLabel('Passes done').selectOption('2');
        await desk.getByRole('button', { name: 'Try with a simulated photo' }).click();
        await desk.getByRole('list', { name: 'What to do next, zone by zone' }).waitFor({ timeout: 60_000 });
    }
    await desk.waitForTimeout(4000);
    await desk.screenshot({ path: `${folder}plan-${name}.png` });
}
await desk.getByRole('radiogroup', { name: 'Beside the picture' }).getByText('Zones', { exact: true }).click();
await desk.getByRole('navigation', { name: 'Places' }).getByText('Desk').click();
await desk.getByRole('button', { name: 'Start session' }).click();
await desk.waitForTimeout(2500);
await desk.screenshot({ path: `${folder}desk-pass.png` });
await desk.goto(`${address}/book`);
await desk.getByRole('region', { name: 'Totals' }).waitFor();
await desk.waitForTimeout(1500);
await desk.screenshot({ path: `${folder}book-log.png` });
const inBook = (part) => desk.getByRole('radiogroup', { name: 'In the book' }).getByText(part, { exact: true }).click();
await inBook('Recipes');
await desk.getByRole('application').click({ position: { x: 210, y: 160 } });
await desk.getByText(/^like this:/).waitFor();
await desk.waitForTimeout(1000);
const laid = desk.getByRole('button', { name: 'Use today’s pencils' }).first();
if (await laid.isVisible()) {
    await laid.click();
}
await desk.waitForTimeout(2000);
await desk.screenshot({ path: `${folder}book-recipes.png` });
await inBook('Practice');
await desk.getByRole('combobox', { name: 'Skill to practise' }).selectOption('order of two passes');
await desk.getByRole('heading', { name: /Which one is underneath/ }).waitFor();
await desk.getByRole('list', { name: 'Answers' }).getByRole('button').first().click();
await desk.waitForTimeout(1500);
await desk.screenshot({ path: `${folder}book-practice.png` });
await desk.goto(`${address}/desk`);
await desk.waitForTimeout(1500);
await desk.setViewportSize({ width: 820, height: 1180 });
await desk.waitForTimeout(1500);
await desk.screenshot({ path: `${folder}desk-tablet.png` });

await browser.close();
