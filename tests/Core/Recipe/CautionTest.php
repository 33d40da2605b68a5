<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\PressureMark;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use KnottyPrism\Core\Medium\Pencil\Binder;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Swatches\PencilFit;
use KnottyPrism\Core\Recipe\Cautions\Caution;
use KnottyPrism\Core\Recipe\Cautions\CautionCode;
use KnottyPrism\Core\Recipe\Cautions\Cautions;
use KnottyPrism\Core\Recipe\Cautions\Remedies;
use KnottyPrism\Core\Recipe\Cautions\Trace;
use KnottyPrism\Core\Recipe\FindSequences;
use KnottyPrism\Core\Recipe\PassCautions\PassCaution;
use KnottyPrism\Core\Recipe\PassCautions\SequenceCautions;
use KnottyPrism\Core\Recipe\PassCautions\SequenceRemedy;
use KnottyPrism\Core\Recipe\Recipe;
use KnottyPrism\Core\Recipe\RecipePlanner;
use KnottyPrism\Core\Recipe\School\Mode;
use KnottyPrism\Core\Recipe\School\School;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use Tests\Core\Pencils;

/** @return array<string, Caution> by code; the target is a colour or the stack that makes it */
function cautionsOf(string $stack, string $target, string $paper = 'white medium'): array
{
    $on = PaperShelf::named($paper);
    $wanted = str_starts_with($target, '#') ? Lab::ofHex($target) : Pencils::colour($target, $on);
    $remedies = new Remedies($on, array_map(Pencils::named(...), Pencils::names()));
    $cautions = [];
    foreach (Recipe::of(RecipeLabel::Closest, $wanted, Pencils::stack($stack), $on, $remedies)->cautions as $caution) {
        $cautions[$caution->code->value] = $caution;
        if ($caution->remedied !== null) {
            $again = array_map(static fn (Caution $c): CautionCode => $c->code, Cautions::in(Trace::of($caution->remedied, $on), $wanted, null));
            expect($again)->not->toContain($caution->code)->and($caution->remedy)->toContain('tried');
        }
    }

    return $cautions;
}

it('warns at the pass that causes it, and not of what is nearly the same but harmless', function (CautionCode $code, int $step, array $raises, array $spares) {
    $raised = cautionsOf(...$raises);
    expect($raised)->toHaveKey($code->value)->and($raised[$code->value]->step)->toBe($step);
    expect(cautionsOf(...$spares))->not->toHaveKey($code->value);
})->with([
    'blue over orange goes green, violet does not' => [CautionCode::GreenCast, 2, ['orange@0.55 blue@0.55', '#7a6a5a'], ['orange@0.55 violet@0.35', '#7a6a5a']],
    'black over yellow goes green where the target is not, and where it is' => [CautionCode::GreenCast, 2, ['yellow@0.80 black@0.35', '#a89a40'], ['yellow@0.80 black@0.35', 'yellow@0.80 black@0.35']],
    'black takes the colour too, unless the target has none' => [CautionCode::BlackDeadens, 2, ['red@0.55 black@0.35', 'red@0.80 violet@0.35'], ['red@0.55 black@0.35', 'red@0.55 black@0.35']],
    'white makes a pastel where yellow keeps the colour' => [CautionCode::PastelShift, 2, ['green@0.55 opaque-white@0.80', 'yellow@0.80 green@0.20'], ['green@0.35 yellow@0.55', 'yellow@0.80 green@0.20']],
    'a firm waxy coat refuses what follows, a light one does not' => [CautionCode::Resist, 1, ['white@1.00 blue@0.35', 'blue@0.20'], ['white@0.35 blue@0.35', 'blue@0.20']],
    'very light straight onto very dark, or onto a middle value' => [CautionCode::ValueJump, 2, ['black@0.80 opaque-white@0.55', '#888888'], ['black@0.20 opaque-white@0.55', '#cccccc']],
    'tooth spent before the last pass, or by the last' => [CautionCode::ToothSpent, 3, ['red@1.00 red@1.00 red@1.00 blue@0.20', '#a03030'], ['red@1.00 red@1.00 red@1.00', '#a03030']],
    'much wax, less wax' => [CautionCode::Bloom, 1, ['red@1.00', 'red@1.00'], ['red@0.80', 'red@0.80']],
    'out of what the stack reaches, or near it' => [CautionCode::OutOfReach, 0, ['red@0.55', '#00ff66'], ['red@0.80', 'red@1.00']],
    'a gamble, and a steady coat' => [CautionCode::Unsteady, 2, ['yellow@0.55 black@0.20', 'yellow@0.55 black@0.20'], ['yellow@0.55', 'yellow@0.55']],
    'solvent on film, and on paper' => [CautionCode::Solvent, 3, ['red@0.35 blue@0.35 solvent', 'red@0.55', 'drafting film'], ['red@0.35 blue@0.35 solvent', 'red@0.55']],
]);

