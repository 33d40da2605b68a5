import { expect, type Locator, type Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Walks with Tab alone until the thing has the focus. */
export async function walkedTo(page: Page, locator: Locator): Promise<void> {
    await expect(locator).toBeVisible();
    for (let i = 0; i < 90; i++) {
        if (await locator.evaluate((e) => e === document.activeElement)) {
            return;
        }
        await page.keyboard.press('Tab');
    }
    throw new Error('Tab does not lead there');
}

/**
 * A photo nobody has seen: 12 megapixels of soft light over five things, with grain like a phone's; the same every time. UNSEEN_PHOTO
 * names a photo to take instead.
 */
export function unseenPhoto(): string {
    const own = process.env['UNSEEN_PHOTO'];
    if (own !== undefined) {
        return own;
    }
    const path = join(mkdtempSync(join(tmpdir(), 'kp-')), 'from the phone.jpg');
    const script = `
        $i = new Imagick; $i->newPseudoImage(4032, 3024, 'gradient:#b9c7cf-#6d7a70');
        $d = new ImagickDraw;
        foreach ([
            ['#8a5a3a', 1000, 2000, 700, 500], ['#e9e4d6', 2300, 1500, 500, 650], ['#3c5a4a', 3300, 2100, 450, 600],
            ['#c9a83c', 1900, 2500, 380, 260], ['#28303a', 600, 900, 300, 500]] as [$c, $x, $y, $rx, $ry]) {
            $d->setFillColor($c); $d->ellipse($x, $y, $rx, $ry, 0, 360);
        }
        $i->drawImage($d); $i->blurImage(0, 3);
        mt_srand(7); $n = ''; for ($k = 0; $k < 504 * 378; $k++) { $n .= chr(mt_rand(96, 160)); }
        $grain = new Imagick; $grain->readImageBlob("P5 504 378 255\n" . $n); $grain->resizeImage(4032, 3024, Imagick::FILTER_TRIANGLE, 1);
        $i->compositeImage($grain, Imagick::COMPOSITE_OVERLAY, 0, 0);
        $i->setImageFormat('jpeg'); $i->setImageCompressionQuality(88); $i->writeImage($argv[1]);`;
    execFileSync('php', ['-r', script, path]);
    return path;
}
