<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Formats\StackText;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use KnottyPrism\Core\Medium\Stack\LaidStep;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Picture\Palette\PlannedPalette;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Sequence\Outcome;
use KnottyPrism\Core\Recipe\Sequence\PassReasons;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\Warnings\Warning;
use KnottyPrism\Core\Recipe\Warnings\Warnings;

// What holds of every stack that an artist may lay, sensible or not: pencils at any pressure, finishes anywhere, one pass or eight.

/** @return list<Stack> */
function anyStacks(int $count, int $seed): array
{
    mt_srand($seed);
    $pencils = smallHand()->pencils;
    $pressures = Pressure::cases();
    $step = static fn (): Pass|Finish => mt_rand(0, 5) === 0
        ? Finish::cases()[mt_rand(0, count(Finish::cases()) - 1)]
        : new Pass($pencils[mt_rand(0, count($pencils) - 1)], $pressures[mt_rand(0, 4)]->share());

    return array_map(static fn (): Stack => new Stack(array_map($step, range(1, mt_rand(1, 8)))), range(1, $count));
}

it('tells of any stack what comes of it: figures within their ranges, every step, warnings at steps that are there', function (
    string $on,
) {
    $paper = PaperShelf::named($on);
    $shade = Shade::ofSpot(Lab::ofHex('#8a6a50'));
    foreach (anyStacks(60, 4) as $stack) {
        $outcome = Outcome::of($shade, $stack, $paper, Mode::ColourAndValue);
        $used = array_map(static fn (LaidStep $s): float => $s->toothUsed, $outcome->laid->looks());
        $what = $stack->text();
        expect($used)
            ->toHaveCount(count($stack->steps), $what)
            ->and($outcome->sway())
            ->toBeBetween(0.0, 200.0)
            ->and($outcome->toothUsed)
            ->toBe(end($used))
            ->and(end($used))
            ->toBeBetween(0.0, 1.0)
            ->and($outcome->lab->l)
            ->toBeBetween(0.0, 100.0)
            ->and($outcome->comparison()->deltaE00)
            ->toBeBetween(0.0, 200.0)
            ->and($outcome->leastError())
            ->toBeLessThanOrEqual($outcome->errorOnPaper());
        foreach ($stack->steps as $i => $step) {
            // A pass only ever fills tooth; what lifts gives some back.
            if ($i > 0 && $step instanceof Pass) {
                expect($used[$i])->toBeGreaterThanOrEqual($used[$i - 1] - 1e-9, $what);
            }
        }
        $warnings = Warnings::of($outcome);
        foreach ($warnings as $warning) {
            expect($warning->pass)
                ->toBeBetween(0, count($stack->steps))
                ->and($warning->text)
                ->toMatch('/^\S.*\S$/s')
                ->and($warning->remedy)
                ->not->toBe('');
        }
        $codes = array_map(static fn (Warning $w): string => $w->kind->value.$w->pass, $warnings);
        expect(array_unique($codes))->toBe($codes);
        expect(StackText::read($what, smallHand()))->toEqual($stack);
    }
})->with(['white medium', 'black', 'drafting film']);

it('says of a pass what its shade would be without it where that is worse, and of no other', function () {
    $paper = PaperShelf::named('white medium');
    $said = 0;
    foreach (anyStacks(80, 8) as $stack) {
        $sequence = Sequence::ofStack($stack);
        $own = Lab::ofReflectance($sequence->stackIn(0)->on($paper)->meanReflectance());
        $answer = SequenceAnswer::of(RecipeLabel::Closest, $sequence, [Shade::ofSpot($own)], $paper, Mode::ColourAndValue);
        foreach (PassReasons::of($answer, $paper) as $at => $reason) {
            $rest = new Stack(array_values(array_diff_key($stack->steps, [$at => true])));
            $moved = Lab::ofReflectance($rest->on($paper)->meanReflectance())->deltaE00($own);
            $colours = str_starts_with((string) $reason, 'Without this pass the spot would be');
            $said += (int) $colours;
            // What evens is said first of a finish.
            expect($colours ? $moved > 1.5 : $moved <= 1.5 || ($stack->steps[$at] instanceof Finish && $reason !== null))->toBeTrue(
                $stack->text(),
            );
        }
    }
    expect($said)->toBeGreaterThan(60);
});

it('lists every pencil with all zones that take it', function () {
    $stacks = anyStacks(25, 15);
    foreach (PlannedPalette::of(array_map(Sequence::ofStack(...), $stacks)) as $one) {
        [$pencil, $zones] = [$one->pencil, $one->zones];
        expect($zones)->toBe(array_keys(array_filter($stacks, static fn (Stack $s): bool => in_array($pencil, $s->pencils(), true))));
    }
});