it('has tried the remedy that it gives', function (CautionCode $code, string $stack, string $target, string $paper = 'white medium') {
    $caution = cautionsOf($stack, $target, $paper)[$code->value];
    expect($caution->remedied)->not->toBeNull($caution->remedy)->and($caution->remedied->text())->not->toBe(Pencils::stack($stack)->text());
})->with([
    [CautionCode::GreenCast, 'orange@0.55 blue@0.55', '#7a6a5a'],
    [CautionCode::BlackDeadens, 'red@0.55 black@0.35', 'red@0.80 violet@0.35'],
    [CautionCode::PastelShift, 'green@0.55 opaque-white@0.80', 'yellow@0.80 green@0.20'],
    [CautionCode::Resist, 'white@1.00 blue@0.35', 'blue@0.20'],
    [CautionCode::ValueJump, 'black@0.80 white@0.20', '#333333'],
    [CautionCode::ToothSpent, 'red@1.00 red@1.00 red@1.00 blue@0.20', '#a03030'],
    [CautionCode::Bloom, 'green@1.00', 'green@0.80'],
    [CautionCode::Unsteady, 'red@0.55 violet@0.35', 'red@0.55 violet@0.35'],
]);

it('remedies a stack that is laid already within the craft and the way of working that it keeps, and freely where it keeps them not', function () {
    $paper = Paper::whiteMedium();
    $drawer = new Drawer(array_map(Pencils::named(...), Pencils::names()));
    $remedied = static function (string $text, string ...$settings) use ($paper, $drawer): array {
        $stack = Pencils::stack($text);
        $target = Lab::ofXyz($stack->on($paper)->xyz());
        $school = School::ofSettings(array_values($settings));
        $cautions = Recipe::of(RecipeLabel::Closest, $target, $stack, $paper, (new RecipePlanner($drawer, $paper, $school))->remediesFor($stack, $target))->cautions;
        $allows = (new FindSequences($drawer, $paper, $school))->allowing($target);

        return [$allows($stack), array_values(array_filter(array_map(static fn (Caution $c): ?Stack => $c->remedied, $cautions))), $allows];
    };
    foreach (['red@0.35 violet@0.55 violet@0.80', 'red@0.35 violet@0.35 red@0.80', 'yellow@0.35 red@0.55 violet@0.80'] as $kept) {
        [$keeps, $remedies, $allows] = $remedied($kept, 'values=light-to-dark');
        expect($keeps)->toBeTrue()->and($remedies)->not->toBe([])->each(static fn ($stack) => expect($allows($stack->value))->toBeTrue($stack->value->text()));
    }
    $text = static fn (array $stacks): array => array_map(static fn (Stack $s): string => $s->text(), $stacks);
    [$keeps, $free] = $remedied('yellow@0.55 red@1.00 red@1.00 blue@0.20');
    [, $bound] = $remedied('yellow@0.55 red@1.00 red@1.00 blue@0.20', 'values=dark-to-light');
    expect($keeps)->toBeFalse()->and($text($free))->not->toBe([])->toBe($text($bound));
});

