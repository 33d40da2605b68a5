<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Illuminant;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\PencilGrain;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Viewing\DrawingFrame;
use KnottyPrism\Core\Picture\PassesLaid;
use KnottyPrism\Core\Picture\Preview\DrawnShade;
use KnottyPrism\Core\Picture\Preview\DrawnZone;
use KnottyPrism\Core\Picture\Preview\LaidTones;
use KnottyPrism\Core\Picture\Preview\Loupe;
use KnottyPrism\Core\Picture\Preview\PressedRun;
use KnottyPrism\Core\Picture\Preview\Preview;
use KnottyPrism\Core\Picture\Preview\SharpZones;
use KnottyPrism\Core\Picture\Preview\StrokeDirections;
use KnottyPrism\Core\Picture\Preview\Window;
use Tests\Core\Pencils;

/** @param  Closure(float, float): array{float, float, float}  $lab  of a place, as shares */
function seenGrid(int $width, int $height, Closure $lab): PixelGrid
{
    $bytes = '';
    for ($at = 0; $at < $width * $height; $at++) {
        $srgb = Srgb::ofXyz((new Lab(...$lab((($at % $width) + 0.5) / $width, (intdiv($at, $width) + 0.5) / $height)))->xyz());
        foreach ([$srgb->red, $srgb->green, $srgb->blue] as $v) {
            $bytes .= chr((int) round(255 * $v));
        }
    }

    return PixelGrid::ofSrgb($width, $height, $bytes);
}

/** @param  list<string>  $steps  as "red@0.35", or "" where the shade is left out */
function drawnShade(Lab $seen, array $steps): DrawnShade
{
    return new DrawnShade(
        $seen,
        array_map(static fn (string $s): Pass|Finish|null => $s === '' ? null : Pencils::stack($s)->steps[0], $steps),
    );
}

/** @param  list<DrawnShade>  $run */
function pressedRun(array $run): PressedRun
{
    return new PressedRun($run, Paper::whiteMedium());
}

/**
 * @return array{Preview, PixelGrid, PixelGrid} a sky that grades, and a red form with a touch of blue: the preview, and the photo small and
 *   as it is drawn
 */
function skyAndForm(): array
{
    $lab = static fn (float $x, float $y): array => match (true) {
        // The border slants through the cells of the grid.
        $y < 0.48 + 0.07 * $x => [60 + 25 * $y, -4, -12],
        hypot($x - 0.7, ($y - 0.8) * 0.7) < 0.09 => [35, 2, -30],
        default => [35 + 25 * $x, 35, 20],
    };
    [$cells, $photo] = [seenGrid(48, 36, $lab), seenGrid(400, 300, $lab)];
    $labels = LabelGrid::ofNumbers(48, 36, array_map(static fn (int $at): int => intdiv($at, 48) < 19 ? 1 : 2, range(0, 48 * 36 - 1)));
    $zones = [
        new DrawnZone(1, [drawnShade(new Lab(60, -4, -12), ['blue@0.55', '']), drawnShade(new Lab(72, -4, -12), ['blue@0.20', ''])], []),
        new DrawnZone(
            2,
            [
                drawnShade(new Lab(35, 35, 20), ['red@0.55', 'black@0.20', 'red@0.35']),
                drawnShade(new Lab(60, 35, 20), ['red@0.35', '', 'red@0.35']),
            ],
            [drawnShade(new Lab(35, 2, -30), ['', '', 'blue@0.80'])],
        ),
    ];

    return [new Preview(Paper::whiteMedium(), $labels, $cells, $zones), $cells, $photo];
}

/** The mean of some pixels, in linear light. @param  list<int>  $pixels */
function meanOf(string $bytes, array $pixels): Lab
{
    $sum = [0.0, 0.0, 0.0];
    foreach ($pixels as $at) {
        for ($c = 0; $c < 3; $c++) {
            $sum[$c] += Srgb::decode(ord($bytes[3 * $at + $c]) / 255) / count($pixels);
        }
    }

    return Srgb::ofBytes(...array_map(static fn (float $v): float => 255 * Srgb::encode($v), $sum))->lab();
}

