<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Grid\Outlines;
use KnottyPrism\Core\Photo\Grid\Raster;
use KnottyPrism\Core\Photo\Notes\SpotPlace;
use KnottyPrism\Core\Photo\Notes\Survey;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Zones\Distance;
use KnottyPrism\Core\Photo\Zones\Importance;
use KnottyPrism\Core\Photo\Zones\KeptWhites;
use KnottyPrism\Core\Photo\Zones\ShadeName;
use KnottyPrism\Core\Photo\Zones\Surface;
use KnottyPrism\Core\Photo\Zones\ZoneNote;
use KnottyPrism\Core\Photo\Zones\ZonePiece;
use KnottyPrism\Core\Photo\Zones\ZoneReading;
use KnottyPrism\Core\Photo\Zones\ZoneSheet;

/** Two zones of 30 × 40 pixels beside each other, left and right. */
function twoZones(?ZoneNote $left = null, ?ZoneNote $right = null): ZoneSheet
{
    return new ZoneSheet(new LabelGrid(60, 40, str_repeat(str_repeat("\1", 30).str_repeat("\2", 30), 40)), [
        1 => $left ?? new ZoneNote('left'),
        2 => $right ?? new ZoneNote('right'),
    ]);
}

/** @return array<int, int> pixels by zone */
function sizes(ZoneSheet $sheet): array
{
    return array_map(count(...), $sheet->pixels());
}

/** A grid in greys by place. */
function greys(int $width, int $height, Closure $lightness): PixelGrid
{
    return gridOf($width, $height, static fn (int $x, int $y): array => [$lightness($x, $y), 0, 0]);
}

it('splits a zone along a line, gives the smaller part a number and a name, and leaves all others alone', function () {
    $sheet = twoZones(new ZoneNote('wall', Importance::Most, Surface::Rough, places: ['light' => 0.5]));
    $split = $sheet->split(1, [[0.0, 0.25], [0.5, 0.25]]);
    expect(array_keys($split->notes))
        ->toBe([1, 2, 3])
        ->and($split->note(3)->name)
        ->toBe('wall 2')
        ->and($split->note(3)->surface)
        ->toBe(Surface::Rough)
        ->and($split->note(3)->places)
        ->toBe([])
        ->and($split->note(1)->places)
        ->toBe(['light' => 0.5])
        ->and(array_sum(sizes($split)))
        ->toBe(2400)
        ->and(sizes($split)[2])
        ->toBe(1200)
        ->and(sizes($split)[3])
        ->toEqualWithDelta(300, 31);
    // Nobody ends exactly on a border; a line that plainly does not cross is refused, and a crooked one may turn back.
    expect(array_keys($sheet->split(1, [[0.01, 0.5], [0.49, 0.5]])->notes))
        ->toHaveCount(3)
        ->and(fn () => $sheet->split(1, [[0.1, 0.5], [0.3, 0.5]]))
        ->toBeRefused('from one edge of the zone to another')
        ->and(fn () => $sheet->split(1, [[0.1, 0.5]]))
        ->toBeRefused('two points')
        ->and(fn () => $sheet->split(9, [[0, 0], [1, 1]]))
        ->toBeRefused('zone no longer exists');
    $corner = $sheet->split(1, [[0.2, -0.1], [0.2, 0.5], [-0.1, 0.5]]);
    expect(sizes($corner)[3])->toEqualWithDelta(12 * 20, 40);
});

it('makes one piece of a zone a zone of its own, and cuts one piece without touching the others', function () {
    // Three columns of one zone before a wall.
    $bytes = implode(
        '',
        array_map(static fn (int $at): string => in_array(intdiv($at % 60, 10), [1, 3, 5], true) ? "\2" : "\1", range(0, 2399)),
    );
    $sheet = new ZoneSheet(new LabelGrid(60, 40, $bytes), [
        1 => new ZoneNote('wall'),
        2 => new ZoneNote('columns', Importance::Most, Surface::Rough),
    ]);
    $pieces = ZonePiece::of($sheet->labels, 2);
    expect(array_map(static fn (ZonePiece $p): string => $p->where, $pieces))
        ->toBe(['middle left', 'middle', 'middle right'])
        ->and(array_sum(array_map(static fn (ZonePiece $p): float => $p->area, $pieces)))
        ->toEqualWithDelta(0.5, 1e-9);
    $own = $sheet->parted(2, 0.6, 0.9);
    expect(sizes($own))
        ->toBe([1 => 1200, 2 => 800, 3 => 400])
        ->and($own->note(3)->name)
        ->toBe('columns 2')
        ->and($own->note(3)->surface)
        ->toBe(Surface::Rough)
        ->and($own->labels->at(0.6, 0.1))
        ->toBe(3)
        ->and($own->labels->at(0.2, 0.1))
        ->toBe(2)
        ->and($own->labels->at(0.95, 0.9))
        ->toBe(2);
    expect(fn () => $own->parted(3, 0.6, 0.9))
        ->toBeRefused('in one piece')
        ->and(fn () => $sheet->parted(2, 0.05, 0.5))
        ->toBeRefused('There is no piece of "columns" there');
    // The line ends within the third column: only the second is cut.
    $split = $sheet->split(2, [[0.45, 0.25], [0.9, 0.25]]);
    expect(sizes($split)[3])
        ->toEqualWithDelta(100, 21)
        ->and($split->labels->at(0.6, 0.1))
        ->toBe(3)
        ->and($split->labels->at(0.9, 0.1))
        ->toBe(2)
        ->and($split->labels->at(0.2, 0.1))
        ->toBe(2);
});

