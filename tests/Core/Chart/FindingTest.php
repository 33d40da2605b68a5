<?php

declare(strict_types=1);

use KnottyPrism\Core\Chart\Check\ExpectedDrawing;
use KnottyPrism\Core\Chart\Check\FindPaper;
use KnottyPrism\Core\Chart\Check\FitDrawing;
use KnottyPrism\Core\Chart\Check\Likeness;
use KnottyPrism\Core\Chart\Check\SquaredDrawing;
use KnottyPrism\Core\Chart\Reading\Homography;
use KnottyPrism\Core\Chart\Reading\Photograph;
use KnottyPrism\Core\Error\BadPhoto;
use KnottyPrism\Core\Picture\PassesLaid;

/**
 * A sheet on a dark table, seen where its corners lie, with something drawn on its inner part.
 *
 * @param  list<array{float, float}>  $corners  of the sheet
 * @param  Closure(float, float): array{float, float, float}  $drawn  share of the paper's light, by place of the sheet, 0–1
 */
function sheetAt(array $corners, Closure $drawn, ?Closure $light = null, array $paper = [238, 234, 226]): Photograph
{
    $from = Homography::between($corners, [[0.0, 0.0], [1.0, 0.0], [1.0, 1.0], [0.0, 1.0]]);

    return photoBy(400, 300, static function (int $x, int $y) use ($from, $drawn, $light, $paper): array {
        [$u, $v] = $from->to($x + 0.5, $y + 0.5);
        if ($u < 0 || $v < 0 || $u > 1 || $v > 1) {
            return [70, 52, 40];
        }
        $share = $drawn($u, $v);
        $lit = $light === null ? 1.0 : $light($u, $v);

        return array_map(static fn (int $c): int => (int) round(255 * (($paper[$c] / 255) ** 2.2 * $share[$c] * $lit) ** (1 / 2.2)), [
            0,
            1,
            2,
        ]);
    });
}

/** @return float how far the farthest corner is from where it should be, whichever is named first */
function cornersOff(array $found, array $true): float
{
    $least = INF;
    foreach ([$true, array_reverse($true)] as $way) {
        for ($turn = 0; $turn < 4; $turn++) {
            $least = min(
                $least,
                max(
                    array_map(static fn (array $a, array $b): float => hypot($a[0] - $b[0], $a[1] - $b[1]), $found, [
                        ...array_slice($way, $turn),
                        ...array_slice($way, 0, $turn),
                    ]),
                ),
            );
        }
    }

    return $least;
}

const ASLANT = [[60.0, 40.0], [350.0, 62.0], [338.0, 270.0], [48.0, 246.0]];

it('finds the sheet of paper that lies on a table, however dark what is drawn on it', function (array $corners, float $ink) {
    $found = FindPaper::in(
        sheetAt(
            $corners,
            static fn (float $u, float $v): array => $u > 0.1 && $u < 0.9 && $v > 0.1 && $v < 0.9 ? [$ink, $ink, $ink] : [1.0, 1.0, 1.0],
        ),
    );
    expect($found)->not->toBeNull()->and(cornersOff($found, $corners))->toBeLessThan(6.0);
})->with([
    'aslant, drawn lightly' => [ASLANT, 0.7],
    'aslant, drawn darkly' => [ASLANT, 0.06],
    'turned by a quarter' => [[[260.0, 20.0], [262.0, 280.0], [90.0, 276.0], [96.0, 24.0]], 0.3],
]);

it('finds no sheet where none stands out', function () {
    expect(FindPaper::in(photoBy(400, 300, static fn (int $x, int $y): array => [90, 90, 90])))
        ->toBeNull()
        ->and(
            FindPaper::in(
                photoBy(400, 300, static fn (int $x, int $y): array => hypot($x - 200, $y - 150) < 20 ? [240, 240, 240] : [40, 40, 40]),
            ),
        )
        ->toBeNull();
});