it('shows the bare paper first, and in the end at every value what is laid there', function () {
    [$preview, , $photo] = skyAndForm();
    $material = $preview->material($photo, 297.0);
    expect($preview->passes())->toBe(3)->and(count(array_unique(str_split($preview->after(new PassesLaid(0), $material), 3))))->toBe(1);
    $final = $preview->after(PassesLaid::whole(), $material);
    // The dark of the form is laid as it was planned, its flecks and all, and so is its light.
    foreach ([[35.0, 'red@0.55 black@0.20 red@0.35'], [60.0, 'red@0.35 red@0.35']] as [$l, $stack]) {
        $own = array_keys(
            array_filter(
                $photo->l,
                static fn (float $v, int $at): bool => abs($v - $l) < 0.5 && $material->looks[$at] === "\x01",
                ARRAY_FILTER_USE_BOTH,
            ),
        );
        expect(count($own))->toBeGreaterThan(200)->and(meanOf($final, $own)->deltaE00(Pencils::colour($stack)))->toBeLessThan(1.0);
    }
    // What lies between two shades is the same pencil pressed otherwise, not their colours blended.
    $laid = new LaidTones(Paper::whiteMedium(), Illuminant::D65);
    $tones = $laid->over(pressedRun([drawnShade(new Lab(40, 0, 0), ['blue@0.80']), drawnShade(new Lab(60, 0, 0), ['blue@0.35'])]), 1);
    $apart = array_map(
        static fn (int $thousandths): float => max(
            array_map(
                static fn (float $a, float $b): float => abs($a - $b),
                $tones[50]->mean,
                $laid->laid(Pencils::stack('blue@'.$thousandths / 1000)->steps, 1)->mean,
            ),
        ),
        range(400, 750),
    );
    expect(min($apart))->toBeLessThan(0.001);
    // Its run only grows lighter, beyond its shades too, and a left out pass comes in gradually.
    $y = array_map(static fn ($tone): float => $tone->mean[1], $tones);
    $sorted = $y;
    sort($sorted);
    expect($y)->toBe($sorted)->and($y[75])->toBeGreaterThan($y[60])->and($y[75])->toBe($y[100]);
    // What it is drawn on follows from the zones and their colours, and not from what is laid.
    expect($preview->ground())->toBe(skyAndForm()[0]->ground());
    // Grey is grey; the same input gives the same pixels.
    expect($preview->after(new PassesLaid(3), $preview->material($photo, 297.0)))->toBe($final);
    foreach (array_unique(str_split($preview->after(new PassesLaid(3), $material, grey: true), 3)) as $pixel) {
        expect($pixel[0])->toBe($pixel[1])->and($pixel[1])->toBe($pixel[2]);
    }
});

it('draws each zone as far as it is laid, its touches with it', function () {
    [$preview, , $photo] = skyAndForm();
    $material = $preview->material($photo, 297.0);
    [$bare, $whole] = array_map(static fn (int $passes): array => str_split($preview->after(new PassesLaid($passes), $material), 3), [
        0,
        9,
    ]);
    $form = str_split($preview->after(new PassesLaid(0, [2 => 9]), $material), 3);
    foreach (range(0, 400 * 300 - 1, 97) as $at) {
        expect($form[$at])->toBe($material->looks[$at] === "\0" ? $bare[$at] : $whole[$at]);
    }
    expect(new PassesLaid(2, [3 => 1, 1 => 0]))
        ->key()
        ->toBe((new PassesLaid(2, [1 => 0, 3 => 1]))->key())
        ->and((new PassesLaid(2, [1 => 0]))->key())
        ->not->toBe((new PassesLaid(2))->key());
});

