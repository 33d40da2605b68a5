<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\ArtistWheel;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Oklch;
use KnottyPrism\Core\Drawer\Character;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\MethodRefuses;
use KnottyPrism\Core\Error\UnreadableText;
use KnottyPrism\Core\Medium\Finishes\Blender;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Finishes\Lift;
use KnottyPrism\Core\Medium\Finishes\Solvent;
use KnottyPrism\Core\Medium\Finishes\Tissue;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Recipe\Complements\Complement;
use KnottyPrism\Core\Recipe\Complements\ComplementTable;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Recipe;
use KnottyPrism\Core\Recipe\RecipePlanner;
use Tests\Core\Pencils;

/** Every recipe of a method for a dark, a middle and a light colour, of the demo's drawer.
 *
 * @return list<Recipe>
 */
function recipesOf(string ...$settings): array
{
    $planner = new RecipePlanner(theDemoDrawer(), Paper::whiteMedium(), Method::ofSettings(array_values($settings)), Pencils::shelf());

    return array_merge(
        ...array_map(static fn (string $hex): array => $planner->recipesFor(Lab::ofHex($hex), 4), ['#4a3b30', '#b5651d', '#d8d2bc']),
    );
}

/** @return list<Character> the pencils in the order they are laid */
function charactersOf(Recipe $recipe): array
{
    return array_map(static fn (Pass $p): Character => Character::of($p->pencil), $recipe->stack()->passes());
}

/** @param  Closure(list<Character>, Recipe): bool  $keeps */
function expectEvery(array $recipes, Closure $keeps): void
{
    expect(count($recipes))->toBeGreaterThanOrEqual(7);
    foreach ($recipes as $recipe) {
        expect($keeps(charactersOf($recipe), $recipe))->toBeTrue($recipe->stack()->text());
    }
}

it('lays values in the order of the method', function (string $order, int $sign) {
    expectEvery(recipesOf("values=$order"), static function (array $laid) use ($sign): bool {
        // Coming back to a pencil is allowed in every method, and so is burnishing with a pale one.
        $first = array_values(
            array_filter(
                $laid,
                static fn (Character $c, int $i): bool => ! $c->isPale() && array_search($c, $laid, true) === $i,
                ARRAY_FILTER_USE_BOTH,
            ),
        );
        foreach (array_slice($first, 1) as $i => $above) {
            if ($sign * ($above->heavy->l - $first[$i]->heavy->l) > 4.0) {
                return false;
            }
        }

        return true;
    });
})->with([['light-to-dark', 1], ['dark-to-light', -1]]);

it('models the form first, and never after a colour', function () {
    $recipes = recipesOf('values=form-first');
    expectEvery($recipes, static function (array $laid): bool {
        $form = array_map(static fn (Character $c): bool => $c->isForm(), $laid);
        $inOrder = $form;
        rsort($inOrder);

        return $form === $inOrder;
    });
    $dark = array_filter($recipes, static fn (Recipe $r): bool => $r->outcome()->shade->target->l < 60);
    expectEvery($dark === [] ? [] : [...$dark, ...$dark], static fn (array $laid): bool => $laid[0]->isForm());
});

it('lays beneath the local colour what the method wants there', function (string $beneath, Closure $isThat) {
    expectEvery(
        recipesOf("beneath=$beneath"),
        static fn (array $laid, Recipe $r): bool => count($r->stack()->pencils()) > 1 &&
            $isThat($laid[0], Oklch::ofLab($r->outcome()->shade->target)),
    );
})->with([
    'a dark cool' => ['dark-cool', static fn (Character $c): bool => $c->isDarkCool()],
    'a grey' => ['neutral-grey', static fn (Character $c): bool => $c->isGrey()],
    'beside the complement' => [
        'split-complement',
        static fn (Character $c, Oklch $local): bool => abs(ArtistWheel::apart($local->hueDegrees, $c->hue->hueDegrees) - 137.5) <= 22.5,
    ],
]);

