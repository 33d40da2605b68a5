<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use KnottyPrism\Core\Medium\Pencil\Binder;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Swatches\PencilFit;
use KnottyPrism\Core\Recipe\FindSequences;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Recipe;
use KnottyPrism\Core\Recipe\RecipePlanner;
use KnottyPrism\Core\Recipe\Remedies\Remedies;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\Warnings\Bloom;
use KnottyPrism\Core\Recipe\Warnings\OutOfReach;
use KnottyPrism\Core\Recipe\Warnings\Warning;
use KnottyPrism\Core\Recipe\Warnings\Warnings;
use Tests\Core\Pencils;

/** @return array<string, Warning> by code; the target is a colour or the stack that makes it */
function warningsOf(string $stack, string $target, string $paper = 'white medium'): array
{
    $on = PaperShelf::named($paper);
    $answer = Pencils::answer($stack, str_starts_with($target, '#') ? Lab::ofHex($target) : Pencils::colour($target, $on), $on);
    $warnings = [];
    foreach (Pencils::warnings($answer, $on) as $warning) {
        $warnings[$warning->kind->value] = $warning;
        if ($warning->remedied !== null) {
            expect(Warnings::codesIn($warning->remedied))
                ->not->toContain($warning->kind->value)
                ->and($warning->remedy)
                ->toContain('likely error then');
        }
    }

    return $warnings;
}

it('warns at the pass that causes it, and not of what is nearly the same but harmless', function (
    string $code,
    int $pass,
    array $raises,
    array $spares,
) {
    $raised = warningsOf(...$raises);
    expect($raised)->toHaveKey($code)->and($raised[$code]->pass)->toBe($pass);
    expect(warningsOf(...$spares))->not->toHaveKey($code);
})->with([
    'blue over orange goes green, violet does not' => [
        'green cast',
        2,
        ['orange@0.55 blue@0.55', '#7a6a5a'],
        ['orange@0.55 violet@0.35', '#7a6a5a'],
    ],
    'black over yellow goes green where the target is not, and where it is' => [
        'green cast',
        2,
        ['yellow@0.80 black@0.35', '#a89a40'],
        ['yellow@0.80 black@0.35', 'yellow@0.80 black@0.35'],
    ],
    'black takes the colour too, unless the target has none' => [
        'black deadens',
        2,
        ['red@0.55 black@0.35', 'red@0.80 violet@0.35'],
        ['red@0.55 black@0.35', 'red@0.55 black@0.35'],
    ],
    'white makes a pastel where yellow keeps the colour' => [
        'pastel shift',
        2,
        ['green@0.55 opaque-white@0.80', 'yellow@0.80 green@0.20'],
        ['green@0.35 yellow@0.55', 'yellow@0.80 green@0.20'],
    ],
    'a firm waxy coat refuses what follows, a light one does not' => [
        'resist',
        1,
        ['white@1.00 blue@0.35', 'blue@0.20'],
        ['white@0.35 blue@0.35', 'blue@0.20'],
    ],
    'very light straight onto very dark, or onto a middle value' => [
        'value jump',
        2,
        ['black@0.80 opaque-white@0.55', '#888888'],
        ['black@0.20 opaque-white@0.55', '#cccccc'],
    ],
    'tooth spent before the last pass, or by the last' => [
        'tooth spent',
        3,
        ['red@1.00 red@1.00 red@1.00 blue@0.20', '#a03030'],
        ['red@1.00 red@1.00 red@1.00', '#a03030'],
    ],
    'much wax, less wax' => ['bloom', 1, ['red@1.00', 'red@1.00'], ['red@0.80', 'red@0.80']],
    'out of what the stack reaches, or near it' => ['out of reach', 0, ['red@0.55', '#00ff66'], ['red@0.80', 'red@1.00']],
    'a gamble, and a steady coat' => [
        'unsteady',
        2,
        ['yellow@0.55 black@0.20', 'yellow@0.55 black@0.20'],
        ['yellow@0.55', 'yellow@0.55'],
    ],
    'solvent on film, and on paper' => [
        'solvent not advised',
        3,
        ['red@0.35 blue@0.35 solvent', 'red@0.55', 'drafting film'],
        ['red@0.35 blue@0.35 solvent', 'red@0.55'],
    ],
]);