it('draws touches where they lie, keeps whites, and lets borders follow the photo and not the grid', function () {
    [$preview, $cells, $photo] = skyAndForm();
    $material = $preview->material($photo, 297.0);
    $look = static fn (float $x, float $y): int => ord($material->looks[(int) ($y * 300) * 400 + (int) ($x * 400)]);
    expect($look(0.7, 0.8))->toBe(2)->and($look(0.2, 0.8))->toBe(1)->and($look(0.5, 0.1))->toBe(0);
    $off = $grid = 0;
    for ($x = 0; $x < 400; $x++) {
        for ($y = 135; $y < 170; $y++) {
            $sky = $y < 300 * (0.48 + (0.07 * $x) / 400);
            $off += ($material->looks[$y * 400 + $x] === "\0") === $sky ? 0 : 1;
            $grid += $y < (300 * 19) / 36 === $sky ? 0 : 1;
        }
    }
    expect($off)->toBeLessThan($grid / 4);
    $labels = LabelGrid::ofNumbers(48, 36, array_fill(0, 48 * 36, 1));
    $white = new Preview(
        Paper::whiteMedium(),
        $labels,
        $cells,
        [new DrawnZone(1, [drawnShade(new Lab(50, 0, 0), ['black@0.55'])], [])],
        str_repeat("\1", 48 * 18).str_repeat("\0", 48 * 18),
    );
    $bytes = $white->after(new PassesLaid(9), $white->material($photo, 297.0));
    expect(meanOf($bytes, range(0, 399))->deltaE00(Lab::ofReflectance(Paper::whiteMedium()->reflectance)))
        ->toBeLessThan(0.5)
        ->and(meanOf($bytes, range(400 * 299, 400 * 300 - 1))->l)
        ->toBeLessThan(70.0);
    expect(ord(SharpZones::in($labels, $cells, $photo, new Window())[7]))->toBe(1);
    expect(fn () => $preview->material(seenGrid(1, 1, static fn (): array => [50, 0, 0])->resampled(1500, 1400), 297.0))->toThrow(
        OutOfRange::class,
    );
});

it('has strokes along the form and grain without a period, every place of the tooth equally often', function () {
    $stripes = static fn (float $angle): PixelGrid => seenGrid(
        48,
        36,
        static fn (float $x, float $y): array => [60 + 25 * sin(30 * ($x * sin($angle) + $y * 0.75 * cos($angle))), 0, 0],
    );
    $one = LabelGrid::ofNumbers(48, 36, array_fill(0, 48 * 36, 3));
    $most = static fn (string $directions): int => (int) array_search(max(count_chars($directions, 1)), count_chars($directions, 1), true);
    expect($most(StrokeDirections::of($one, $stripes(0.0))))
        ->toBe(0)
        ->and($most(StrokeDirections::of($one, $stripes(M_PI / 2))))
        ->toBe(PencilGrain::DIRECTIONS / 2)
        ->and($most(StrokeDirections::of($one, $stripes(M_PI / 4))))
        ->toBeGreaterThan(0)
        ->toBeLessThan(PencilGrain::DIRECTIONS)
        // As a hand falls where there is none, and as the artist wants it.
        ->and(array_unique(str_split(StrokeDirections::of($one, seenGrid(48, 36, static fn (): array => [60, 0, 0])))))
        ->toBe([chr(3)])
        ->and(array_unique(str_split(StrokeDirections::of($one, $stripes(0.0), [3 => 7]))))
        ->toBe([chr(7)]);
    foreach ([[1, 0, 0], [-1, 0, 0], [1, -1, 3], [-1, 1, 3], [0, 1, 6], [0, -1, 6], [1, 1, 9]] as [$right, $down, $direction]) {
        expect(PencilGrain::along($right, $down))->toBe($direction);
    }
    foreach ([0, 3, PencilGrain::CIRCLES] as $direction) {
        $side = 360;
        $grain = PencilGrain::places(0.25, 0.0, 0.0, array_fill(0, $side, 0), array_fill(0, $side, 0), chr($direction), 1);
        foreach (count_chars($grain, 1) as $times) {
            expect($times / $side ** 2)->toEqualWithDelta(1 / PencilGrain::PLACES, 0.004);
        }
        // Away from a stroke's own length nothing comes back, in whatever direction.
        foreach ([[48, 0], [96, 0], [0, 48], [0, 96], [64, 64], [128, 0], [120, 80]] as [$dx, $dy]) {
            $sum = 0.0;
            for ($y = 0; $y < $side - $dy; $y++) {
                for ($x = 0; $x < $side - $dx; $x++) {
                    $sum += (ord($grain[$y * $side + $x]) - 7.5) * (ord($grain[($y + $dy) * $side + $x + $dx]) - 7.5);
                }
            }
            expect(abs($sum / (($side - $dx) * ($side - $dy)) / 21.25))->toBeLessThan(0.12);
        }
    }
    expect(PencilGrain::contrast(0.05))->toBeGreaterThan(0.9)->and(PencilGrain::contrast(0.3))->toBeLessThan(0.4);
});

