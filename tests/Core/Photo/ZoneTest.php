<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Photo\Grid\Patchwork;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Pixels\Texture;
use KnottyPrism\Core\Photo\Reading\ToneFit;
use KnottyPrism\Core\Photo\Zones\KeptWhites;
use KnottyPrism\Core\Photo\Zones\ShadeColours;
use KnottyPrism\Core\Photo\Zones\ShadeName;
use KnottyPrism\Core\Photo\Zones\Surface;
use KnottyPrism\Core\Photo\Zones\Touch;
use KnottyPrism\Core\Photo\Zones\TouchNote;
use KnottyPrism\Core\Photo\Zones\Zone;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Photo\Zones\ZoneNote;
use KnottyPrism\Core\Photo\Zones\ZoneReading;
use KnottyPrism\Core\Photo\Zones\ZoneSheet;

/** A picture made of places: L*, a*, b* at each pixel as a function of x and y. */
function gridOf(int $width, int $height, Closure $labAt): PixelGrid
{
    $bytes = '';
    for ($y = 0; $y < $height; $y++) {
        for ($x = 0; $x < $width; $x++) {
            $srgb = Srgb::ofXyz((new Lab(...$labAt($x, $y)))->xyz());
            $bytes .= chr((int) round(255 * $srgb->red)).chr((int) round(255 * $srgb->green)).chr((int) round(255 * $srgb->blue));
        }
    }

    return PixelGrid::ofSrgb($width, $height, $bytes);
}

/** Six areas that anyone would tell apart: sky, mountain, meadow, a red roof, a dark door, a white wall; all a little noisy. */
function village(): PixelGrid
{
    mt_srand(9);

    return gridOf(150, 110, static function (int $x, int $y): array {
        $noise = mt_rand(-15, 15) / 10;
        [$l, $a, $b] = match (true) {
            $y < 40 && $y < 40 - 0.4 * abs($x - 90) + 10 && $x > 40 => [45, 4, -14],
            $y < 40 => [80, -4, -14],
            $x > 20 && $x < 80 && $y > 46 && $y < 62 => [42, 40, 28],
            $x > 44 && $x < 56 && $y > 72 && $y < 96 => [16, 2, 4],
            $x > 20 && $x < 80 && $y >= 62 && $y < 96 => [97, 0, 1],
            default => [58, -24, 34],
        };

        return [max(0, min(100, $l + $noise)), $a + mt_rand(-10, 10) / 10, $b + mt_rand(-10, 10) / 10];
    });
}

it('finds the areas that anyone would name, with clean borders, and names each differently', function () {
    $grid = village();
    $map = ZoneMap::proposed($grid, 12);
    expect(count($map->zones))
        ->toBeGreaterThanOrEqual(6)
        ->toBeLessThanOrEqual(12)
        ->and(array_sum(array_map(static fn (Zone $z): float => $z->area, $map->zones)))
        ->toEqualWithDelta(1.0, 1e-9)
        ->and(array_unique(array_map(static fn (Zone $z): string => $z->name, $map->zones)))
        ->toHaveCount(count($map->zones));
    // Places well inside each area fall into six different zones, and none of them into a neighbour's.
    $inside = [
        'sky' => [10, 8],
        'mountain' => [90, 30],
        'roof' => [50, 54],
        'door' => [50, 84],
        'wall' => [30, 80],
        'meadow' => [120, 80],
    ];
    $zones = array_map(static fn (array $p): int => $map->labels->numbers()[$p[1] * 150 + $p[0]], $inside);
    expect(array_unique($zones))->toHaveCount(6);
    foreach ($inside as [$x, $y]) {
        $zone = $map->zones[$map->labels->numbers()[$y * 150 + $x]];
        expect($zone->shades['mid']->deltaE00($grid->lab($y * 150 + $x)))->toBeLessThan(3.0);
    }
    expect($map->zones[$zones['wall']]->keptWhite)
        ->toBeGreaterThan(0.8)
        ->and($map->zones[$zones['meadow']]->keptWhite)
        ->toBeLessThan(0.01)
        ->and($map->zones[$zones['roof']]->name)
        ->toContain('red')
        ->and($map->zones[$zones['door']]->box[0])
        ->toBeGreaterThan(0.25);
    // Clean: hardly a zone is in more pieces than its thing.
    $pieces = Patchwork::joined($map->labels->numbers(), 150, 110, 0);
    expect(count(array_unique($pieces)))->toBeLessThanOrEqual(count($map->zones) + 2);
});