it('has tried the remedy that it gives', function (string $code, string $stack, string $target, string $paper = 'white medium') {
    $warning = warningsOf($stack, $target, $paper)[$code];
    expect($warning->remedied)
        ->not->toBeNull($warning->remedy)
        ->and($warning->remedied->sequence->stackIn(0)->text())
        ->not->toBe(Pencils::stack($stack)->text());
})->with([
    ['green cast', 'orange@0.55 blue@0.55', '#7a6a5a'],
    ['black deadens', 'red@0.55 black@0.35', 'red@0.80 violet@0.35'],
    ['pastel shift', 'green@0.55 opaque-white@0.80', 'yellow@0.80 green@0.20'],
    ['resist', 'white@1.00 blue@0.35', 'blue@0.20'],
    ['value jump', 'black@0.80 white@0.20', '#333333'],
    ['tooth spent', 'red@1.00 red@1.00 red@1.00 blue@0.20', '#a03030'],
    ['bloom', 'green@1.00', 'green@0.80'],
    ['unsteady', 'red@0.55 violet@0.35', 'red@0.55 violet@0.35'],
]);

it('remedies what keeps craft and method within them, and what does not whatever they say', function () {
    $paper = Paper::whiteMedium();
    $drawer = new Drawer(array_map(Pencils::named(...), Pencils::names()));
    foreach (['red@0.35 violet@0.55 violet@0.80', 'red@0.35 violet@0.35 red@0.80', 'yellow@0.35 red@0.55 violet@0.80'] as $kept) {
        $answer = Pencils::answer($kept);
        $allows = (new FindSequences($drawer, $paper, Method::ofSettings(['values=light-to-dark'])))->allowing($answer->shades());
        $remedied = array_values(
            array_filter(array_map(static fn (Warning $w): ?SequenceAnswer => $w->remedied, Pencils::warnings($answer, allowed: $allows))),
        );
        expect($allows($answer->sequence))
            ->toBeTrue()
            ->and($remedied)
            ->not->toBe([])
            ->each(static fn ($a) => expect($allows($a->value->sequence))->toBeTrue());
    }
    expect(
        array_filter(
            array_map(
                static fn (Warning $w): ?SequenceAnswer => $w->remedied,
                Pencils::warnings(Pencils::answer('yellow@0.55 red@1.00 red@1.00 blue@0.20')),
            ),
        ),
    )->not->toBe([]);
});

it('says what to look out for in a sequence once, by the pass that causes it, and tries small changes against it', function () {
    $paper = Paper::whiteMedium();
    $sequence = new Sequence([
        new GradedPass(Pencils::named('yellow'), [Pressure::Light, Pressure::Light, Pressure::Light]),
        new GradedPass(Pencils::named('green'), [null, Pressure::Medium, Pressure::Medium]),
        new GradedPass(Pencils::named('green'), [null, Pressure::Firm, Pressure::Firm]),
    ]);
    $shades = array_map(
        static fn (int $i): Shade => new Shade(['light', 'mid', 'dark'][$i], Lab::ofXyz($sequence->stackIn($i)->on($paper)->xyz())),
        [0, 1, 2],
    );
    $answer = SequenceAnswer::of(RecipeLabel::Surest, $sequence, $shades, $paper, Mode::ColourAndValue);
    $blooms = array_values(array_filter(Warnings::in($answer), static fn (Warning $w): bool => $w->kind instanceof Bloom));
    // Wax lies heavily in mid and dark by the same pass: the last of the three.
    expect($blooms)
        ->toHaveCount(1)
        ->and($blooms[0]->pass)
        ->toBe(3)
        ->and($blooms[0]->shades)
        ->toBe([1, 2]);
    $remedy = (new Remedies($paper, Mode::ColourAndValue, array_map(Pencils::named(...), Pencils::names()), null))->for(
        $blooms[0],
        $answer,
    );
    expect($remedy)
        ->not->toBeNull()
        ->and($remedy->words)
        ->toContain('likely error then')
        ->and(Warnings::codesIn($remedy->answer))
        ->not->toContain('bloom')
        ->and($remedy->answer->errorOnPaper())
        ->toBeLessThan($answer->errorOnPaper() + 2.5);
});

