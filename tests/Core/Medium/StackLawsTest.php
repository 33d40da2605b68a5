<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Formats\StackText;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\PressureMark;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Photo\Zones\Role;
use KnottyPrism\Core\Picture\LayingOrder;
use KnottyPrism\Core\Picture\Palette\PlannedPalette;
use KnottyPrism\Core\Picture\Palette\PlannedStack;
use KnottyPrism\Core\Picture\PlannedTarget;
use KnottyPrism\Core\Recipe\Cautions\Caution;
use KnottyPrism\Core\Recipe\Reasons;
use KnottyPrism\Core\Recipe\Recipe;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;

// What holds of every stack that an artist may lay, sensible or not: pencils at any mark, finishes anywhere, one pass or eight.

/** @return list<Stack> */
function anyStacks(int $count, int $seed): array
{
    mt_srand($seed);
    $pencils = smallHand()->pencils;
    $marks = PressureMark::cases();
    $step = static fn (): Pass|Finish => mt_rand(0, 5) === 0 ? Finish::cases()[mt_rand(0, count(Finish::cases()) - 1)] : new Pass($pencils[mt_rand(0, count($pencils) - 1)], $marks[mt_rand(0, 4)]->pressure());

    return array_map(static fn (): Stack => new Stack(array_map($step, range(1, mt_rand(1, 8)))), range(1, $count));
}

it('tells of any stack what comes of it: figures within their ranges, every step, cautions at steps that are there', function (string $on) {
    $paper = PaperShelf::named($on);
    $target = Lab::ofHex('#8a6a50');
    foreach (anyStacks(60, 4) as $stack) {
        $recipe = Recipe::of(RecipeLabel::Closest, $target, $stack, $paper);
        $prediction = $recipe->prediction;
        $used = array_map(static fn ($s): float => $s->toothUsed, $prediction->steps);
        $what = $stack->text();
        expect($prediction->steps)->toHaveCount(count($stack->steps), $what)->and($prediction->steadiness)->toBeBetween(0.0, 200.0)
            ->and(end($used))->toBeBetween(0.0, 1.0)->and($prediction->lab()->l)->toBeBetween(0.0, 100.0)->and($recipe->comparison->deltaE00)->toBeBetween(0.0, 200.0);
        foreach ($stack->steps as $i => $step) {
            // A pass only ever fills tooth; what lifts gives some back.
            if ($i > 0 && $step instanceof Pass) {
                expect($used[$i])->toBeGreaterThanOrEqual($used[$i - 1] - 1e-9, $what);
            }
        }
        foreach ($recipe->cautions as $caution) {
            expect($caution->step)->toBeBetween(0, count($stack->steps))->and($caution->text)->toMatch('/^\S.*\S$/s')->and($caution->remedy)->not->toBe('');
        }
        $codes = array_map(static fn (Caution $c): string => $c->code->value.$c->step, $recipe->cautions);
        expect(array_unique($codes))->toBe($codes);
        expect(StackText::read($what, smallHand()))->toEqual($stack);
    }
})->with(['white medium', 'black', 'drafting film']);

it('gives up to two reasons for any stack, and what it names as needed moves the colour most when it is left out', function () {
    $paper = PaperShelf::named('white medium');
    $look = static fn (array $steps): Lab => Lab::ofReflectance((new Stack(array_values($steps)))->on($paper)->meanReflectance());
    $needed = 0;
    foreach (anyStacks(80, 8) as $stack) {
        $own = $look($stack->steps);
        $reasons = Reasons::for($stack, $own, $paper);
        $passes = $stack->passes();
        expect(count($reasons))->toBeLessThanOrEqual(2);
        if (count($passes) < 2) {
            expect($reasons)->toHaveCount(1)->and($reasons[0])->toContain($passes === [] ? 'No pencil is laid' : $passes[0]->pencil->record->number);

            continue;
        }
        $moved = [];
        foreach ($stack->steps as $i => $step) {
            if ($step instanceof Pass) {
                $moved[$i] = $look(array_diff_key($stack->steps, [$i => true]))->deltaE00($own);
            }
        }
        if (preg_match('/^Without (\S+) (\w+)/', $reasons[0] ?? '', $m) === 1) {
            $needed++;
            $named = array_filter($stack->steps, static fn (Pass|Finish $s): bool => $s instanceof Pass && $s->pencil->record->number === $m[1] && PressureMark::nearest($s->pressure)->value === $m[2]);
            expect(max(array_intersect_key($moved, $named)))->toEqualWithDelta(max($moved), 1e-9, $stack->text());
        } else {
            expect(max($moved))->toBeLessThanOrEqual(1.5, $stack->text());
        }
    }
    expect($needed)->toBeGreaterThan(30);
});

it('lays every step of a plan once and in order, the lightest results first, and lists every pencil with all zones that take it', function () {
    $paper = PaperShelf::named('white medium');
    $grey = Lab::ofHex('#808080');
    $stacks = anyStacks(25, 15);
    $targets = array_map(static fn (Stack $s, int $zone): PlannedTarget => new PlannedTarget($zone, Role::Mid, $grey, $grey, 0.1, Recipe::of(RecipeLabel::Closest, $grey, $s, $paper)), $stacks, array_keys($stacks));
    $order = LayingOrder::of($targets);
    expect(count($order))->toBe(array_sum(array_map(static fn (Stack $s): int => count($s->steps), $stacks)));
    $done = array_fill(0, count($stacks), 0);
    foreach ($order as $i => $laid) {
        [$step, $target] = [$laid->step, $laid->target];
        expect(++$done[$target->zone])->toBe($step);
        $before = $order[$i - 1] ?? null;
        if ($before !== null) {
            expect($step)->toBeGreaterThanOrEqual($before->step);
            if ($step === $before->step) {
                expect($target->recipe->prediction->steps[$step - 1]->lab->l)->toBeLessThanOrEqual($before->target->recipe->prediction->steps[$step - 1]->lab->l);
            }
        }
    }
    foreach (PlannedPalette::of(array_map(static fn (Stack $s, int $zone): PlannedStack => new PlannedStack($zone, $s), $stacks, array_keys($stacks))) as $one) {
        [$pencil, $zones] = [$one->pencil, $one->zones];
        expect($zones)->toBe(array_keys(array_filter($stacks, static fn (Stack $s): bool => in_array($pencil, $s->pencils(), true))));
    }
});