it('cuts no gradient, follows edges, and swallows nothing thin that stands out', function () {
    mt_srand(3);
    $sky = static fn (int $x, int $y): array => [60 + 0.4 * $y + 0.05 * $x, -4 + 0.02 * $x, -30 + 0.3 * $y];
    $wall = static fn (int $x): array => [88 - 0.25 * $x, 4 + 0.03 * $x, 22 - 0.2 * $x];
    $grid = gridOf(160, 120, static function (int $x, int $y) use ($sky, $wall): array {
        $lab = match (true) {
            $x >= 120 && $x < 124 && $y > 10 => [18, 0, -4],
            $y < 62 => $sky($x, $y),
            default => $wall($x),
        };

        return [$lab[0] + mt_rand(-10, 10) / 10, $lab[1] + mt_rand(-10, 10) / 10, $lab[2] + mt_rand(-10, 10) / 10];
    });
    $map = ZoneMap::proposed($grid, 12);
    $at = static fn (int $x, int $y): int => $map->labels->numbers()[$y * 160 + $x];
    // The sky is one zone from top to bottom and the wall from sun to shade, cut by nothing but the post, which is a zone of its own.
    expect($map->zones)
        ->toHaveCount(
            count(array_unique([$at(20, 4), $at(100, 55), $at(140, 30), $at(20, 100), $at(110, 70), $at(140, 110), $at(121, 60)])),
        )
        ->and($at(20, 4))
        ->toBe($at(100, 55))
        ->and($at(20, 100))
        ->toBe($at(110, 70))
        ->and($at(121, 60))
        ->not->toBe($at(20, 4))
        ->not->toBe($at(20, 100));
    // Its border lies on the photo's edges to a pixel nearly everywhere.
    $off = 0;
    for ($y = 20; $y < 115; $y++) {
        for ($x = 112; $x < 132; $x++) {
            $off += ($x >= 120 && $x < 124) === ($at($x, $y) === $at(121, 60)) ? 0 : 1;
        }
    }
    expect($off)->toBeLessThan(20);
});

it('keeps to the number of zones asked for, on any picture', function () {
    mt_srand(2);
    $noise = gridOf(64, 48, static fn (): array => [mt_rand(0, 100), mt_rand(-40, 40), mt_rand(-40, 40)]);
    expect(count(ZoneMap::proposed($noise, 8)->zones))->toBeLessThanOrEqual(8);
    $flat = ZoneMap::proposed(gridOf(40, 30, static fn (): array => [60, 5, 5]));
    expect($flat->zones)->not->toBe([])->and($flat->zones[1]->shades)->toHaveKey('mid')->not->toHaveKey('touch');
    expect(fn () => ZoneMap::proposed($noise, 21))
        ->toThrow(OutOfRange::class)
        ->and(fn () => PixelGrid::ofSrgb(4, 4, 'abc'))
        ->toThrow(OutOfRange::class);
    expect(ZoneMap::proposed(gridOf(3, 2, static fn (int $x): array => [30 * $x, 0, 0]))->zones)->not->toBe([]);
});

it('takes its shades from bands of value that no glint and no speck can move', function () {
    $ramp = static fn (int $x, int $y): array => [30 + 0.4 * $x, 10, 20];
    $clean = gridOf(100, 40, $ramp);
    $specks = gridOf(
        100,
        40,
        static fn (int $x, int $y): array => ($x * 7 + $y * 13) % 97 === 0
            ? [99, 0, 0]
            : (($x * 5 + $y * 3) % 89 === 0
                ? [2, 0, 0]
                : $ramp($x, $y)),
    );
    $all = range(0, 3999);
    [$before, $after] = [ShadeColours::of($clean, $all), ShadeColours::of($specks, $all)];
    foreach (['light', 'mid', 'dark'] as $shade) {
        expect($after[$shade]->deltaE00($before[$shade]))->toBeLessThan(1.5);
    }
    expect($before['light']->l)
        ->toBeGreaterThan($before['mid']->l + 8)
        ->and($before['dark']->l)
        ->toBeLessThan($before['mid']->l - 8);
    $patch = gridOf(100, 40, static fn (int $x, int $y): array => $x < 10 && $y < 10 ? [55, 60, 40] : [60, 0, 0]);
    expect(Zone::measured($patch, $all)->shades['touch']->a)
        ->toBeGreaterThan(50.0)
        ->and(Zone::measured($clean, $all)->shades)
        ->not->toHaveKey('touch');
});

it('fits tones without turning their order round or moving the middle, and says what is out of reach', function () {
    $lightness = array_map(static fn (int $i): float => $i / 10, range(20, 1000));
    $fit = new ToneFit($lightness, 20.0, 95.0);
    $last = -1.0;
    for ($l = 0; $l <= 100; $l++) {
        $fitted = $fit->fitted(new Lab($l, 3, 4));
        expect($fitted->l)
            ->toBeGreaterThanOrEqual($last)
            ->toBeGreaterThanOrEqual(20.0)
            ->toBeLessThanOrEqual(95.0)
            ->and($fitted->a)
            ->toBe(3.0);
        $last = $fitted->l;
    }
    expect($fit->fitted(new Lab(57, 0, 0))->l)
        ->toBe(57.0)
        ->and($fit->words())
        ->toContain('darkest 17 %')
        ->toContain('lightest 4 %')
        ->and((new ToneFit([30.0, 60.0, 90.0], 20.0, 95.0))->words())
        ->toBe('')
        ->and((new ToneFit([30.0, 60.0, 90.0], 20.0, 95.0))->fitted(new Lab(30, 0, 0))->l)
        ->toBe(30.0);
});