it('finds in what it has laid a remedy for nearly every warning that available pencils can remove', function () {
    $paper = Paper::whiteMedium();
    $planner = new RecipePlanner(theDemoDrawer(), $paper, Method::free(), Pencils::shelf());
    $recipes = $warnings = $remedied = 0;
    foreach (['#2d2a26', '#b5651d', '#e6c27a', '#3d5a80', '#402020', '#778899'] as $hex) {
        foreach ($planner->recipesFor(Lab::ofHex($hex)) as $recipe) {
            $recipes++;
            foreach (array_filter($recipe->warnings, static fn (Warning $w): bool => ! ($w->kind instanceof OutOfReach)) as $warning) {
                $warnings++;
                if ($warning->remedied !== null) {
                    $remedied++;
                    expect(Warnings::codesIn($warning->remedied))->not->toContain($warning->kind->value);
                }
            }
        }
    }
    // Rare enough to be read: what half of all recipes carry says nothing.
    expect($warnings)
        ->toBeGreaterThan(0)
        ->toBeLessThan(0.2 * $recipes)
        ->and($remedied)
        ->toBeGreaterThanOrEqual(0.9 * $warnings);
});

it('warns of what fades, and offers a pencil that does not', function () {
    $make = static fn (string $number, string $hex, string $fast): KnottyPrism\Core\Medium\Pencil\Pencil => PencilFit::of(
        new PencilRecord('', $number, $number, $hex, Binder::Oil, lightfast: $fast),
    );
    [$poor, $good] = [$make('1', '#b0408a', 'poor'), $make('2', '#ae4489', 'good')];
    $paper = Paper::whiteMedium();
    $target = Lab::ofReflectance((new Stack([new Pass($poor, 0.55)]))->on($paper)->meanReflectance());
    $answer = static fn (KnottyPrism\Core\Medium\Pencil\Pencil $p): SequenceAnswer => SequenceAnswer::of(
        RecipeLabel::Closest,
        Sequence::ofStack(new Stack([new Pass($p, 0.55)])),
        [Shade::ofSpot($target)],
        $paper,
        Mode::ColourAndValue,
    );
    $warning = Warnings::in($answer($poor))[0];
    $remedy = (new Remedies($paper, Mode::ColourAndValue, [$poor, $good], null))->for($warning, $answer($poor));
    expect($warning->kind->value)
        ->toBe('not lightfast')
        ->and($remedy?->answer->sequence->stackIn(0)->text())
        ->toContain('2@')
        ->and(Warnings::in($answer($good)))
        ->toBe([]);
});

it('names the pencil not available that would reach a colour out of reach', function () {
    $owned = theDemoDrawer()->usable()->pencils;
    $missing = PencilFit::of(new PencilRecord('', '99', 'Wet paint', '#00b0ff', Binder::Wax, owned: false));
    $near = PencilFit::of(new PencilRecord('', '98', 'Mud', '#7a6a50', Binder::Wax, owned: false));
    $planner = new RecipePlanner(new KnottyPrism\Core\Drawer\Drawer([...$owned, $near, $missing]), Paper::whiteMedium(), Method::free());
    $warnings = array_merge(...array_map(static fn (Recipe $r): array => $r->warnings, $planner->recipesFor(Lab::ofHex('#00b8ff'))));
    $reach = array_values(array_filter($warnings, static fn (Warning $w): bool => $w->kind instanceof OutOfReach));
    expect($reach)->not->toBe([])->and($reach[0]->remedy)->toContain('99 Wet paint');
});