it('goes with a drawing best where it lies, and hardly with another', function () {
    $expected = ExpectedDrawing::of(threeZones(), PassesLaid::whole());
    $other = ExpectedDrawing::of(threeZones(true), PassesLaid::whole());
    $inner = static fn (ExpectedDrawing $e, float $u, float $v): array => $e->light[
        (int) ($v * $e->height) * $e->width + (int) ($u * $e->width)
    ];
    // Drawn within a margin of an eighth of the sheet.
    $photo = sheetAt(ASLANT, static function (float $u, float $v) use ($expected, $inner): array {
        [$x, $y] = [($u - 0.125) / 0.75, ($v - 0.125) / 0.75];
        if ($x < 0 || $y < 0 || $x >= 1 || $y >= 1) {
            return [1.0, 1.0, 1.0];
        }
        $l = $inner($expected, $x, $y);

        return array_map(static fn (int $c): float => min(1.0, $l[$c] / $expected->bare[$c]), [0, 1, 2]);
    });
    $view = Homography::between([[0.0, 0.0], [1.0, 0.0], [1.0, 1.0], [0.0, 1.0]], ASLANT);
    $at = static fn (float $m): array => [$view->to($m, $m), $view->to(1 - $m, $m), $view->to(1 - $m, 1 - $m), $view->to($m, 1 - $m)];
    $likeness = new Likeness($photo, $expected);
    $here = $likeness->alike($at(0.125));
    expect($likeness->tells())->toBeTrue()->and($here)->toBeGreaterThan(0.95)->and($likeness->within($at(0.125)))->toBeGreaterThan(0.9);
    foreach ([0.05, 0.09, 0.17] as $beside) {
        expect($likeness->alike($at($beside)))->toBeLessThan($here - 0.02);
    }
    // Upside down, and as another drawing.
    $turned = [...array_slice($at(0.125), 2), ...array_slice($at(0.125), 0, 2)];
    expect($likeness->alike($turned))
        ->toBeLessThan(0.6)
        ->and((new Likeness($photo, $other))->within($at(0.125)))
        ->toBeLessThan(0.58)
        // Beyond the photo there is nothing to compare.
        ->and($likeness->alike([[-200.0, 0.0], [100.0, 0.0], [100.0, 200.0], [-200.0, 200.0]]))
        ->toBe(-1.0);
    // Found by itself, and from corners that were set by hand a little off.
    [$found, $alike] = FitDrawing::in($photo, $expected, null);
    expect(cornersOff($found, $at(0.125)))->toBeLessThan(5.0)->and($alike)->toBeGreaterThan(0.9);
    [$mended] = FitDrawing::in($photo, $expected, array_map(static fn (array $p): array => [$p[0] + 3.0, $p[1] - 2.0], $at(0.125)));
    expect(cornersOff($mended, $at(0.125)))->toBeLessThan(2.5);
    expect(fn () => FitDrawing::in($photo, $other, null))->toThrow(
        static fn (BadPhoto $e) => expect($e->reason)->toBe(BadPhoto::OTHER_DRAWING),
    );
});

it('tells nothing by a plan of which nothing is laid', function () {
    $bare = ExpectedDrawing::of(threeZones(), new PassesLaid(0));
    expect((new Likeness(sheetAt(ASLANT, static fn (): array => [1.0, 1.0, 1.0]), $bare))->tells())->toBeFalse();
    expect(fn () => FitDrawing::in(sheetAt(ASLANT, static fn (): array => [1.0, 1.0, 1.0]), $bare, null))->toThrow(
        static fn (BadPhoto $e) => expect($e->reason)->toBe(BadPhoto::NO_DRAWING),
    );
});

it('takes uneven light and the lamp off a drawing by the bare paper around it', function () {
    $ink = [0.5, 0.35, 0.2];
    $margin = 0.12;
    $photo = sheetAt(
        ASLANT,
        static fn (float $u, float $v): array => $u > $margin && $u < 1 - $margin && $v > $margin && $v < 1 - $margin
            ? $ink
            : [1.0, 1.0, 1.0],
        static fn (float $u, float $v): float => 0.95 - 0.45 * $u - 0.15 * $v,
        [240, 225, 190],
    );
    $view = Homography::between([[0.0, 0.0], [1.0, 0.0], [1.0, 1.0], [0.0, 1.0]], ASLANT);
    $corners = [
        $view->to($margin, $margin),
        $view->to(1 - $margin, $margin),
        $view->to(1 - $margin, 1 - $margin),
        $view->to($margin, 1 - $margin),
    ];
    $squared = SquaredDrawing::of($photo, $corners);
    foreach ([[0.1, 0.1], [0.5, 0.5], [0.9, 0.2], [0.3, 0.85]] as [$u, $v]) {
        expect($squared->at($u, $v))->toEqualWithDelta($ink, 0.03);
    }
    expect($squared->at(9.0, 9.0))->toBeNull();
    // The table all round is no paper.
    $cut = sheetAt([[-10.0, -10.0], [410.0, -10.0], [410.0, 310.0], [-10.0, 310.0]], static fn (): array => $ink);
    expect(fn () => SquaredDrawing::of($cut, [[0.5, 0.5], [399.5, 0.5], [399.5, 299.5], [0.5, 299.5]]))->toThrow(
        static fn (BadPhoto $e) => expect($e->reason)->toBe(BadPhoto::NO_BARE_PAPER),
    );
});

it('counts the steps of a shade by the passes of its zone that go over it', function () {
    $zone = threeZones()->zones[1];
    $dark = $zone->shades[1];
    $steps = count($dark->stack->steps);
    for ($passes = 0; $passes <= $steps + 2; $passes++) {
        expect(count($dark->done($passes)->steps) + count($dark->toCome($passes)->steps))
            ->toBe($steps)
            ->and(count($dark->done($passes)->steps))
            ->toBe(min($passes, $steps));
    }
});