it('shows under the loupe the same drawing from near, with stronger flecks', function () {
    [$preview, , $photo] = skyAndForm();
    $whole = $preview->after(new PassesLaid(9), $preview->material($photo, 297.0));
    $loupe = Loupe::at(0.2, 0.8, 297.0, 4 / 3);
    [$left, $top, $width, $height] = $loupe->pixels(400, 300);
    expect([$width, $height])
        ->toBe([48, 36])
        ->and(Loupe::at(0.0, 1.0, 297.0, 4 / 3)->window->left)
        ->toBe(0.0)
        ->and(Loupe::at(1.0, 1.0, 20.0, 1.0)->window->width)
        ->toBe(1.0);
    $piece = seenGrid($width, $height, static fn (float $x): array => [40, 35, 20])->enlarged(180, 135);
    $near = $preview->after(new PassesLaid(9), $preview->material($piece, 297.0, $loupe->window));
    $there = [];
    for ($y = $top; $y < $top + $height; $y++) {
        array_push($there, ...range($y * 400 + $left, $y * 400 + $left + $width - 1));
    }
    expect(meanOf($near, range(0, 180 * 135 - 1))->deltaE00(meanOf($whole, $there)))->toBeLessThan(3.0);
    $spread = static fn (string $bytes, array $pixels): int => max(
        array_map(static fn (int $at): int => ord($bytes[3 * $at + 1]), $pixels),
    ) - min(array_map(static fn (int $at): int => ord($bytes[3 * $at + 1]), $pixels));
    expect($spread($near, range(0, 180 * 135 - 1)))->toBeGreaterThan(1.5 * $spread($whole, $there));
});

it('enlarges a piece of a photo smoothly, and knows how wide the whole photo is at the size of the drawing', function () {
    $ramp = seenGrid(40, 30, static fn (float $x): array => [20 + 60 * $x, 0, 0])->enlarged(400, 300);
    for ($x = 20; $x < 380; $x += 7) {
        expect($ramp->l[150 * 400 + $x])
            ->toEqualWithDelta(20 + (60 * ($x + 0.5)) / 400, 0.6)
            ->and($ramp->l[150 * 400 + $x + 1])
            ->toBeGreaterThanOrEqual($ramp->l[150 * 400 + $x] - 1e-9);
    }
    // A wide photo is cut at its sides for a drawing of 200 mm: a third more of it lies beyond.
    expect((new DrawingFrame(4 / 3, 200, 200))->wholeWidth())
        ->toEqualWithDelta(800 / 3, 1e-9)
        ->and((new DrawingFrame(4 / 3, 200, 150))->wholeWidth())
        ->toEqualWithDelta(200.0, 1e-9)
        ->and((new DrawingFrame(1, 200, 100))->wholeWidth())
        ->toBe(200.0);
});

it('draws a piece of a picture as the whole has it there: the same zones, the same strokes, the same tooth', function () {
    [$preview, , $photo] = skyAndForm();
    $whole = $preview->material($photo, 297.0);
    // A quarter from the middle, at the same pixels.
    $window = new Window(0.25, 0.4, 0.5, 0.5);
    $bytes = '';
    for ($at = 0; $at < 200 * 150; $at++) {
        $there = (120 + intdiv($at, 200)) * 400 + 100 + ($at % 200);
        $srgb = Srgb::ofXyz((new Lab($photo->l[$there], $photo->a[$there], $photo->b[$there]))->xyz());
        foreach ([$srgb->red, $srgb->green, $srgb->blue] as $v) {
            $bytes .= chr((int) round(255 * $v));
        }
    }
    $piece = $preview->material(PixelGrid::ofSrgb(200, 150, $bytes), 297.0, $window);
    expect($piece->mmPerPixel)->toEqualWithDelta($whole->mmPerPixel, 1e-9);
    $alike = ['looks' => 0, 'levels' => 0, 'grain' => 0];
    for ($at = 0; $at < 200 * 150; $at++) {
        $there = (120 + intdiv($at, 200)) * 400 + 100 + ($at % 200);
        foreach (array_keys($alike) as $what) {
            $alike[$what] += abs(ord($piece->{$what}[$at]) - ord($whole->{$what}[$there])) <= ($what === 'grain' ? 1 : 0) ? 1 : 0;
        }
    }
    // Ranks in the tooth are of the piece alone.
    expect($alike['looks'])
        ->toBe(200 * 150)
        ->and($alike['levels'])
        ->toBe(200 * 150)
        ->and($alike['grain'] / (200 * 150))
        ->toBeGreaterThan(0.9);
});
