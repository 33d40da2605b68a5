<?php

declare(strict_types=1);

use KnottyPrism\Core\Desk\Words\RunsOut;
use KnottyPrism\Core\Photo\Borders\BorderKind;
use KnottyPrism\Core\Photo\Borders\BorderLines;
use KnottyPrism\Core\Photo\Borders\BorderNotes;
use KnottyPrism\Core\Photo\Borders\FindGradedBorders;
use KnottyPrism\Core\Photo\Borders\GradedBands;
use KnottyPrism\Core\Photo\Borders\GradedBorder;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Grid\Outlines;
use KnottyPrism\Core\Photo\Notes\Survey;
use KnottyPrism\Core\Photo\Zones\Distance;
use KnottyPrism\Core\Photo\Zones\Importance;
use KnottyPrism\Core\Photo\Zones\Neighbours;
use KnottyPrism\Core\Photo\Zones\ZoneNote;
use KnottyPrism\Core\Photo\Zones\ZoneSheet;

/** 120 by 60 pixels: zone 1 left of the middle, zone 2 right of it, zone 3 below both. */
function gradingZones(): LabelGrid
{
    return LabelGrid::ofNumbers(
        120,
        60,
        array_map(static fn (int $at): int => intdiv($at, 120) >= 48 ? 3 : ($at % 120 < 60 ? 1 : 2), range(0, 120 * 60 - 1)),
    );
}

it('finds where the photo has no edge, as wide as the photo takes for it', function () {
    $labels = gradingZones();
    $above = static fn (Closure $l): Closure => static fn (int $x, int $y): float => $y >= 48 ? 15.0 : $l($x, $y);
    $found = static fn (Closure $l): array => FindGradedBorders::in($labels, greys(120, 60, $above($l)));
    // A change over ten pixels, as of a soft shadow: so wide is the band. The edge to what lies below is one.
    $soft = $found(static fn (int $x): float => 50 + 14 * max(0.0, min(1.0, ($x - 54.5) / 10)));
    expect($soft)
        ->toHaveCount(1)
        ->and([$soft[0]->one, $soft[0]->other])
        ->toBe([1, 2])
        ->and($soft[0]->width)
        ->toEqualWithDelta(10.0, 1.6)
        ->and(count($soft[0]->edges))
        ->toBe(48);
    // A change that has no end is bounded by the zones: a fifth of the smaller one to its side.
    $endless = $found(static fn (int $x): float => 30 + 0.4 * $x);
    expect($endless)
        ->toHaveCount(1)
        ->and($endless[0]->width)
        ->toBeGreaterThan(14.0)
        ->toBeLessThan((2 * 0.2 * 60) / 0.8 + 0.1);
    // An edge, however faint for its height, is none to grade over; and texture is no edge.
    expect($found(static fn (int $x): float => $x < 60 ? 50 : 55))->toBe([]);
    expect($found(static fn (int $x, int $y): float => 46 + (crc32("$x/$y") % 9)))->toHaveCount(1);
});

it('ends where the edge begins, narrowing towards it', function () {
    // Edge above, none from row 20 down.
    [$border] = FindGradedBorders::in(
        gradingZones(),
        greys(120, 60, static fn (int $x, int $y): float => $y >= 48 ? 15.0 : ($y < 20 ? ($x < 60 ? 40 : 62) : 50 + 0.1 * $x)),
    );
    $rows = array_map(static fn (array $edge): int => max($edge[1], $edge[3]), $border->edges);
    expect(min($rows))
        ->toBeGreaterThan(17)
        ->toBeLessThan(29)
        ->and(max($rows))
        ->toBe(48)
        ->and(min($border->reach))
        ->toBeLessThan(0.6)
        ->and(max($border->reach))
        ->toBe($border->width / 2);
    $bands = GradedBands::of($labels = gradingZones(), [$border]);
    // Of both there is half on the border, and all of one a band away; above, nothing grades.
    $share = static fn (float $x, float $y): float => $bands->shareAt(0, $x, $y);
    expect($share(60.0, 40.0))
        ->toEqualWithDelta(0.5, 0.02)
        ->and($share(61.0, 40.0))
        ->toBeLessThan($share(59.0, 40.0))
        ->and($bands->pairAt($labels->pixelAt(0.5, 10 / 60)))
        ->toBeNull()
        ->and($bands->pairAt(40 * 120 + (int) (60 + $border->width / 2) + 1))
        ->toBeNull();
    $along = array_map(static fn (int $x): float => $share($x / 4, 40.0), range(160, 320));
    $sorted = $along;
    rsort($sorted);
    expect($along)->toBe($sorted)->and($along[0])->toBe(1.0)->and(end($along))->toBe(0.0);
    // Broken where it grades, drawn through where not, each border once: two upright pieces and the two below.
    [$sharp, $broken] = BorderLines::of($labels, [$border]);
    $long = static fn (array $lines): float => array_sum(
        array_map(
            static fn (array $l): float => array_sum(
                array_map(
                    static fn (int $i): float => hypot(120 * ($l[$i + 2] - $l[$i]), 60 * ($l[$i + 3] - $l[$i + 1])),
                    range(0, count($l) - 4, 2),
                ),
            ),
            $lines,
        ),
    );
    expect($broken)
        ->toHaveCount(1)
        ->and($long($broken))
        ->toEqualWithDelta(count($border->edges), 0.5)
        ->and($long($sharp) + $long($broken))
        ->toEqualWithDelta(48 + 120, 1.0);
});

