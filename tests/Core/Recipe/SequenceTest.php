<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Character;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;
use KnottyPrism\Core\Medium\Stack\Doubt;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Recipe\FindSequences;
use KnottyPrism\Core\Recipe\Kits;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\PassReasons;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;
use KnottyPrism\Core\Recipe\Sequence\Regrade;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\SequenceWords;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use Tests\Core\Pencils;

/** @return list<Shade> a value run of one hue from light to dark, and sometimes a touch of another */
function anyArea(): array
{
    $lab = static fn (float $l, float $c, float $h): Lab => new Lab($l, $c * cos(deg2rad($h)), $c * sin(deg2rad($h)));
    [$dark, $light, $chroma, $hue] = [mt_rand(14, 60), mt_rand(62, 96), mt_rand(2, 40), mt_rand(0, 359)];
    $shades = [
        new Shade('light', $lab($light, $chroma * 0.6, $hue), 0.25),
        new Shade('mid', $lab(($light + $dark) / 2, $chroma, $hue + mt_rand(-15, 15)), 0.5),
        new Shade('dark', $lab($dark, $chroma * 0.8, $hue + mt_rand(-25, 25)), 0.2),
    ];

    return mt_rand(0, 1) === 0
        ? $shades
        : [...$shades, new Shade('touch', $lab(mt_rand(25, 80), mt_rand(20, 50), $hue + 150), 0.05, true)];
}

/** @return list<string> which craft rules an answer breaks, told from its pressures alone */
function brokenRules(SequenceAnswer $answer): array
{
    $paper = Lab::ofReflectance(Paper::whiteMedium()->reflectance);
    $shades = array_map(static fn ($o): Shade => $o->shade, $answer->outcomes);
    $broken = [];
    $pale = static fn (Pencil|Finish $t): bool => ! ($t instanceof Finish) && Character::of($t)->heavy->deltaE00($paper) <= 6;
    foreach ($shades as $i => $shade) {
        $passes = array_values(
            array_filter(
                $answer->sequence->passes,
                static fn (GradedPass $p): bool => ! ($p->tool instanceof Finish) && ($p->pressures[$i] ?? null) !== null,
            ),
        );
        $pressures = array_map(static fn (GradedPass $p): int => $p->pressures[$i]?->strokes() ?? 0, $passes);
        $apart = $shade->target->deltaE00($paper);
        foreach ($pressures as $n => $pressure) {
            $last = $n === count($pressures) - 1;
            $broken[] = match (true) {
                $n === 0 && $pressure > 3 => "1: $shade->name begins at $pressure",
                $n > 0 && $pressure < $pressures[$n - 1] - 1 && ! ($last && $pressure === 1) => "1: $shade->name drops to $pressure",
                $pressure > 3 && $n < count($pressures) - 2 => "2: $shade->name is firm before its last two",
                $n > 0 && $pressures[$n - 1] === 5 && $pressure < 3 => "2: $shade->name is laid lightly after full pressure",
                $apart < 3 => "4: $shade->name is paper and is laid on",
                $apart < 6 && (count($pressures) > 1 || $pressure > 2) => "4: $shade->name is nearly paper and gets more than a light coat",
                $n === 0 && $pale($passes[0]->tool) => "4: $shade->name begins with the colour of the paper",
                default => null,
            };
        }
    }
    $run = array_keys(array_filter($shades, static fn (Shade $s): bool => ! $s->touch));
    $worked = array_values(array_filter($run, static fn (int $i): bool => $shades[$i]->target->deltaE00($paper) >= 3));
    $passes = array_values(
        array_filter(
            $answer->sequence->passes,
            static fn (GradedPass $p): bool => ! ($p->tool instanceof Finish) && array_intersect($p->over(), $run) !== [],
        ),
    );
    foreach ($passes as $n => $pass) {
        $pressures = array_map(static fn (int $i): int => $pass->pressures[$i]?->strokes() ?? 0, $worked);
        $sorted = $pressures;
        sort($sorted);
        $covered = count(array_filter($pressures));
        $broken[] = $pressures !== $sorted && $pressures !== array_reverse($sorted) ? 'pressures neither rise nor fall' : null;
        $broken[] = $n === 0 && $covered < count($worked) ? '3: the first pass leaves some out' : null;
        $broken[] =
            $n < count($passes) - 1 && $covered === 1 && count($worked) > 1 && $pressures[count($pressures) - 1] === 0
                ? '3: a pass for the lightest alone is not the last'
                : null;
    }

    return array_values(array_filter($broken));
}