it('merges, redraws and takes away, and every pixel always belongs to a zone that exists', function () {
    $sheet = twoZones();
    $box = static fn (float $l, float $t, float $r, float $b): array => [[$l, $t], [$r, $t], [$r, $b], [$l, $b]];
    $grown = $sheet->redrawn(1, $box(0.4, 0.25, 0.75, 0.75));
    expect(sizes($grown))->toBe([1 => 1200 + 15 * 20, 2 => 1200 - 15 * 20]);
    $new = $sheet->redrawn(null, $box(0.25, 0.25, 0.75, 0.75));
    expect($new->note(3)->name)
        ->toBe('new zone')
        ->and($new->redrawn(null, $box(0, 0, 0.1, 0.1))->note(4)->name)
        ->toBe('new zone 2')
        ->and(sizes($new)[3])
        ->toBe(600);
    $taken = $new->takenFrom(3, $box(0.25, 0.25, 0.5, 0.75));
    expect(sizes($taken))->toBe([1 => 1200, 2 => 900, 3 => 300]);
    expect(sizes($taken->merged(2, 3)))
        ->toBe([1 => 1200, 2 => 1200])
        ->and(array_keys($taken->merged(2, 3)->notes))
        ->toBe([1, 2]);
    // A zone that another swallows is forgotten, and its number is free again.
    $swallowed = $sheet->redrawn(1, $box(-0.1, -0.1, 1.1, 1.1));
    expect(array_keys($swallowed->notes))
        ->toBe([1])
        ->and(array_keys($swallowed->redrawn(null, $box(0, 0, 0.2, 0.2))->notes))
        ->toBe([1, 2]);
    expect(fn () => $sheet->redrawn(1, $box(0.5, 0.5, 0.501, 0.501)))
        ->toBeRefused('too small')
        ->and(fn () => $sheet->takenFrom(1, $box(-1, -1, 2, 2)))
        ->toBeRefused('merge it with a neighbour')
        ->and(fn () => $sheet->merged(1, 1))
        ->toBeRefused('Two different zones');
});

it('keeps its promises under any sequence of changes', function () {
    mt_srand(4);
    $point = static fn (): array => [mt_rand(-5, 105) / 100, mt_rand(-5, 105) / 100];
    $sheet = twoZones();
    $made = 0;
    for ($n = 0; $n < 120; $n++) {
        $zones = array_keys($sheet->notes);
        $zone = $zones[array_rand($zones)];
        try {
            $sheet = match (mt_rand(0, 5)) {
                0, 1 => $sheet->split($zone, [$point(), $point()]),
                2 => $sheet->redrawn(mt_rand(0, 1) === 0 ? null : $zone, [$point(), $point(), $point(), $point()]),
                3 => $sheet->takenFrom($zone, [$point(), $point(), $point()]),
                4 => $sheet->parted($zone, ...$point()),
                default => count($zones) > 8 ? $sheet->merged($zone, $zones[array_rand($zones)]) : $sheet,
            };
            $made++;
        } catch (KnottyPrism\Core\Error\CoreError) {
            // Refused changes leave the sheet as it was.
        }
        $sizes = sizes($sheet);
        expect(array_sum($sizes))
            ->toBe(2400)
            ->and(min($sizes))
            ->toBeGreaterThan(0)
            ->and(array_keys($sizes))
            ->toEqualCanonicalizing(array_keys($sheet->notes));
    }
    expect($made)->toBeGreaterThan(60);
});