it('lays nothing foreign beneath where nothing is wanted', function () {
    expectEvery(
        recipesOf('beneath=nothing'),
        static fn (array $laid, Recipe $r): bool => ArtistWheel::apart(
            Oklch::ofLab($r->outcome()->shade->target)->hueDegrees,
            $laid[0]->hue->hueDegrees,
        ) <= 60,
    );
});

it('takes the complement from the wheel or from what the paper shows, as the method says', function () {
    expectEvery(
        recipesOf('beneath=complement', 'neutralising=traditional'),
        static fn (array $laid, Recipe $r): bool => ArtistWheel::apart(
            Oklch::ofLab($r->outcome()->shade->target)->hueDegrees,
            $laid[0]->hue->hueDegrees,
        ) >= 145,
    );
    $planner = new RecipePlanner(theDemoDrawer(), Paper::whiteMedium(), Method::ofSettings(['beneath=complement']), Pencils::shelf());
    foreach ($planner->recipesFor(Lab::ofHex('#b5651d'), 4) as $recipe) {
        $computed = array_map(
            static fn (Complement $c): string => $c->pencil->id(),
            $planner->complements()->neutralisersOf($planner->nearestSingle(Lab::ofHex('#b5651d'))->sequence->pencils()[0]),
        );
        expect($computed)->toContain($recipe->stack()->passes()[0]->pencil->id());
    }
});

it('uses black never, or once at the very end and only in a dark', function () {
    expectEvery(
        recipesOf('darks=never-black'),
        static fn (array $laid): bool => array_filter($laid, static fn (Character $c): bool => $c->isBlack()) === [],
    );
    expectEvery(recipesOf('darks=black-last'), static function (array $laid, Recipe $r): bool {
        $black = array_keys(array_filter($laid, static fn (Character $c): bool => $c->isBlack()));

        return $black === [] || ($black === [count($laid) - 1] && $r->outcome()->shade->target->l < 34);
    });
    $drawer = new Drawer([Pencils::named('red'), Pencils::named('black'), Pencils::named('blue')]);
    $dark = (new RecipePlanner($drawer, Paper::whiteMedium(), Method::ofSettings(['darks=black-last'])))->recipesFor(
        Lab::ofHex('#2a1c1e'),
    );
    expect(implode(' ', array_map(static fn (Recipe $r): string => $r->stack()->text(), $dark)))->toContain('black');
});

it('treats the lights as the method says', function () {
    $isWhite = static fn (Character $c): bool => $c->isWhite();
    expectEvery(recipesOf('lights=reserve-paper'), static fn (array $laid): bool => array_filter($laid, $isWhite) === []);
    expectEvery(
        recipesOf('lights=white-last'),
        static fn (array $laid): bool => array_diff(array_keys(array_filter($laid, $isWhite)), [count($laid) - 1]) === [],
    );
    expectEvery(
        recipesOf('lights=pale-first'),
        static fn (array $laid, Recipe $r): bool => $r->outcome()->shade->target->l < 66 || $laid[0]->isPale(),
    );
    expectEvery(
        recipesOf('lights=lift'),
        static fn (array $laid, Recipe $r): bool => (array_slice($r->stack()->steps, -1)[0] === Lift::it()) ===
            $r->outcome()->shade->target->l >= 66,
    );
});

it('joins as the method says, and judges the colour after it', function (string $joining, ?Finish $finish) {
    $recipes = recipesOf("joining=$joining");
    expectEvery(
        $recipes,
        static fn (array $laid, Recipe $r): bool => match (true) {
            $finish !== null => array_slice($r->stack()->steps, -1)[0] === $finish,
            $joining === 'light-coats' => max(array_map(static fn (Pass $p): float => $p->pressure, $r->stack()->passes())) <= 0.55,
            default => $laid[count($laid) - 1]->isPale() && $r->stack()->passes()[count($laid) - 1]->pressure >= 0.8,
        },
    );
    foreach ($recipes as $recipe) {
        expect($recipe->outcome()->comparison()->deltaE00)->toEqualWithDelta(
            Lab::ofReflectance($recipe->stack()->on(Paper::whiteMedium())->meanReflectance())->deltaE00(
                $recipe->outcome()->shade->target,
            ),
            1e-9,
        );
    }
})->with([
    ['light-coats', null],
    ['solvent', Solvent::it()],
    ['blender', Blender::it()],
    ['tissue', Tissue::it()],
    ['light-pencil', null],
]);

