import { expect, test, type Page } from '@playwright/test';
import { serious } from '../drawerPlace';

const PARTS = [
    '/photo/ID',
    '/photo/ID?beside=zones',
    '/drawer',
    '/drawer?beside=balance',
    '/drawer?beside=measure',
    '/plan/ID',
    '/plan/ID?beside=palette',
    '/plan/ID?beside=method',
    '/plan/ID?beside=check',
    '/plan/ID?beside=along',
    '/desk/ID',
    '/book',
    '/book?part=recipes',
    '/book?part=practice',
    '/account',
];

/** The drawing of the demo, at one of its parts, with all of it there. */
async function open(page: Page, part: string): Promise<void> {
    const { studies } = (await (await page.request.get('/api/studies')).json()) as { studies: { id: number; name: string }[] };
    await page.goto(part.replace('ID', String(studies.filter((s) => s.name === 'Low water').pop()?.id)));
    await page.waitForLoadState('networkidle');
    await expect(page.locator('[aria-busy=true]')).toHaveCount(0);
}

/** What reaches beyond the window sideways, but for what scrolls within itself; and what a finger can't hit (WCAG 2.2, 2.5.8). */
const misfits = (page: Page): Promise<string[]> =>
    page.evaluate(() => {
        const told = (e: Element) => `${e.tagName} ${e.getAttribute('aria-label') ?? e.textContent.slice(0, 30)}`;
        const isSeen = (e: Element) => e.getClientRects().length > 0 && getComputedStyle(e).visibility !== 'hidden';
        const wide =
            document.documentElement.scrollWidth > window.innerWidth ? [`the page is ${document.documentElement.scrollWidth} wide`] : [];
        const small = [...document.querySelectorAll('button, select, input:not([type=radio]):not([type=checkbox]), [role=button]')].filter(
            (e) => isSeen(e) && e.closest('.only-read, [style*=clip]') === null && e.getBoundingClientRect().height < 24,
        );
        return [...wide, ...small.map(told)];
    });

// The last is a window of 1280 × 800 at 200 %.
for (const [width, height] of [
    [360, 740],
    [820, 1180],
    [2560, 1440],
    [640, 400],
] as const) {
    test(`everything fits a window of ${width} × ${height}`, async ({ page }) => {
        test.setTimeout(180_000);
        await page.setViewportSize({ width, height });
        for (const part of PARTS) {
            await open(page, part);
            expect(await misfits(page), part).toEqual([]);
            if (width === 360) {
                expect(await serious(page), part).toEqual([]);
            }
        }
    });
}

test('each place is walked through by Tab: what has the focus is seen, says what it is, and lets go', async ({ page }) => {
    test.setTimeout(180_000);
    for (const place of ['/photo/ID', '/drawer', '/plan/ID', '/desk/ID', '/book', '/account']) {
        await open(page, place);
        const walked: string[] = [];
        for (let step = 0; step < 300; step++) {
            await page.keyboard.press('Tab');
            const at = await page.evaluate(() => {
                const e = document.activeElement;
                if (e === null || e === document.body) {
                    return null;
                }
                const own = e.getBoundingClientRect();
                // The ring of a choice lies round its word.
                const shown = [e, e.closest('label')].some((x) => x !== null && getComputedStyle(x).outlineStyle !== 'none');
                const inView = own.bottom > 0 && own.right > 0 && own.top < window.innerHeight && own.left < window.innerWidth;
                const name = e.getAttribute('aria-label') ?? e.closest('label')?.textContent ?? e.textContent;
                return { name: name.trim() || e.getAttribute('placeholder') || '', shown, inView, html: e.outerHTML.slice(0, 120) };
            });
            if (at === null) {
                break;
            }
            expect(at, `${place}: ${at.html}`).toMatchObject({ shown: true, inView: true });
            expect(at.name, `${place}: ${at.html}`).not.toBe('');
            walked.push(at.html);
        }
        // Round to the page itself again: nothing holds the focus.
        expect(walked.length, place).toBeGreaterThan(8);
        expect(walked.length, place).toBeLessThan(300);
    }
});