it('keeps the rules of the craft and the method, for any drawer, zone and method', function (string ...$settings) {
    mt_srand(count($settings) * 17 + strlen(implode($settings)));
    $all = array_map(Pencils::named(...), Pencils::names());
    for ($n = 0; $n < 4; $n++) {
        shuffle($all);
        $drawer = new Drawer(array_slice($all, 0, mt_rand(5, 12)));
        $area = anyArea();
        try {
            $answers = (new FindSequences($drawer, Paper::whiteMedium(), Method::ofSettings($settings)))->for($area, 6, 3);
        } catch (KnottyPrism\Core\Error\MethodRefuses) {
            continue;
        }
        foreach ($answers as $answer) {
            $words = SequenceWords::of($answer->sequence, $area)->whole();
            expect(brokenRules($answer))
                ->toBe([], $words)
                ->and(count($answer->sequence->passes))
                ->toBeLessThanOrEqual(6 + 3 + 1);
            foreach ($answer->sequence->pencils() as $pencil) {
                in_array('darks=never-black', $settings, true) && expect(Character::of($pencil)->isBlack())->toBeFalse($words);
                in_array('lights=reserve-paper', $settings, true) && expect(Character::of($pencil)->isWhite())->toBeFalse($words);
            }
            foreach ($answer->sequence->passes as $pass) {
                in_array('joining=light-coats', $settings, true) &&
                    expect(array_filter($pass->pressures, static fn (?Pressure $m): bool => ($m?->strokes() ?? 0) > 3))->toBe([], $words);
            }
            // What is told of each shade is what comes of its stack.
            foreach ($answer->outcomes as $i => $outcome) {
                $laid = Lab::ofReflectance($answer->sequence->stackIn($i)->on(Paper::whiteMedium())->meanReflectance());
                expect($outcome->missed)->toEqualWithDelta($laid->deltaE00($area[$i]->target), 1e-9);
            }
        }
    }
})->with([
    'free' => [],
    'never black' => ['darks=never-black'],
    'opinion' => ['values=light-to-dark', 'neutralising=computed', 'darks=black-last', 'lights=reserve-paper'],
    'solvent' => ['joining=solvent'],
    'light coats' => ['joining=light-coats'],
    'complement' => ['beneath=complement'],
]);

it('lets new pencils come in from light to dark only, though earlier ones may come back', function () {
    mt_srand(5);
    $drawer = new Drawer(array_map(Pencils::named(...), Pencils::names()));
    $find = new FindSequences($drawer, Paper::whiteMedium(), Method::ofSettings(['values=light-to-dark']));
    for ($n = 0; $n < 5; $n++) {
        $sequence = $find->for(array_slice(anyArea(), 0, 3))[0]->sequence;
        $lightness = array_map(static fn ($p): float => Character::of($p)->heavy->l, $sequence->pencils());
        foreach (array_slice($lightness, 1) as $i => $l) {
            $burnish = array_filter(
                $sequence->passes,
                static fn (GradedPass $p): bool => $p->tool === $sequence->pencils()[$i + 1] && Character::of($p->tool)->isPale(),
            );
            expect($burnish !== [] || $l <= $lightness[$i] + 4)->toBeTrue(implode(', ', $lightness));
        }
    }
});

it('leaves near-white sky bare but for a whisper, and keeps both hues of a red and teal roof', function () {
    $drawer = new Drawer(array_map(Pencils::named(...), Pencils::names()));
    $find = new FindSequences($drawer, Paper::whiteMedium(), Method::free());
    $paper = Lab::ofReflectance(Paper::whiteMedium()->reflectance);
    $sky = $find->for([
        new Shade('light', $paper, 0.3),
        new Shade('mid', new Lab($paper->l - 1.5, $paper->a - 0.5, $paper->b - 1), 0.5),
        new Shade('dark', new Lab($paper->l - 3.5, $paper->a - 1, $paper->b - 3.5), 0.2),
    ])[0];
    expect(
        array_filter(
            $sky->sequence->passes,
            static fn (GradedPass $p): bool => array_filter($p->pressures, static fn (?Pressure $m): bool => ($m?->strokes() ?? 0) > 2) !==
                [],
        ),
    )
        ->toBe([])
        ->and(count($sky->sequence->passes))
        ->toBeLessThanOrEqual(1)
        ->and($sky->sequence->stackIn(0)->steps)
        ->toBe([]);
    $roof = $find->for([
        new Shade('mid', Pencils::colour('red@0.55 black@0.20'), 0.7),
        new Shade('trim', Pencils::colour('green@0.35 blue@0.35'), 0.3, true),
    ])[0];
    expect($roof->outcomes[0]->missed)->toBeLessThan(6.0)->and($roof->outcomes[1]->missed)->toBeLessThan(6.0);
});

