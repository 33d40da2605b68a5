<?php

declare(strict_types=1);

use KnottyPrism\Core\Chart\BenchCamera\BenchCamera;
use KnottyPrism\Core\Chart\BenchCamera\DrawnPicture;
use KnottyPrism\Core\Chart\BenchCamera\Shot;
use KnottyPrism\Core\Chart\Check\CheckDrawing;
use KnottyPrism\Core\Chart\Check\CheckedShade;
use KnottyPrism\Core\Chart\Check\CheckedZone;
use KnottyPrism\Core\Chart\Check\DrawingCheck;
use KnottyPrism\Core\Chart\Check\DrawingPlan;
use KnottyPrism\Core\Chart\Check\ExpectedDrawing;
use KnottyPrism\Core\Chart\Check\ShadeFinding;
use KnottyPrism\Core\Chart\Check\StrayLight;
use KnottyPrism\Core\Chart\Reading\Photograph;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Error\BadPhoto;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Zones\ShadeName;
use KnottyPrism\Core\Picture\PassesLaid;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use Tests\Core\Pencils;

/**
 * A picture of three zones, a sky, a hill and a boat, each graded from its light to its dark across; or another, where these lie otherwise.
 */
function threeZones(bool $other = false): DrawingPlan
{
    static $plans = [];
    [$width, $height] = [96, 72];
    $stacks = [
        1 => ['blue@0.20 white@0.20', 'blue@0.35 blue@0.20'],
        2 => ['green@0.35 yellow@0.35 red@0.20', 'green@0.80 red@0.55 blue@0.55'],
        3 => ['red@0.35 orange@0.35', 'red@0.80 dark-warm-grey@0.80'],
    ];
    $bytes = '';
    $numbers = [];
    for ($y = 0; $y < $height; $y++) {
        for ($x = 0; $x < $width; $x++) {
            $zone = $other
                ? (hypot($x - 48, $y - 36) < 22
                    ? 1
                    : ($x < 14
                        ? 3
                        : 2))
                : ($y < 34 - 0.15 * $x
                    ? 1
                    : ($x > 20 && $x < 50 && $y > 45 && $y < 62
                        ? 3
                        : 2));
            $numbers[] = $zone;
            $grey = [1 => 225, 2 => 150, 3 => 110][$zone] - (int) ((50 * $x) / $width);
            $bytes .= chr($grey).chr($grey).chr($grey);
        }
    }
    $photo = PixelGrid::ofSrgb($width, $height, $bytes);
    $zones = [];
    foreach ($stacks as $number => [$light, $dark]) {
        $own = array_map(
            static fn (int $at): float => $photo->l[$at],
            array_keys(array_filter($numbers, static fn (int $n): bool => $n === $number)),
        );
        $shade = static fn (ShadeName $shade, float $l, string $stack): CheckedShade => new CheckedShade(
            $shade,
            $shade->value,
            new Lab($l, 0, 0),
            Lab::ofXyz(Pencils::stack($stack)->on(Paper::whiteMedium())->xyz()),
            Pencils::stack($stack),
            range(0, substr_count($stack, '@')),
        );
        $zones[] = new CheckedZone($number, ['', 'sky', 'hill', 'boat'][$number], [
            $shade(ShadeName::Light, max($own), $light),
            $shade(ShadeName::Dark, min($own), $dark),
        ]);
    }

    return $plans[(int) $other] ??= new DrawingPlan(
        LabelGrid::ofNumbers($width, $height, $numbers),
        $photo,
        $zones,
        Paper::whiteMedium(),
    );
}

function drawnSo(PassesLaid $progress, int $seed, float $margin = 14.0): DrawnPicture
{
    return new DrawnPicture(threeZones(), $progress, 140.0, $margin, $seed);
}

function checkOf(Photograph $photo, PassesLaid $progress, ?DrawingPlan $plan = null, ?array $corners = null): DrawingCheck
{
    return CheckDrawing::of(
        $photo,
        $plan ?? threeZones(),
        $progress,
        array_map(Pencils::named(...), ['red', 'blue', 'green', 'yellow', 'black', 'white']),
        $corners,
    );
}

