<?php

declare(strict_types=1);

use KnottyPrism\Core\Chart\BenchCamera\Chance;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\UnknownPencil;
use KnottyPrism\Core\Medium\Finishes\Blender;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\LaidStack;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Picture\Decisions\PassNote;
use KnottyPrism\Core\Picture\Decisions\PlanSettings;
use KnottyPrism\Core\Picture\Decisions\PlanSheet;
use KnottyPrism\Core\Picture\Decisions\Recolour;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;
use KnottyPrism\Core\Picture\Palette\PalettePart;
use KnottyPrism\Core\Picture\Palette\PlannedPalette;
use KnottyPrism\Core\Picture\ReachableTone;
use KnottyPrism\Core\Recipe\Method\PaletteLimit;
use KnottyPrism\Core\Recipe\Method\StartingPoint;
use KnottyPrism\Core\Recipe\Remedies\SequenceChanges;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\Regrade;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use Tests\Core\Pencils;

/** A sequence by hand: "yellow 2,3,4; blue -,-,3". */
function workedSo(string $text): Sequence
{
    return new Sequence(
        array_map(static function (string $pass): GradedPass {
            [$tool, $pressures] = explode(' ', trim($pass));

            return new GradedPass(
                Finish::tryFrom($tool) ?? Pencils::named($tool),
                array_map(
                    static fn (string $m): ?Pressure => $m === '-' ? null : Pressure::cases()[(int) $m - 1],
                    explode(',', $pressures),
                ),
            );
        }, explode(';', $text)),
    );
}

function pressuresOf(GradedPass $pass): string
{
    return implode(',', array_map(static fn (?Pressure $m): string => $m === null ? '-' : (string) $m->strokes(), $pass->pressures));
}

it('keeps a sequence by roles, so that it is the same when shades come, go or change places', function () {
    $shelf = new Drawer(array_map(Pencils::named(...), ['yellow', 'blue']));
    $named = static fn (string ...$names): array => array_map(static fn (string $n): Shade => new Shade($n, new Lab(50, 0, 0)), $names);
    $shades = $named('light', 'mid', 'dark');
    $note = SequenceNote::of(workedSo('yellow 2,3,4; blue -,1,5; blender 3,3,3'), $shades);
    $back = SequenceNote::ofArray(json_decode((string) json_encode($note->toArray()), true));
    expect(array_map(pressuresOf(...), $back->read($shelf, $shades)->passes))
        ->toBe(['2,3,4', '-,1,5', '3,3,3'])
        ->and($back->read($shelf, $shades)->passes[2]->tool)
        ->toBe(Blender::it())
        // The middle is gone and a touch has come: it is not gone over, the others are as they were.
        ->and(array_map(pressuresOf(...), $back->read($shelf, $named('dark', 'light', 'touch'))->passes))
        ->toBe(['4,2,-', '5,-,-', '3,3,-']);
    expect(fn () => (new PassNote('Nowhere/1', []))->read($shelf, $shades))->toThrow(UnknownPencil::class);
});

it('holds what an artist decided, each thing by itself, and forgets what says nothing', function () {
    $sheet = new PlanSheet();
    $held = $sheet
        ->overruling(2, 'dark', 'green cast', 'wanted so')
        ->overruling(2, 'dark', 'bloom', 'under glass')
        ->overruling(3, 'light', 'flat', 'it is a sign');
    expect($held->overruled(2, 'dark'))
        ->toBe(['green cast' => 'wanted so', 'bloom' => 'under glass'])
        ->and($held->overruled(2, 'light'))
        ->toBe([])
        ->and($sheet->overruled)
        ->toBe([])
        ->and($held->overruling(2, 'dark', 'green cast', null)->overruled(2, 'dark'))
        ->toBe(['bloom' => 'under glass'])
        ->and($held->overruling(3, 'light', 'flat', null)->overruled)
        ->toHaveCount(1);
    // A sequence of her own leaves said what was overruled.
    $own = $held->withSequence(2, new SequenceNote([new PassNote('yellow', ['light' => Pressure::Light])]));
    expect($own->overruled(2, 'dark'))
        ->not->toBe([])
        ->and($own->withSequence(2, null)->sequences)
        ->toBe([])
        ->and(array_keys($own->sequences))
        ->toBe([2]);
    $whole = $own->withSettings(
        new PlanSettings(
            methods: [2 => ['darks=black-last']],
            pencils: 9,
            keep: ['yellow'],
            hues: [0 => 'blue'],
            strokes: [2 => 7, 5 => 12],
        ),
    );
    $again = PlanSheet::ofArray(json_decode((string) json_encode($whole->toArray()), true));
    expect($again)->toEqual($whole);
});