it('puts the surest first, and others that are clearly different and named for what they are good at', function () {
    mt_srand(11);
    $drawer = new Drawer(array_map(Pencils::named(...), Pencils::names()));
    $find = new FindSequences($drawer, Paper::whiteMedium(), Method::free());
    for ($n = 0; $n < 4; $n++) {
        $answers = $find->for(array_slice(anyArea(), 0, 3), 6, 3);
        $sets = array_map(
            static fn (SequenceAnswer $a): string => implode(
                '+',
                collect($a->sequence->pencils())->map(fn ($p) => $p->id())->sort()->all(),
            ),
            $answers,
        );
        expect($answers[0]->label)->toBe(RecipeLabel::Surest)->and(array_unique($sets))->toHaveCount(count($sets));
        foreach ($answers as $answer) {
            $answer->label === RecipeLabel::FewestPencils &&
                expect(count($answer->sequence->pencils()))->toBeLessThan(count($answers[0]->sequence->pencils()));
            $answer->label === RecipeLabel::PerfectHand && expect($answer->missed())->toBeLessThan($answers[0]->missed());
        }
    }
});

it('finds the same with what was laid before, and tells a pencil by its present name', function () {
    mt_srand(5);
    $records = array_map(static fn (string $n): Pencil => Pencils::named($n), ['red', 'blue', 'yellow', 'white', 'dark warm grey']);
    $named = static fn (string $name): Drawer => new Drawer(
        array_map(
            static fn (Pencil $p): Pencil => new Pencil(
                new PencilRecord('', $p->record->number, $name.$p->record->name, $p->record->heavy),
                $p->absorption,
                $p->scattering,
                $p->laydown,
                $p->slickness,
                $p->assumed,
            ),
            $records,
        ),
    );
    $kits = new Kits();
    $found = static fn (Drawer $drawer, array $area, ?Kits $kits = null): SequenceAnswer => (new FindSequences(
        $drawer,
        Paper::whiteMedium(),
        Method::free(),
        kits: $kits,
    ))->for($area, 4)[0];
    for ($n = 0; $n < 3; $n++) {
        $area = array_slice(anyArea(), 0, 2);
        $found($named('old '), $area, $kits);
        foreach (['old ', 'new '] as $name) {
            $with = $found($named($name), $area, $kits);
            expect($with->words()->inShort())
                ->toBe($found($named($name), $area)->words()->inShort())
                ->and($with->sequence->pencils()[0]->record->name ?? $name)
                ->toStartWith($name);
        }
    }
});

it('doubts as the figures of the independent sheet say', function () {
    $doubt = static fn (string $stack): float => Doubt::of(Pencils::stack($stack));
    // Light passes with at most the last one firm, between pencils of ordinary contrast: medians 1.5, 1.8, 2.8, 3.0.
    expect($doubt('red@0.35'))
        ->toBe(1.5)
        ->and($doubt('red@0.35 green@0.35'))
        ->toEqualWithDelta(1.8, 0.5)
        ->and($doubt('red@0.35 green@0.35 orange@0.80'))
        ->toEqualWithDelta(2.8, 0.4)
        ->and($doubt('red@0.35 red@0.35'))
        ->toBeLessThan($doubt('red@0.35 green@0.35'));
    // Firm over firm: 4.0 and 6.5.
    expect($doubt('red@0.80 orange@0.80 red@1.00'))
        ->toEqualWithDelta(4.0, 0.4)
        ->and($doubt('red@0.80 orange@0.80 red@1.00 orange@1.00'))
        ->toEqualWithDelta(6.5, 0.6)
        ->and(Doubt::of(new Stack([])))
        ->toBe(0.0);
    // However much is laid, it is never more than knowing nothing.
    $many = static fn (int $passes): float => Doubt::of(new Stack(array_fill(0, $passes, new Pass(Pencils::named('red'), 1.0))));
    expect($many(5) - $many(4))
        ->toEqualWithDelta($many(4) - $many(3), 1e-9)
        ->and($many(30))
        ->toBe(20.0);
});