it('finds the drawing in an ordinary photo, however it lies, and reads what is there at every stage', function (
    int $passes,
    int $seed,
    float $median,
    float $most,
    bool $shadow,
) {
    $progress = new PassesLaid($passes);
    $drawn = drawnSo($progress, $seed);
    $shot = Shot::ordinary($seed);
    $check = checkOf(BenchCamera::photograph($drawn->flat, $shadow ? $shot : $shot->withoutShadow(), 1000, $seed), $progress);
    $off = [];
    foreach ($check->findings as $f) {
        $there = $drawn->truth[$f->zone->number][array_search($f->shade, $f->zone->shades, true)];
        $off[] = abs($f->found->l - $there->l);
        if ($there->chroma() > 12) {
            expect(abs(fmod($f->found->hueDegrees() - $there->hueDegrees() + 540, 360) - 180))->toBeLessThan(15.0);
        }
    }
    sort($off);
    expect(count($off))
        ->toBeGreaterThanOrEqual(5)
        ->and($off[intdiv(count($off), 2)])
        ->toBeLessThan($median)
        ->and(max($off))
        ->toBeLessThan($most)
        ->and($check->alike)
        ->toBeGreaterThan(0.75);
})->with([
    'one pass' => [1, 3, 2.0, 4.0, false],
    'two passes' => [2, 4, 2.0, 4.0, false],
    'all' => [3, 12, 2.0, 4.0, false],
    // A hand's shadow lies over it: its edge is a line from one margin to another.
    'in shadow' => [3, 11, 2.0, 5.0, true],
    'in another' => [1, 3, 2.0, 5.0, true],
]);

it('knows a drawing that is just begun, light all over, by its colours', function (int $seed) {
    [$width, $height] = [96, 72];
    $numbers = $zones = [];
    foreach (range(0, $width * $height - 1) as $at) {
        $numbers[] = 1 + (int) ($at % $width >= $width / 2) + 2 * (int) ($at >= ($width * $height) / 2);
    }
    $photo = PixelGrid::ofSrgb(
        $width,
        $height,
        implode('', array_map(static fn (int $n): string => str_repeat(chr(70 + 40 * $n), 3), $numbers)),
    );
    foreach (['red@0.20', 'blue@0.20', 'yellow@0.55', 'green@0.20'] as $i => $stack) {
        $stack = Pencils::stack($stack);
        $zones[] = new CheckedZone($i + 1, "field $i", [
            new CheckedShade(
                ShadeName::Light,
                'light',
                new Lab($photo->l[(int) array_search($i + 1, $numbers, true)], 0, 0),
                Lab::ofXyz($stack->on(Paper::whiteMedium())->xyz()),
                $stack,
                [0, 1],
            ),
        ]);
    }
    $plan = new DrawingPlan(LabelGrid::ofNumbers($width, $height, $numbers), $photo, $zones, Paper::whiteMedium());
    $drawn = new DrawnPicture($plan, new PassesLaid(1), 200.0, 18.0, $seed);
    $check = checkOf(
        BenchCamera::photograph($drawn->flat, Shot::ordinary($seed)->withoutShadow(), 1000, $seed),
        new PassesLaid(1),
        $plan,
    );
    foreach ($check->findings as $finding) {
        expect($finding->found->deltaE00($drawn->truth[$finding->zone->number][0]))->toBeLessThan(5.0, $finding->zone->name);
    }
    expect($check->findings)->toHaveCount(4);
})->with([7, 9, 11]);

