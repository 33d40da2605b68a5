import { expect, test } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { laid, sitDown, where } from './deskPlace';

// The desk while the network, or what answers behind it, is away.

test('an hour without network: ticks wait in their order and are caught up once each', async ({ page, context }) => {
    await sitDown(page);
    const steps: string[] = [await where(page)];
    await context.setOffline(true);
    for (let i = 0; i < 3; i++) {
        await page.keyboard.press('Space');
        await expect.poll(() => where(page)).not.toBe(steps[i]);
        steps.push(await where(page));
    }
    await page.keyboard.press('Backspace');
    await expect.poll(() => where(page)).toBe(steps[2]);
    await context.setOffline(false);
    await expect(page.getByText(/wait/i)).toHaveCount(0, { timeout: 40_000 });
    await page.reload();
    await expect.poll(() => where(page)).toBe(steps[2]);
    for (let i = 1; i >= 0; i--) {
        await page.getByRole('button', { name: 'Undo last tick' }).click();
        await expect.poll(() => where(page)).toBe(steps[i]);
    }
});

test('a server that is started again in between: what was ticked meanwhile is taken in once', async ({ page }) => {
    await sitDown(page);
    const steps = [await where(page)];
    // As a proxy answers while what is behind it is down.
    await page.route('**/api/studies/*/desk/**', (route) =>
        route.fulfill({ status: 502, contentType: 'text/html', body: '<h1>Bad gateway</h1>' }),
    );
    for (let i = 0; i < 2; i++) {
        await laid(page).click();
        await expect.poll(() => where(page)).not.toBe(steps[i]);
        steps.push(await where(page));
    }
    await page.unroute('**/api/studies/*/desk/**');
    const sent: string[] = [];
    page.on('request', (r) => r.method() === 'POST' && sent.push(r.headers()['idempotency-key'] ?? ''));
    await expect
        .poll(() => page.evaluate(() => Object.keys(localStorage).filter((k) => k.startsWith('waiting/')).length), { timeout: 40_000 })
        .toBe(0);
    expect(new Set(sent).size).toBe(2);
    await page.reload();
    await expect.poll(() => where(page)).toBe(steps[2]);
    for (let i = 1; i >= 0; i--) {
        await page.keyboard.press('Backspace');
        await expect.poll(() => where(page)).toBe(steps[i]);
    }
});

test('the servers are stopped and started again in between, the database too: no tick is lost or made twice', async ({ page, baseURL }) => {
    test.setTimeout(180_000);
    const own = process.env['KP_VAR'] ?? 'var/app';
    expect(readFileSync(`${own}/run/address`, 'utf8').trim(), 'KP_VAR is the folder of the servers under test').toBe(baseURL);
    await sitDown(page);
    const steps = [await where(page)];
    const tick = async () => {
        await laid(page).click();
        await expect.poll(() => where(page)).not.toBe(steps.at(-1));
        steps.push(await where(page));
    };
    await tick();
    execFileSync('./start', ['--stop']);
    await tick();
    await tick();
    await expect(page.getByText(/wait/i).first()).toBeVisible();
    execFileSync('./start', ['--background'], { timeout: 120_000 });
    await expect(page.getByText(/wait/i)).toHaveCount(0, { timeout: 60_000 });
    await page.reload();
    await expect.poll(() => where(page)).toBe(steps[3]);
    for (let i = 2; i >= 0; i--) {
        await page.keyboard.press('Backspace');
        await expect.poll(() => where(page)).toBe(steps[i]);
    }
    await expect(page.getByText(/wait/i)).toHaveCount(0);
});

test('a page opened while the application does not answer waits, and goes on by itself', async ({ page }) => {
    test.setTimeout(120_000);
    const own = process.env['KP_VAR'] ?? 'var/app';
    const supervise = (...what: string[]) => execFileSync('supervisorctl', ['-c', `${own}/run/supervisor.conf`, ...what]);
    supervise('stop', 'php');
    try {
        await page.goto('/drawer');
        await expect(page.getByRole('heading', { name: 'Knotty Prism is not available at the moment' })).toBeVisible();
        await expect(page.getByRole('status')).toContainText(/Waiting for \d+ seconds/);
    } finally {
        supervise('start', 'php');
    }
    await expect(page.getByRole('navigation').first()).toBeVisible({ timeout: 30_000 });
    expect(new URL(page.url()).pathname).toBe('/drawer');
});
