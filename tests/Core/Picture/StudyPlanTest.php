<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\ValueScale;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Formats\StackText;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Zones\Surface;
use KnottyPrism\Core\Picture\Decisions\PlanSettings;
use KnottyPrism\Core\Picture\Decisions\PlanSheet;
use KnottyPrism\Core\Picture\Decisions\Recolour;
use KnottyPrism\Core\Picture\Fade\Joining;
use KnottyPrism\Core\Picture\Fade\RampAcross;
use KnottyPrism\Core\Picture\Palette\PalettePart;
use KnottyPrism\Core\Picture\PlanPicture;
use KnottyPrism\Core\Picture\Preview\ErrorMap;
use KnottyPrism\Core\Recipe\Method\Darks;
use KnottyPrism\Core\Recipe\Method\Joining as JoinedBy;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Search\MemoryShelf;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** Eight of the demo's pencils: quick, and enough for most colours. */
function smallHand(): Drawer
{
    static $hand = null;
    if ($hand === null) {
        $all = DrawerFile::drawer((string) file_get_contents(dirname(__DIR__, 3).'/demo/drawer.csv'));
        $hand = new Drawer(
            array_values(
                array_filter(
                    $all->pencils,
                    static fn (Pencil $p): bool => in_array(
                        $p->record->number,
                        ['624', '661', '711', '735', '688', '608', '745', 'F90'],
                        true,
                    ),
                ),
            ),
        );
    }

    return $hand;
}

/** @return array<int, list<Shade>> by zone */
function shadesFor(string ...$hexes): array
{
    return array_combine(
        range(1, count($hexes)),
        array_map(static fn (string $hex): array => [new Shade('mid', Lab::ofHex($hex), 0.2)], array_values($hexes)),
    );
}

it('keeps every decision through JSON, and forgets what was taken back', function () {
    $sheet = (new PlanSheet(
        new PlanSettings(
            [0 => ['darks=never-black'], 3 => ['joining=solvent']],
            Mode::ValueFirst,
            6,
            ['Slipway/624'],
            ['Foghorn/F90'],
            [0 => 'blue', 2 => 'as seen'],
        ),
    ))
        ->overruling(3, 'mid', 'resist', 'it is to glow')
        ->overruling(3, 'dark', 'bloom', 'I fix it');
    $back = PlanSheet::ofArray(json_decode((string) json_encode($sheet->toArray()), true));
    expect($back)
        ->toEqual($sheet)
        ->and($back->overruled(3, 'dark'))
        ->toBe(['bloom' => 'I fix it'])
        ->and($back->settings->methodOf(3)->of(JoinedBy::class)->value)
        ->toBe('solvent')
        ->and($back->settings->methodOf(9)->of(Darks::class)->value)
        ->toBe('never-black')
        ->and($back->settings->recolourOf(2)->hue)
        ->toBe('as seen')
        ->and($back->settings->recolourOf(5)->hue)
        ->toBe('blue');
    $plain = $back->overruling(3, 'mid', 'resist', null)->overruling(3, 'dark', 'bloom', null);
    expect($plain->overruled)
        ->toBe([])
        ->and(fn () => new PlanSettings(pencils: 0))
        ->toBeRefused('number of pencils')
        ->and(fn () => new PlanSettings([0 => ['moods=blue']]))
        ->toBeRefused('method setting')
        ->and(fn () => new PlanSettings(hues: [0 => 'plaid']))
        ->toBeRefused('hue');
});

it('gives other hues to the same values', function (string $hue) {
    $recolour = new Recolour($hue);
    $scale = new ValueScale();
    foreach (['#b04030', '#3a5a8a', '#c9bda0', '#e8e8e8', '#202428', '#7f7f7f', '#fbfbf8'] as $hex) {
        $lab = Lab::ofHex($hex);
        $other = $recolour->of($lab);
        expect($other->l)->toBe($lab->l)->and($scale->stepOf($other))->toBe($scale->stepOf($lab));
        if ($hue === 'grey') {
            expect($other->chroma())->toBe(0.0);
        } elseif ($lab->l < 90 && $lab->l > 15) {
            expect($other->chroma())->toBeGreaterThanOrEqual(min(12.0, $lab->chroma()) - 1e-9);
        }
    }
    // Greys that are in between take on so much of the hue that it is seen.
    if ($hue !== 'grey') {
        expect((new KnottyPrism\Core\Colour\ColourReading($recolour->of(Lab::ofHex('#7f7f7f'))))->family->base)->toBeIn([
            $hue,
            'brown',
            'grey',
        ]);
    }
})->with(['red', 'orange', 'yellow', 'green', 'blue', 'violet', 'grey']);

it('chooses a palette, says who suffers by it, and plans each target within it', function () {
    $asked = shadesFor('#a04038', '#44608c', '#c8bca4', '#4c6c54', '#30343a');
    $all = new PlanPicture(smallHand(), Paper::whiteMedium(), new PlanSettings(), new MemoryShelf());
    $whole = $all->palette($asked);
    expect($whole->hand)
        ->toHaveCount(8)
        ->and($whole->suffering)
        ->toBe([])
        ->and(array_diff($whole->base, $whole->hand))
        ->toBe([])
        ->and($whole->curve[3])
        ->toBeGreaterThanOrEqual($whole->curve[8])
        ->and(PalettePart::ofArray(json_decode((string) json_encode($whole->toArray()), true)))
        ->toEqual($whole);
    $three = new PlanPicture(
        smallHand(),
        Paper::whiteMedium(),
        new PlanSettings(pencils: 3, keep: ['Slipway/745'], without: ['Slipway/624']),
        new MemoryShelf(),
    );
    $told = [];
    $few = $three->palette($asked, static function (int $done, int $of) use (&$told): void {
        $told[] = [$done, $of];
    });
    expect($few->hand)
        ->toHaveCount(3)
        ->toContain('Slipway/745')
        ->not->toContain('Slipway/624')
        ->and(max($few->suffering))
        ->toBeGreaterThan(0.0)
        ->and(end($told))
        ->toBe([5, 5]);
    foreach ($asked as $zone => $shades) {
        $sequence = $three->sequences($zone, $shades, $few, 1)[0]->sequence;
        expect(array_diff(array_map(static fn (Pencil $p): string => $p->id(), $sequence->pencils()), $few->hand))->toBe([]);
    }
    expect(
        fn () => (new PlanPicture(
            smallHand(),
            Paper::whiteMedium(),
            new PlanSettings(without: array_map(static fn (Pencil $p): string => $p->id(), smallHand()->pencils)),
            new MemoryShelf(),
        ))->palette($asked),
    )->toBeRefused('number of pencils');
});