it('takes stray light off that lifts the darks alone, and leaves the hand what is the hand\'s', function () {
    // Luminance, and by how much a hand sways it: a dark of firm coats hardly, what is laid lightly much.
    $expected = array_merge(
        ...array_fill(0, 3, [
            [0.03, 0.8],
            [0.05, 1.0],
            [0.08, 2.5],
            [0.12, 1.5],
            [0.2, 3.0],
            [0.35, 3.5],
            [0.5, 4.0],
            [0.7, 3.0],
            [0.9, 1.0],
        ]),
    );
    $seen = static fn (float $veil, float $heavier = 0.0, array $off = []): float => StrayLight::in(
        array_map(
            static function (array $shade, int $i) use ($veil, $heavier, $off): array {
                $laid = ((116 * $shade[0] ** (1 / 3) - $heavier * $shade[1] + ($off[$i] ?? 0.0)) / 116) ** 3;

                return [($laid + $veil) / (1 + $veil), ...$shade];
            },
            $expected,
            array_keys($expected),
        ),
    );
    expect($seen(0.0))
        ->toBeLessThan(0.002)
        ->and($seen(0.02))
        ->toEqualWithDelta(0.02, 0.003)
        ->and($seen(0.006))
        ->toEqualWithDelta(0.006, 0.002)
        // A lighter hand and a heavier one are no stray light; nor is one dark that is laid far too light, nor what sways anyhow.
        ->and($seen(0.0, -0.8))
        ->toBeLessThan(0.003)
        ->and($seen(0.0, 0.8))
        ->toBeLessThan(0.003)
        ->and($seen(0.0, 0.0, [15.0]))
        ->toBeLessThan(0.004)
        ->and($seen(0.004, 0.0, [2 => 4.0, 11 => 4.0, 20 => 3.0]))
        ->toEqualWithDelta(0.004, 0.002)
        ->and($seen(0.012, -0.8))
        ->toEqualWithDelta(0.012, 0.003)
        ->and(StrayLight::in([[0.06, 0.03, 1.0], [0.9, 0.9, 1.0]]))
        ->toBe(0.0);
});

it('says what differs most first, and what mends it', function () {
    // The boat's last passes are not laid, though they are said to be.
    $laid = new PassesLaid(60, [3 => 0]);
    $check = checkOf(BenchCamera::photograph(drawnSo($laid, 2)->flat, new Shot(), 1000, 2), PassesLaid::whole());
    expect($check->findings[0]->zone->name)
        ->toBe('boat')
        ->and($check->findings[0]->words())
        ->toContain('too light')
        ->and($check->summary())
        ->toContain('"boat" is')
        ->toContain('too light')
        ->and($check->meanDeltaE00())
        ->toBeGreaterThan(1.0);
    $leaning = new ShadeFinding(
        $check->findings[0]->zone,
        $check->findings[0]->shade,
        new Lab(50, 0, 20),
        new Lab(50, 6.8, 18.8),
        0.2,
        $check->findings[0]->way,
    );
    expect((new DrawingCheck([], 1.0, [$leaning], 0, 0, ''))->summary())
        ->toContain('"boat" leans too ')
        ->not->toContain(' is ');
    $light = array_values(
        array_filter($check->findings, static fn ($f): bool => $f->zone->name === 'boat' && $f->shade->of === ShadeName::Light),
    )[0];
    expect($light->way->words())->toStartWith('red ');
    $calm = checkOf(BenchCamera::photograph(drawnSo($laid, 2)->flat, new Shot(), 1000, 2), $laid);
    expect($calm->meanDeltaE00())->toBeLessThan($check->meanDeltaE00());
    // On the map the boat is lighter than the grey of no difference.
    $boat = ord($check->differences[3 * (54 * $check->width + 35) + 1]);
    $sky = ord($check->differences[3 * (8 * $check->width + 60) + 1]);
    expect($boat)->toBeGreaterThan($sky + 20);
});