/** A dark roof, graded, with a red row of columns and a teal trim. */
function roof(): PixelGrid
{
    mt_srand(5);

    return gridOf(120, 60, static function (int $x, int $y): array {
        $lab = match (true) {
            $y > 48 && $x % 12 < 6 => [36, 42, 28],
            $y > 8 && $y < 12 => [48, -26, -6],
            default => [34 - 0.2 * $y, 3, 1 - 0.03 * $x],
        };

        return [$lab[0] + mt_rand(-10, 10) / 10, $lab[1] + mt_rand(-10, 10) / 10, $lab[2] + mt_rand(-10, 10) / 10];
    });
}

it('finds other colours within a zone and where they lie, but no touch in what light and shade alone make', function () {
    $grid = roof();
    $zone = Zone::measured($grid, range(0, 7199));
    expect(array_map(static fn (Touch $t): ShadeName => $t->shade, $zone->touches))->toBe([ShadeName::Touch, ShadeName::SecondTouch]);
    [$red, $teal] = $zone->touches;
    expect($red->lab->a)
        ->toBeGreaterThan(35.0)
        ->and($red->name)
        ->toContain('red')
        ->and($red->share)
        ->toEqualWithDelta(0.092, 0.02)
        ->and($teal->lab->a)
        ->toBeLessThan(-20.0)
        ->and($teal->share)
        ->toEqualWithDelta(0.05, 0.01)
        ->and(min(array_map(static fn (int $at): int => intdiv($at, 120), $red->pixels)))
        ->toBeGreaterThan(48)
        ->and(
            $zone->shareOf(ShadeName::Light) +
                $zone->shareOf(ShadeName::Mid) +
                $zone->shareOf(ShadeName::Dark) +
                $red->share +
                $teal->share,
        )
        ->toEqualWithDelta(1.0, 1e-9);
    $lit = gridOf(100, 40, static fn (int $x): array => [15 + 0.7 * $x, 6 + 0.1 * $x, 10 + 0.15 * $x]);
    expect(Zone::measured($lit, range(0, 3999))->touches)->toBe([]);
});

it('takes touches where someone placed them, in their order and under their names, and reads what was kept before', function () {
    $grid = roof();
    $note = (new ZoneNote('roof'))->withTouches([new TouchNote('trim', 0.5, 0.17), new TouchNote('columns', 0.02, 0.9)]);
    $read = static fn (ZoneNote $n): array => ZoneReading::of($grid, range(0, 7199), $n, (new KeptWhites())->on($grid))->zone->touches;
    [$trim, $columns] = $read(ZoneNote::ofArray(json_decode((string) json_encode($note->toArray()), true)));
    expect($trim->name)
        ->toBe('trim')
        ->and($trim->shade)
        ->toBe(ShadeName::Touch)
        ->and($trim->lab->a)
        ->toBeLessThan(-20.0)
        ->and($columns->name)
        ->toBe('columns')
        ->and($columns->lab->a)
        ->toBeGreaterThan(35.0);
    expect($read($note->withTouches([])))
        ->toBe([])
        ->and($read($note->withoutPlaces()))
        ->toHaveCount(2)
        ->and(fn () => new TouchNote(' ', 0, 0))
        ->toThrow(ImpossibleChange::class)
        ->and(fn () => $note->withTouches(array_fill(0, 4, new TouchNote('x', 0, 0))))
        ->toThrow(OutOfRange::class);
});

it('takes what changes from stroke to stroke for rough, and what only goes from light to dark for smooth, edges or not', function () {
    $noise = static fn (int $x, int $y, float $by): float => $by * ((($x * 7919 + $y * 104729 + $x * $y * 31) % 17) / 8 - 1);
    $texture = static function (Closure $lightness): float {
        $grid = greys(40, 40, $lightness);

        return Texture::of($grid, range(0, 1599));
    };
    $ramp = $texture(static fn (int $x, int $y): float => 30 + $x);
    $edge = $texture(static fn (int $x, int $y): float => $x < 20 ? 30 : 70);
    $stone = $texture(static fn (int $x, int $y): float => 50 + $noise($x, $y, 5));
    expect(Surface::likely($ramp))
        ->toBe(Surface::Smooth)
        ->and(Surface::likely($edge))
        ->toBe(Surface::Smooth)
        ->and(Surface::likely($stone))
        ->toBe(Surface::Rough)
        ->and(Texture::of(greys(40, 40, static fn (): float => 50.0), [0, 1, 2]))
        ->toBe(0.0);

    // Proposed with the zones, whatever they are called.
    $sheet = ZoneSheet::proposed(
        gridOf(80, 60, static fn (int $x, int $y): array => $x < 40 ? [55, 40, 30] : [50 + $noise($x, $y, 8), -20, -20]),
        6,
    );
    expect($sheet->note($sheet->labels->at(0.2, 0.5))->surface)
        ->toBe(Surface::Smooth)
        ->and($sheet->note($sheet->labels->at(0.8, 0.5))->surface)
        ->toBe(Surface::Rough);
});