it('draws closed, smooth outlines that enclose what they should', function () {
    $disc = '';
    for ($y = 0; $y < 40; $y++) {
        for ($x = 0; $x < 60; $x++) {
            $disc .= ($x - 30) ** 2 + ($y - 20) ** 2 < 144 ? "\2" : "\1";
        }
    }
    $outlines = new Outlines(new LabelGrid(60, 40, $disc));
    $area = static function (array $flat): float {
        $points = array_chunk($flat, 2);
        $sum = 0.0;
        foreach ($points as $i => [$x, $y]) {
            [$u, $v] = $points[($i + 1) % count($points)];
            $sum += $x * 40 * $v * 60 - $u * 60 * $y * 40;
        }

        return abs($sum) / 2;
    };
    [$round] = $outlines->of(2);
    expect($outlines->of(2))
        ->toHaveCount(1)
        ->and(($area($round) * 60 * 40) / 2400)
        ->toEqualWithDelta(substr_count($disc, "\2"), 12);
    // Smooth: every point lies within a pixel of the circle.
    foreach (array_chunk($round, 2) as [$x, $y]) {
        expect(hypot($x * 60 - 30.5, $y * 40 - 20.5))->toEqualWithDelta(12, 0.9);
    }
    // The ground has an outer and an inner line, and the outer one stays on the frame.
    $ground = $outlines->of(1);
    expect($ground)->toHaveCount(2)->and(max(array_map(max(...), $ground)))->toBe(1.0)->and(min(array_map(min(...), $ground)))->toBe(0.0);
    [$border] = $outlines->between(1, 2);
    expect(count($border))->toBeGreaterThan(40)->and($outlines->between(2, 7))->toBe([]);
});

it('reads a zone along its own values, and moves a target where it is dragged', function () {
    $grid = greys(60, 40, static fn (int $x, int $y): float => $x < 30 ? 20 + 2 * $x : 90);
    $pixels = twoZones()->pixels()[1];
    $whites = (new KeptWhites())->on($grid);
    $read = ZoneReading::of($grid, $pixels, new ZoneNote('ramp'), $whites);
    expect($read->range[0])
        ->toEqualWithDelta(20, 2.5)
        ->and($read->range[1])
        ->toEqualWithDelta(78, 2.5)
        ->and($read->zone->shades['dark']->l)
        ->toBeLessThan($read->zone->shades['mid']->l)
        ->and($read->zone->shades['mid']->l)
        ->toBeLessThan($read->zone->shades['light']->l)
        ->and($read->placeOf($read->zone->shades['mid']))
        ->toEqualWithDelta(0.5, 0.1);
    $moved = ZoneReading::of(
        $grid,
        $pixels,
        (new ZoneNote('ramp'))->withPlace(ShadeName::Mid, 0.2)->withPlace(ShadeName::Touch, 1.0),
        $whites,
    );
    expect($moved->placeOf($moved->zone->shades['mid']))
        ->toEqualWithDelta(0.2, 0.02)
        ->and($moved->placeOf($moved->zone->shades['touch']))
        ->toEqualWithDelta(1.0, 0.02)
        ->and($moved->zone->shades['light']->l)
        ->toBe($read->zone->shades['light']->l);
    $run = array_map(static fn (Lab $lab): float => $lab->l, $read->run);
    $sorted = $run;
    sort($sorted);
    expect($run)->toBe($sorted)->and(fn () => new ZoneNote('a', places: ['middle' => 0.5]))->toBeRefused('light, mid, dark, touch');
});

it('keeps whites by value and by hand, the last word being the brush', function () {
    $grid = greys(60, 40, static fn (int $x): float => $x < 30 ? 97 : 60);
    $kept = static fn (KeptWhites $w): float => substr_count($w->on($grid), "\1") / 2400;
    $plain = new KeptWhites();
    expect($kept($plain))->toEqualWithDelta(0.5, 0.001)->and($kept($plain->keptFrom(101)))->toBe(0.0);
    $painted = $plain->painted(true, 0.1, [[0.75, 0.2], [0.75, 0.8]]);
    expect($kept($painted))
        ->toEqualWithDelta(0.5 + (12 * 24 + M_PI * 36) / 2400, 0.02)
        ->and($kept($painted->painted(false, 0.2, [[0.25, 0.5]])))
        ->toBeLessThan($kept($painted) - 0.1)
        ->and(fn () => $plain->painted(true, 0.1, []))
        ->toBeRefused('at least one point');
});

it('is no sheet where something is drawn that is no zone', function () {
    $note = new ZoneNote('sea');
    expect(new ZoneSheet(new LabelGrid(2, 1, "\1\1"), [1 => $note]))
        ->toBeInstanceOf(ZoneSheet::class)
        ->and(fn () => new ZoneSheet(new LabelGrid(2, 1, "\1\2"), [1 => $note]))
        ->toBeRefused('1 pixels belong to none')
        ->and(fn () => new ZoneSheet(new LabelGrid(3, 1, "\1\1"), [1 => $note]))
        ->toBeRefused('number of pixels');
});