it('goes by corners that are set by hand', function () {
    $photo = BenchCamera::photograph(drawnSo(PassesLaid::whole(), 2)->flat, new Shot(), 1000, 2);
    $found = checkOf($photo, PassesLaid::whole());
    $near = array_map(static fn (array $c): array => [($c[0] + 0.004) * $photo->width, ($c[1] - 0.004) * $photo->height], $found->corners);
    $byHand = checkOf($photo, PassesLaid::whole(), corners: $near);
    foreach ($byHand->corners as $i => $corner) {
        expect(hypot($corner[0] - $found->corners[$i][0], $corner[1] - $found->corners[$i][1]))->toBeLessThan(0.02);
    }
});

it('refuses each photo that nothing can be told by, with its own sentence', function (Closure $photo, string $reason) {
    try {
        checkOf($photo(), PassesLaid::whole());
        $said = 'nothing';
    } catch (BadPhoto $error) {
        $said = $error->reason;
    }
    expect($said)->toBe($reason);
})->with([
    'another drawing' => [
        fn () => BenchCamera::photograph(
            (new DrawnPicture(threeZones(other: true), PassesLaid::whole(), 140.0, 14.0, 2))->flat,
            new Shot(),
            900,
            2,
        ),
        BadPhoto::OTHER_DRAWING,
    ],
    'nothing but a table' => [fn () => new Photograph(400, 300, str_repeat("\x50\x40\x30", 120000)), BadPhoto::NO_DRAWING],
]);

it('wants bare paper around the drawing', function () {
    $photo = BenchCamera::photograph(drawnSo(PassesLaid::whole(), 2, 0.0)->flat, new Shot(), 900, 2);
    expect(fn () => checkOf($photo, PassesLaid::whole(), corners: [[46.0, 46.0], [854.0, 46.0], [854.0, 630.0], [46.0, 630.0]]))->toThrow(
        BadPhoto::class,
    );
});

it('expects of every place what its zone has there by now, graded by the photo', function () {
    $plan = threeZones();
    $none = ExpectedDrawing::of($plan, new PassesLaid(0));
    expect(array_unique(array_map(json_encode(...), $none->light)))->toHaveCount(1);
    $some = ExpectedDrawing::of($plan, new PassesLaid(2, [1 => 0]));
    $luminance = static fn (int $x, int $y): float => $some->light[$y * $some->width + $x][1];
    // The sky is bare still; the hill is done and darkens with the photo.
    expect($luminance(10, 4))
        ->toEqualWithDelta($some->bare[1], 1e-9)
        ->and($luminance(8, 68))
        ->toBeGreaterThan($luminance(50, 68))
        ->and($luminance(50, 68))
        ->toBeGreaterThan($luminance(90, 68));
    expect(fn () => new PassesLaid(61))->toThrow(OutOfRange::class)->and(fn () => new PassesLaid(0, [1 => -1]))->toThrow(OutOfRange::class);
});

it('counts the passes of a zone for each of its shades', function () {
    $sequence = new Sequence([
        new GradedPass(Pencils::named('red'), [Pressure::Light, Pressure::Light]),
        new GradedPass(Pencils::named('green'), [Pressure::Light, null]),
        new GradedPass(Pencils::named('blue'), [null, Pressure::Medium]),
        new GradedPass(Pencils::named('blue'), [Pressure::Light, null]),
    ]);
    [$light, $shade] = CheckedShade::run(
        [
            new Shade('light', new Lab(70, 0, 0)),
            new Shade('mid', new Lab(50, 0, 0), called: 'roof'),
            new Shade('touch', new Lab(40, 30, 0), touch: true),
        ],
        $sequence,
    );
    expect([$light->name, $shade->name])
        ->toBe(['light', 'roof'])
        ->and($light->done(2)->text())
        ->toBe('red@0.35,green@0.35')
        ->and($light->toCome(3)->text())
        ->toBe('blue@0.35');
    expect($shade->done(2)->text())
        ->toBe('red@0.35')
        ->and($shade->toCome(2)->text())
        ->toBe('blue@0.55')
        ->and($shade->done(99)->text())
        ->toBe('red@0.35,blue@0.55')
        ->and($shade->toCome(99)->steps)
        ->toBe([]);
});