it('lets a zone work otherwise than the whole, and refuses what no method and no hue is', function () {
    $settings = new PlanSettings(
        methods: [PlanSettings::WHOLE => StartingPoint::LightToDark->method()->settings(), 4 => ['values=dark-to-light']],
        hues: [PlanSettings::WHOLE => 'grey', 4 => 'as seen'],
    );
    expect($settings->methodOf(7)->settings())
        ->toBe(StartingPoint::LightToDark->method()->settings())
        ->and($settings->methodOf(4)->settings())
        ->toBe(['values=dark-to-light'])
        ->and($settings->recolourOf(4)->hue)
        ->toBe('as seen')
        ->and($settings->recolourOf(9)->hue)
        ->toBe('grey');
    foreach (
        [
            fn () => new PlanSettings(pencils: 0),
            fn () => new PlanSettings(pencils: 61),
            fn () => new PlanSettings(strokes: [2 => 13]),
            fn () => new PlanSettings(methods: [0 => ['sideways']]),
            fn () => new PlanSettings(hues: [1 => 'plaid']),
        ] as $wrong
    ) {
        expect($wrong)->toBeRefused();
    }
    foreach (PaletteLimit::cases() as $limit) {
        expect((new PlanSettings(methods: $limit === PaletteLimit::Whole ? [] : [0 => ["palette=$limit->value"]]))->mostPencils())
            ->toBe($limit->most())
            ->and($limit->why())
            ->toEndWith('.');
    }
    expect((new PlanSettings(methods: [0 => ['palette=at-most-3']], pencils: 5))->mostPencils())->toBe(5);
});

it('turns the hue and leaves value alone, to the last digit', function () {
    $chance = new Chance(6);
    for ($n = 0; $n < 80; $n++) {
        $lab = new Lab($chance->between(2, 99), $chance->between(-60, 60), $chance->between(-60, 60));
        foreach (Recolour::CHOICES as $hue) {
            $turned = (new Recolour($hue))->of($lab);
            expect($turned->l)->toBe($lab->l);
            if ($hue !== 'as seen' && $hue !== 'grey') {
                expect($turned->chroma())->toBeGreaterThanOrEqual($lab->chroma() - 1e-9);
            }
        }
        expect((new Recolour('red'))->of((new Recolour('blue'))->of($lab))->a)
            ->toEqualWithDelta((new Recolour('red'))->of($lab)->a, 1e-9)
            ->and((new Recolour('grey'))->of($lab)->chroma())
            ->toBe(0.0)
            ->and((new Recolour())->of($lab))
            ->toBe($lab);
    }
});

it('grades a pass and back again, never beyond a whisper or full, and leaves touches to themselves', function () {
    $pass = workedSo('yellow 2,3,4,1')->passes[0];
    $run = [0, 1, 2];
    expect(pressuresOf(Regrade::Firmer->of($pass, $run)))
        ->toBe('3,4,5,2')
        ->and(pressuresOf(Regrade::Lighter->of($pass, $run)))
        ->toBe('1,2,3,1')
        ->and(pressuresOf(Regrade::Steeper->of($pass, $run)))
        ->toBe('1,3,5,1')
        ->and(pressuresOf(Regrade::Flatter->of($pass, $run)))
        ->toBe('3,3,3,1')
        ->and(pressuresOf(Regrade::Flatter->of(Regrade::Steeper->of($pass, $run), $run)))
        ->toBe(pressuresOf($pass))
        // A whisper grades away to nothing; what is left out stays so in firmer hands.
        ->and(pressuresOf(Regrade::Steeper->of(workedSo('yellow 1,3,5,1')->passes[0], $run)))
        ->toBe('-,3,5,1')
        ->and(pressuresOf(Regrade::Firmer->of(workedSo('yellow -,5,5,-')->passes[0], $run)))
        ->toBe('-,5,5,-')
        ->and(pressuresOf(Regrade::Steeper->of($pass, [1])))
        ->toBe(pressuresOf($pass));
});