it('says what there is to mind in a sequence once, by the pass that causes it, and tries small changes against it', function () {
    $paper = Paper::whiteMedium();
    $sequence = new Sequence([
        new GradedPass(Pencils::named('yellow'), [PressureMark::Light, PressureMark::Light, PressureMark::Light]),
        new GradedPass(Pencils::named('green'), [null, PressureMark::Medium, PressureMark::Medium]),
        new GradedPass(Pencils::named('green'), [null, PressureMark::Firm, PressureMark::Firm]),
    ]);
    $shades = array_map(static fn (int $i): Shade => new Shade(['light', 'mid', 'dark'][$i], Lab::ofXyz($sequence->stackIn($i)->on($paper)->xyz())), [0, 1, 2]);
    $answer = SequenceAnswer::of(RecipeLabel::Surest, $sequence, $shades, $paper, Mode::ColourAndValue);
    $blooms = array_values(array_filter(SequenceCautions::in($answer, $paper), static fn (PassCaution $c): bool => $c->code === CautionCode::Bloom));
    // Wax lies heavily in mid and dark by the same pass: the last of the three.
    expect($blooms)->toHaveCount(1)->and($blooms[0]->pass)->toBe(3)->and($blooms[0]->shades)->toBe([1, 2]);
    $remedy = SequenceRemedy::of($blooms[0], $answer, $paper, Mode::ColourAndValue, array_map(Pencils::named(...), Pencils::names()), null);
    expect($remedy)->not->toBeNull()->and($remedy->words)->toContain('tried')->and(array_map(static fn (PassCaution $c): CautionCode => $c->code, SequenceCautions::in($remedy->answer, $paper)))->not->toContain(CautionCode::Bloom)
        ->and($remedy->answer->errorOnPaper())->toBeLessThan($answer->errorOnPaper() + 2.5);
});

it('finds in what it has laid a remedy for nearly every caution that pencils at hand can remove', function () {
    $paper = Paper::whiteMedium();
    $planner = new RecipePlanner(theDemoDrawer(), $paper, School::free(), Pencils::shelf());
    $recipes = $cautions = $remedied = 0;
    foreach (['#2d2a26', '#b5651d', '#e6c27a', '#3d5a80', '#402020', '#778899'] as $hex) {
        foreach ($planner->recipesFor(Lab::ofHex($hex)) as $recipe) {
            $recipes++;
            foreach (array_filter($recipe->cautions, static fn (Caution $c): bool => $c->code !== CautionCode::OutOfReach) as $caution) {
                $cautions++;
                if ($caution->remedied !== null) {
                    $remedied++;
                    $again = Cautions::in(Trace::of($caution->remedied, $paper), Lab::ofHex($hex), KnottyPrism\Core\Medium\Stack\Steadiness::of($caution->remedied, $paper));
                    expect(array_map(static fn (Caution $c): CautionCode => $c->code, $again))->not->toContain($caution->code);
                }
            }
        }
    }
    // Rare enough to be read: what half of all recipes carry says nothing.
    expect($cautions)->toBeGreaterThan(0)->toBeLessThan(0.2 * $recipes)->and($remedied)->toBeGreaterThanOrEqual(0.9 * $cautions);
});

it('warns of what fades, and offers a pencil that does not', function () {
    $make = static fn (string $number, string $hex, string $fast): KnottyPrism\Core\Medium\Pencil\Pencil => PencilFit::of(new PencilRecord('', $number, $number, $hex, Binder::Oil, lightfast: $fast));
    [$poor, $good] = [$make('1', '#b0408a', 'poor'), $make('2', '#ae4489', 'good')];
    $paper = Paper::whiteMedium();
    $target = Lab::ofReflectance((new Stack([new Pass($poor, 0.55)]))->on($paper)->meanReflectance());
    $of = static fn (KnottyPrism\Core\Medium\Pencil\Pencil $p): array => Recipe::of(RecipeLabel::Closest, $target, new Stack([new Pass($p, 0.55)]), $paper, new Remedies($paper, [$poor, $good]))->cautions;
    expect($of($poor)[0]->code)->toBe(CautionCode::NotLightfast)->and($of($poor)[0]->remedied?->text())->toContain('2@')->and($of($good))->toBe([]);
});

it('names the pencil not at hand that would reach a colour out of reach', function () {
    $owned = theDemoDrawer()->usable()->pencils;
    $missing = PencilFit::of(new PencilRecord('', '99', 'Wet paint', '#00b0ff', Binder::Wax, owned: false));
    $near = PencilFit::of(new PencilRecord('', '98', 'Mud', '#7a6a50', Binder::Wax, owned: false));
    $planner = new RecipePlanner(new KnottyPrism\Core\Drawer\Drawer([...$owned, $near, $missing]), Paper::whiteMedium(), School::free());
    $cautions = array_merge(...array_map(static fn (Recipe $r): array => $r->cautions, $planner->recipesFor(Lab::ofHex('#00b8ff'))));
    $reach = array_values(array_filter($cautions, static fn (Caution $c): bool => $c->code === CautionCode::OutOfReach));
    expect($reach)->not->toBe([])->and($reach[0]->remedy)->toContain('99 Wet paint');
});