it('drags some of the newest film into a firm pass, and loses none of it', function () {
    $light = Pencils::sheet('blue@0.55 white@0.55');
    expect($light->deposits)->toHaveCount(2);
    foreach (['0.80', '1.00'] as $p) {
        $firm = Pencils::sheet("blue@0.55 white@$p");
        [$beneath, $above] = $firm->deposits;
        expect($beneath->total())
            ->toBeLessThan(Pencils::sheet('blue@0.55')->deposits[0]->total())
            ->and($beneath->total() + $above->total())
            ->toEqualWithDelta(array_sum($firm->fill), 1e-9);
        // Laid again from its films it looks the same.
        $before = Lab::ofReflectance($firm->meanReflectance());
        $firm->rebuild();
        expect(Lab::ofReflectance($firm->meanReflectance())->deltaE00($before))->toBeLessThan(0.05);
    }
    // Of its own kind it takes up nothing that would show: two full coats are the heavy swatch.
    expect(Pencils::sheet('red@1.00 red@1.00')->deposits[0]->total())->toBe(Pencils::sheet('red@1.00')->deposits[0]->total());
});

it('is said as an artist would, and says why each pass is there', function () {
    $shades = [
        new Shade('light', new Lab(80, 0, 0)),
        new Shade('mid', new Lab(55, 0, 0)),
        new Shade('dark', new Lab(20, 0, 0)),
        new Shade('red door', new Lab(45, 50, 30), 0.1, true),
    ];
    [$whisper, $light, $medium, $firm] = Pressure::cases();
    $sequence = new Sequence([
        new GradedPass(Pencils::named('black'), [$whisper, $whisper, $whisper, null]),
        new GradedPass(Pencils::named('black'), [null, $light, $medium, null]),
        new GradedPass(Pencils::named('blue'), [$light, $medium, $firm, $light]),
        new GradedPass(Pencils::named('black'), [null, null, $firm, null]),
        new GradedPass(Pencils::named('red'), [null, null, null, $medium]),
    ]);
    $words = SequenceWords::of($sequence, $shades);
    expect($words->whole())
        ->toBe(
            'black black over all but the red door in a whisper; black black from the middle down lightly, a little firmer in the darks; '.
                'blue blue over all of it from light in the lights to firm in the darks; black black only in the darkest firmly; red '.
                'red in the red door alone at medium pressure.',
        )
        ->and($words->inShort())
        ->toContain('black whisper, black light to medium')
        ->and(SequenceWords::of(new Sequence([]), $shades)->whole())
        ->toBe('Leave the paper bare.');
    [$even, $graded] = [
        new GradedPass(Pencils::named('blue'), [$light, $light, $light, $light]),
        new GradedPass(Pencils::named('red'), [null, $light, $firm, null]),
    ];
    expect(SequenceWords::of(new Sequence([$even, $even, $graded, $graded, $graded, $even]), $shades)->whole())->toBe(
        'two light coats of blue blue over all of it; red red from the middle down from light to firm in the darks, in three coats; blue '.
            'blue over all of it lightly.',
    );
    $reasons = PassReasons::of(
        SequenceAnswer::of(RecipeLabel::Surest, $sequence, $shades, Paper::whiteMedium(), Mode::ColourAndValue),
        Paper::whiteMedium(),
    );
    expect($reasons)
        ->toHaveCount(5)
        ->and($reasons[3])
        ->toContain('Without this pass the dark would be')
        ->toContain('too light')
        ->and($reasons[4])
        ->toContain('Without this pass the red door would be');
});

it('grades a whole pass firmer, lighter, steeper, flatter, and never beyond its pressures', function () {
    [$whisper, $light, $medium, $firm, $full] = Pressure::cases();
    $pass = new GradedPass(Pencils::named('blue'), [$whisper, $light, $full, $medium]);
    $pressures = static fn (Regrade $how): array => array_map(
        static fn (?Pressure $m): ?string => $m?->value,
        $how->of($pass, [0, 1, 2])->pressures,
    );
    expect($pressures(Regrade::Firmer))
        ->toBe(['light', 'medium', 'full', 'firm'])
        ->and($pressures(Regrade::Lighter))
        ->toBe(['whisper', 'whisper', 'firm', 'light'])
        ->and($pressures(Regrade::Steeper))
        ->toBe([null, 'light', 'full', 'medium'])
        ->and($pressures(Regrade::Flatter))
        ->toBe(['light', 'light', 'firm', 'medium']);
});