it('says every small change of a pass as one would advise it, and makes just that change', function () {
    $sequence = workedSo('yellow 2,3; red 1,5; blue -,3');
    $shades = [new Shade('light', new Lab(70, 5, 20), 0.5), new Shade('dark', new Lab(35, 5, 12), 0.5)];
    $pencils = array_map(Pencils::named(...), ['yellow', 'red', 'blue', 'orange', 'green']);
    $changes = iterator_to_array(SequenceChanges::ofPass($sequence, 1, $shades, $pencils));
    expect(array_keys($changes))
        ->toContain(
            'Leave out pass 2',
            'Lay pass 2 a step firmer',
            'Lay pass 2 a step lighter',
            'Lay pass 2 as pass 1',
            'Lay pass 2 as pass 3',
            'Lay pass 2 twice, a step lighter each time',
            'Leave pass 2 out in the light',
            'Lay pass 2 light in the light',
            'Take orange for pass 2',
        )
        ->and($changes['Leave out pass 2']->passes)
        ->toHaveCount(2)
        ->and(pressuresOf($changes['Lay pass 2 a step firmer']->passes[1]))
        ->toBe('2,5')
        ->and($changes['Lay pass 2 as pass 1']->passes[0]->tool)
        ->toBe(Pencils::named('red'))
        ->and($changes['Lay pass 2 as pass 3']->passes[2]->tool)
        ->toBe(Pencils::named('red'));
    foreach ($changes as $words => $changed) {
        expect($changed)
            ->not->toEqual($sequence)
            ->and(pressuresOf($changed->passes[0]) === '2,3' || str_contains($words, 'as pass 1'))
            ->toBeTrue();
    }
    // What is left out wherever it was laid is no pass any more.
    $accent = iterator_to_array(SequenceChanges::inShade($sequence, 2, 1, 'dark'));
    expect($accent['Leave pass 3 out in the dark']->passes)
        ->toHaveCount(2)
        ->and([...SequenceChanges::inShade($sequence, 2, 0, 'light')])
        ->toBe([]);
    $coats = iterator_to_array(SequenceChanges::coats($sequence, 0, 'light', 2, [Pencils::named('green')]));
    expect($coats)->toHaveCount(5)->and(pressuresOf($coats['End with green firm in the light']->passes[3]))->toBe('4,-');
});

it('lays pencils beside the drawing lightest first, each with its zones, three of them named for their parts', function () {
    $palette = PlannedPalette::of([4 => workedSo('blue 2,2; yellow -,2'), 2 => workedSo('yellow 3,3; black 1,-')]);
    expect(array_map(static fn ($p): array => [$p->pencil->record->number, $p->zones, $p->part], $palette))
        ->toBe([['yellow', [4, 2], 'light'], ['blue', [4], 'mid'], ['black', [2], 'dark']])
        ->and(PlannedPalette::of([1 => workedSo('red 2')])[0]->part)
        ->toBeNull()
        ->and(PlannedPalette::of([]))
        ->toBe([]);
    $part = new PalettePart(['a', 'b'], ['a'], [1 => 4.0, 2 => 1.5], [3 => 0.2]);
    expect(PalettePart::ofArray(json_decode((string) json_encode($part->toArray()), true)))->toEqual($part);
});

it('folds a photo into the tones that pencils and paper reach, and no further', function () {
    $photo = array_map(static fn (int $i): float => $i, range(0, 100));
    $pale = ReachableTone::fit(array_map(Pencils::named(...), ['yellow', 'pale blue']), Paper::whiteMedium(), $photo);
    $dark = ReachableTone::fit(array_map(Pencils::named(...), ['yellow', 'pale blue', 'black']), Paper::whiteMedium(), $photo);
    $shown = static fn ($fit, float $l): float => $fit->fitted(new Lab($l, 0, 0))->l;
    expect($shown($pale, 0.0))
        ->toBeGreaterThan($shown($dark, 0.0) + 20)
        ->and($shown($dark, 100.0))
        ->toBeLessThanOrEqual(Lab::ofReflectance(Paper::whiteMedium()->reflectance)->l + 0.01);
    for ($l = 1; $l <= 100; $l++) {
        expect($shown($pale, $l))->toBeGreaterThanOrEqual($shown($pale, $l - 1));
    }
});

it('looks after every pass of a stack as the stack up to there does by itself', function () {
    $whole = Pencils::stack('yellow@0.35 red@0.55 blue@0.35 solvent');
    $laid = LaidStack::of($whole, Paper::whiteMedium());
    expect($laid->steps())
        ->toBe(4)
        ->and($laid->lab(0))
        ->toEqual(Lab::ofReflectance(Paper::whiteMedium()->reflectance))
        ->and($laid->after(9))
        ->toBe($laid->after(4));
    for ($step = 1; $step <= 4; $step++) {
        $alone = (new Stack(array_slice($whole->steps, 0, $step)))->on(Paper::whiteMedium());
        expect($laid->lab($step)->deltaE00(Lab::ofReflectance($alone->meanReflectance())))
            ->toBeLessThan(1e-9)
            // What strata show together is about what the whole does.
            ->and(array_sum(array_map(static fn (Lab $l): float => $l->l, $laid->strata($step))) / count($laid->strata($step)))
            ->toEqualWithDelta($laid->lab($step)->l, 4.0);
    }
});