it('plans the same again, whatever else was planned before', function () {
    $asked = shadesFor('#a04038', '#44608c');
    $one = new PlanPicture(smallHand(), Paper::whiteMedium(), new PlanSettings(), new MemoryShelf());
    $palette = $one->palette($asked);
    $first = $one->sequences(2, $asked[2], $palette, 1)[0]->sequence;
    $other = new PlanPicture(smallHand(), Paper::whiteMedium(), new PlanSettings(), new MemoryShelf());
    $other->sequences(1, $asked[1], $palette, 1);
    expect($other->sequences(2, $asked[2], $palette, 1)[0]->sequence)->toEqual($first);
});

it('gives a zone that a method refuses a sequence all the same', function () {
    $hand = new Drawer(array_values(array_filter(smallHand()->pencils, static fn (Pencil $p): bool => $p->record->number === '745')));
    $planner = new PlanPicture($hand, Paper::whiteMedium(), new PlanSettings([1 => ['darks=never-black']]), new MemoryShelf());
    $asked = shadesFor('#30343a');
    expect($planner->sequences(1, $asked[1], $planner->palette($asked), 1)[0]->sequence->passes)->not->toBeEmpty();
});

it('shows where a plan differs, and how values are spread', function () {
    $grid = static fn (string ...$rgb): PixelGrid => PixelGrid::ofSrgb(4, 2, implode('', $rgb));
    $grey = "\x80\x80\x80";
    $photo = $grid(...array_fill(0, 8, $grey));
    expect(ErrorMap::of($photo, $photo, 2))->toBe(str_repeat("\xFF", 8));
    $half = $grid(...array_merge(...array_fill(0, 2, [$grey, $grey, "\0\0\0", "\0\0\0"])));
    $map = ErrorMap::of($photo, $half, 2);
    expect(substr($map, 0, 2))->toBe("\xFF\xFF")->and(ord($map[2]))->toBeLessThan(40)->and(strlen($map))->toBe(8);
    $run = ErrorMap::valueRun($half);
    expect($run)->toHaveCount(9)->and(array_sum($run))->toEqualWithDelta(1.0, 1e-9)->and($run[0])->toBe(0.5)->and($run[4])->toBe(0.5);
});

it('never burnishes what is soft or fuzzy, and brings no solvent to film', function () {
    $white = Paper::whiteMedium();
    expect(Joining::for(Surface::SoftAndFuzzy, $white))
        ->toBe(Joining::LeaveTheMarks)
        ->and(Joining::for(Surface::Rough, $white))
        ->toBe(Joining::LeaveTheMarks)
        ->and(Joining::for(Surface::HardAndShiny, $white))
        ->toBe(Joining::Burnish)
        ->and(Joining::for(Surface::Smooth, $white))
        ->toBe(Joining::Solvent)
        ->and(Joining::Solvent->words(Surface::Smooth))
        ->toContain('no flame');
    $film = array_values(array_filter(PaperShelf::names(), static fn (string $n): bool => str_contains($n, 'film')));
    foreach ($film as $name) {
        expect(Joining::for(Surface::Smooth, PaperShelf::named($name)))->toBe(Joining::LeaveTheMarks);
    }
    expect($film)->not->toBeEmpty();
});

it('fades along a line in the pencils of its zone, from the one that lies near its beginning to that near its end', function () {
    $paper = Paper::whiteMedium();
    $look = static fn (string $stack): Lab => Lab::ofReflectance(StackText::read($stack, smallHand())->on($paper)->meanReflectance());
    $stacks = [StackText::read('711@0.35,735@0.35', smallHand()), StackText::read('745@0.55,735@0.20', smallHand())];
    [$light, $dark] = [$look('711@0.55'), $look('745@0.55')];
    $along = array_map(
        static fn (int $i): Lab => new Lab(
            $light->l + (($dark->l - $light->l) * $i) / 8,
            $light->a + (($dark->a - $light->a) * $i) / 8,
            $light->b + (($dark->b - $light->b) * $i) / 8,
        ),
        range(0, 8),
    );
    $numbers = static fn (RampAcross $r): array => array_map(static fn (Pencil $p): string => $p->record->number, $r->pencils);
    $fade = $numbers(RampAcross::of($along, $stacks, $paper));
    expect($fade[0])->toBe('711')->and($fade[count($fade) - 1])->toBe('745');
    expect($numbers(RampAcross::of(array_reverse($along), $stacks, $paper)))
        ->toBe(array_reverse($fade))
        ->and(RampAcross::of($along, $stacks, $paper)->ramp->unevenness())
        ->toBeLessThan(1.6)
        ->and(fn () => RampAcross::of($along, [StackText::read('711@0.35', smallHand())], $paper))
        ->toBeRefused('two that differ');
});