it('does not propose blue under orange where it goes green, and does propose violet', function () {
    $orange = Pencils::named('orange');
    $table = new ComplementTable(
        array_map(Pencils::named(...), ['yellow', 'orange', 'red', 'violet', 'blue', 'green']),
        Paper::whiteMedium(),
    );
    $names = array_map(static fn (Complement $c): string => $c->pencil->id(), $table->neutralisersOf($orange));
    expect($names[0])->toBe('violet')->and($names)->not->toContain('blue')->not->toContain('green');
    foreach ($table->neutralisersOf($orange) as $complement) {
        expect(ComplementTable::isGreenCast($complement->mix, Pencils::colour('orange@1.00'), Pencils::colour('violet@1.00')))
            ->toBeFalse()
            ->and($complement->mix->chroma())
            ->toBeLessThan(0.65 * Pencils::colour('orange@0.55')->chroma())
            ->and(Lab::ofReflectance($complement->stack->on(Paper::whiteMedium())->meanReflectance())->toArray())
            ->toEqual($complement->mix->toArray());
    }
});

it('names what darkens a pencil without turning it, and what lifts it beside it', function () {
    $table = new ComplementTable(theDemoDrawer()->usable()->pencils, Paper::whiteMedium());
    foreach (theDemoDrawer()->usable()->pencils as $pencil) {
        $alone = Lab::ofReflectance(
            (new KnottyPrism\Core\Medium\Stack\Stack([new Pass($pencil, 0.55)]))->on(Paper::whiteMedium())->meanReflectance(),
        );
        $darker = $table->darkenerOf($pencil);
        if ($darker !== null) {
            expect($darker->mix->l)
                ->toBeLessThan($alone->l - 2)
                ->and(hypot($darker->mix->a - $alone->a, $darker->mix->b - $alone->b))
                ->toBeLessThan($alone->l - $darker->mix->l);
        }
        expect($table->standsOutBy($pencil))->not->toBeNull()->not->toBe($pencil);
    }
    expect($table->darkenerOf(theDemoDrawer()->pencil('604')))->not->toBeNull();
});

it('faces red with green, orange with blue and yellow with violet', function (string $one, string $other) {
    $hue = static fn (string $name): float => Character::of(Pencils::named($name))->hue->hueDegrees;
    expect(ArtistWheel::apart($hue($one), $hue($other)))->toBeGreaterThan(145.0);
})->with([['red', 'green'], ['orange', 'blue'], ['yellow', 'violet']]);

it('reads a method from settings, gives them back, and refuses what it does not know, with the choices', function () {
    $method = Method::ofSettings(['darks=never-black', 'beneath = nothing']);
    expect($method->settings())
        ->toBe(['beneath=nothing', 'darks=never-black'])
        ->and(Method::free()->settings())
        ->toBe([])
        ->and(Method::ofSettings(['palette=exactly-three'])->mostPencils())
        ->toBe(3)
        ->and(Method::ofSettings(['palette=at-most-9'])->mostPencils())
        ->toBe(9);
    expect(fn () => Method::ofSettings(['edges=x']))
        ->toThrow(UnreadableText::class, 'beneath=…')
        ->and(fn () => Method::ofSettings(['beneath=mud']))
        ->toThrow(UnreadableText::class, 'any, nothing, complement')
        ->and(fn () => Method::ofSettings(['beneath']))
        ->toThrow(UnreadableText::class);
    $none = new RecipePlanner(new Drawer([Pencils::named('red')]), Paper::whiteMedium(), Method::ofSettings(['beneath=neutral-grey']));
    expect(fn () => $none->recipesFor(Lab::ofHex('#884444')))->toThrow(MethodRefuses::class, 'beneath=neutral-grey');
});