it('comes out of its JSON as it went in, and changes nothing that others hold', function () {
    $survey = (new Survey())
        ->withNewSpot(' rope ', 7, 0.25, 0.5, 9)
        ->withZones(twoZones(new ZoneNote('wall', Importance::Little, Surface::HardAndShiny, Distance::Near, ['mid' => 0.3])))
        ->withWhites((new KeptWhites(90))->painted(true, 0.02, [[0.1, 0.2]]))
        ->withNeutral(7, Lab::ofHex('#e8e0d0'));
    $placed = $survey->withSpot($survey->spot(1)->placed(8, new SpotPlace(0.3, 0.55, 20))->named('rope, lit'));
    $back = Survey::ofArray(json_decode((string) json_encode($placed->toArray()), true));
    expect($back->toArray())
        ->toEqual($placed->toArray())
        ->and($back->zones?->labels->bytes)
        ->toBe(twoZones()->labels->bytes)
        ->and($back->spot(1)->on(8))
        ->toEqual(new SpotPlace(0.3, 0.55, 20))
        ->and($survey->spot(1)->on(8))
        ->toEqual(new SpotPlace(0.25, 0.5, 9))
        ->and($survey->spot(1)->name)
        ->toBe('rope')
        ->and($back->balanceOf(7)?->pointedAt->l)
        ->toEqualWithDelta(Lab::ofHex('#e8e0d0')->l, 1e-6)
        ->and($back->balanceOf(8))
        ->toBeNull();
    expect(fn () => $survey->withoutSpot(5))
        ->toBeRefused('spot no longer exists')
        ->and(fn () => (new Survey())->sheet())
        ->toBeRefused('propose zones first')
        ->and(fn () => $survey->withNewSpot('  ', 7, 0.1, 0.1, 9))
        ->toBeRefused('Give the spot a name')
        ->and(fn () => $survey->withNewSpot('x', 7, 1.2, 0.1, 9))
        ->toBeRefused('between 0 and 1');
});

it('covers with a brush just the pixels that lie within its radius of the line that was drawn', function () {
    mt_srand(7);
    $wrong = 0;
    for ($n = 0; $n < 40; $n++) {
        [$width, $height, $radius] = [mt_rand(3, 50), mt_rand(3, 50), mt_rand(1, 200) / 1000];
        $points = array_map(static fn (): array => [mt_rand(-100, 200) / 100, mt_rand(-100, 200) / 100], range(1, mt_rand(1, 6)));
        $covered = Raster::brushed($points, $radius, $width, $height);
        $r = max(0.5, $radius * $width);
        for ($at = 0; $at < $width * $height; $at++) {
            [$x, $y] = [($at % $width) + 0.5, intdiv($at, $width) + 0.5];
            $nearest = INF;
            foreach ($points as $i => $from) {
                $to = $points[min(count($points) - 1, $i + 1)];
                [$ax, $ay, $dx, $dy] = [
                    $from[0] * $width,
                    $from[1] * $height,
                    ($to[0] - $from[0]) * $width,
                    ($to[1] - $from[1]) * $height,
                ];
                $along = max(0.0, min(1.0, (($x - $ax) * $dx + ($y - $ay) * $dy) / max(1e-12, $dx * $dx + $dy * $dy)));
                $nearest = min($nearest, hypot($x - $ax - $along * $dx, $y - $ay - $along * $dy));
            }
            $wrong += (int) (abs($nearest - $r) > 1e-9 && $nearest <= $r !== isset($covered[$at]));
        }
    }
    expect($wrong)->toBe(0);
});

it('keeps of a stroke only the points that say something, and is unpacked no further than it is large', function () {
    $still = (new KeptWhites())->painted(true, 0.1, array_fill(0, 3000, [0.5, 0.5]));
    expect($still->strokes[0]->points)->toHaveCount(2);
    $packed = base64_encode((string) gzcompress(str_repeat("\1", 5000)));
    expect(fn () => ZoneSheet::relabelled(LabelGrid::ofPacked(10, 10, $packed), [1 => new ZoneNote('all')]))->toBeRefused(
        'can’t be unpacked',
    );
    expect(
        ZoneSheet::relabelled(LabelGrid::ofPacked(50, 100, $packed), [1 => new ZoneNote('all'), 7 => new ZoneNote('nothing')])->notes,
    )->toHaveCount(1);
});