it('is as the artist says, in whatever the photo has; what is said goes with its zones', function () {
    $labels = gradingZones();
    $sheet = new ZoneSheet($labels, [1 => new ZoneNote('sky'), 2 => new ZoneNote('pale sky'), 3 => new ZoneNote('wall')]);
    $pairs = static fn (ZoneSheet $s): array => array_map(
        static fn (GradedBorder $b): array => [$b->one, $b->other, count($b->edges)],
        FindGradedBorders::in(
            $s->labels,
            greys(120, 60, static fn (int $x, int $y): float => $y >= 48 ? 15.0 : 30 + 0.4 * $x),
            $s->borders,
        ),
    );
    $said = $sheet->meeting(2, 1, BorderKind::Sharp)->meeting(3, 1, BorderKind::Grades);
    expect($pairs($sheet))
        ->toBe([[1, 2, 48]])
        ->and($pairs($said))
        ->toBe([[1, 3, 60]])
        ->and($pairs($said->meeting(1, 2, null)))
        ->toHaveCount(2);
    // Kept through notes and files; a zone that is gone takes what was said of it along, others keep theirs.
    $kept = Survey::ofArray(json_decode((string) json_encode((new Survey(zones: $said))->toArray()), true))->sheet();
    expect($kept->borders)
        ->toEqual($said->borders)
        ->and($kept->with(1, new ZoneNote('heaven'))->borders)
        ->toEqual($said->borders)
        ->and($said->merged(3, 2)->borders->toArray())
        ->toBe([['one' => 1, 'other' => 3, 'kind' => 'grades']])
        ->and($said->merged(2, 1)->borders)
        ->toEqual(new BorderNotes());
    $apart = new ZoneSheet(new LabelGrid(3, 1, "\1\2\3"), $sheet->notes);
    expect(fn () => $apart->meeting(1, 3, BorderKind::Grades))
        ->toBeRefused('have no border together')
        ->and(fn () => $sheet->meeting(1, 9, null))
        ->toBeRefused('zone');
});

it('says over which borders a zone runs out, how wide on the paper, the longest first', function () {
    $border = static fn (int $one, int $other, int $edges, float $width): GradedBorder => new GradedBorder(
        $one,
        $other,
        array_fill(0, $edges, [0, 0, 1, 0, $other]),
        array_fill(0, $edges, $width / 2),
        $width,
        [],
    );
    $borders = [$border(1, 2, 10, 4.0), $border(3, 1, 30, 9.0), $border(1, 2, 10, 8.0), $border(2, 3, 99, 9.0)];
    $names = [1 => 'sky', 2 => 'haze', 3 => 'pale blue'];
    expect(RunsOut::words(1, $borders, $names, 1.25))
        ->toBe('Let it run out over the borders to “pale blue”, about 11 mm, and to “haze”, about 8 mm.')
        ->and(RunsOut::words(1, [$borders[0]], $names, 1.25))
        ->toBe('Let it run out over the border to “haze”, about 5 mm.')
        ->and(RunsOut::words(1, [$borders[3]], $names, 1.25))
        ->toBeNull();
});

it('marks touching zones that end within a value step, and advises which to push', function () {
    // Alike where they meet, though their middles are far apart.
    $alike = greys(60, 40, static fn (int $x): float => $x < 30 ? 20 + 1.4 * $x : 66);
    $found = Neighbours::tooAlike($sheet = twoZones(), $alike, new Outlines($sheet->labels));
    expect($found)
        ->toHaveCount(1)
        ->and($found[0]->words)
        ->toContain('"left" and "right" meet')
        ->and(count($found[0]->lines[0]))
        ->toBeGreaterThan(20)
        ->and(abs($found[0]->stepsApart))
        ->toBeLessThan(1.0);
    // Where the photo only grades nothing is lost.
    $pales = greys(60, 40, static fn (int $x): float => 20 + 1.0 * $x);
    expect(Neighbours::tooAlike($sheet, $pales, new Outlines($sheet->labels)))->toBe([]);
    // Unless the artist wants an edge there.
    expect(Neighbours::tooAlike($sheet->meeting(1, 2, BorderKind::Sharp), $pales, new Outlines($sheet->labels)))->toHaveCount(1);
    // Two steps apart at the border: an edge that holds, though the middles are alike.
    $apart = greys(60, 40, static fn (int $x): float => $x < 30 ? 50 + 0.9 * $x : 52);
    expect(Neighbours::tooAlike($sheet, $apart, new Outlines($sheet->labels)))->toBe([]);
    // Same value, other colour: told apart all the same.
    $colours = gridOf(60, 40, static fn (int $x): array => $x < 30 ? [55, 40, 20] : [55, -30, -20]);
    expect(Neighbours::tooAlike($sheet, $colours, new Outlines($sheet->labels)))->toBe([]);
    $flat = greys(60, 40, static fn (int $x): float => $x < 30 ? 50 : 55);
    $advice = static fn (ZoneSheet $s): Neighbours => Neighbours::tooAlike($s, $flat, new Outlines($s->labels))[0];
    $far = $advice(twoZones(right: new ZoneNote('right', distance: Distance::Far)));
    expect([$far->push, $far->lighter])
        ->toBe([2, true])
        ->and($far->words)
        ->toContain('what is far is lighter');
    $lesser = $advice(twoZones(new ZoneNote('left', Importance::Most), new ZoneNote('right', Importance::Little)));
    expect([$lesser->push, $lesser->lighter])
        ->toBe([2, true])
        ->and($lesser->words)
        ->toContain('matters less');
    $plain = $advice(twoZones());
    expect([$plain->push, $plain->lighter])->toBe([1, false]);
});
