<?php

declare(strict_types=1);

use KnottyPrism\Core\Chart\BenchCamera\Chance;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Finishes\Solvent;
use KnottyPrism\Core\Recipe\Search\Breadth;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\SequenceSearch\Beam;
use KnottyPrism\Core\Recipe\SequenceSearch\Craft;
use KnottyPrism\Core\Recipe\SequenceSearch\Found;
use KnottyPrism\Core\Recipe\SequenceSearch\Ground;
use KnottyPrism\Core\Recipe\SequenceSearch\Node;
use KnottyPrism\Core\Recipe\SequenceSearch\Patterns;
use KnottyPrism\Core\Recipe\SequenceSearch\Polish;
use KnottyPrism\Core\Recipe\SequenceSearch\Pressing;
use KnottyPrism\Core\Recipe\SequenceSearch\Prices;
use KnottyPrism\Core\Recipe\SequenceSearch\Run;
use KnottyPrism\Core\Recipe\SequenceSearch\RunChanges;

/** A rope in three lights, with six pencils; kit and shades are those of all tests here. */
function ropeGround(int $mostPasses = 4): Ground
{
    static $kit = null;
    $kit ??= kitOf('yellow', 'red', 'blue', 'green', 'dark warm grey', 'pale blue');

    return groundOf(
        $kit,
        [
            new Shade('light', new Lab(74, 6, 26), 0.3),
            new Shade('mid', new Lab(55, 10, 28), 0.5),
            new Shade('dark', new Lab(30, 6, 12), 0.2),
        ],
        $mostPasses,
    );
}

/** Any run, one that keeps the craft or one that does not. */
function anyRun(Chance $chance, int $length, int $pencils = 6): Run
{
    $patterns = Patterns::over(3, [0, 1, 2]);
    $run = new Run();
    for ($n = 0; $n < $length; $n++) {
        $run = $run->with((int) $chance->between(0, $pencils - 0.001), $patterns[(int) $chance->between(0, count($patterns) - 0.001)]);
    }

    return $run;
}

it('is changed by putting in, taking out, exchanging and swapping passes, and is itself left as it was', function () {
    $chance = new Chance(3);
    for ($n = 0; $n < 60; $n++) {
        $run = anyRun($chance, 4);
        $key = $run->key();
        $at = (int) $chance->between(0, 3.999);
        expect(
            $run
                ->inserted($at, 5, [1, 2, 3])
                ->without($at)
                ->key(),
        )
            ->toBe($key)
            ->and(
                $run
                    ->exchanged($at, 5, [1, 2, 3])
                    ->exchanged($at, $run->pencils[$at], $run->pressures[$at])
                    ->key(),
            )
            ->toBe($key)
            ->and($run->swapped(min($at, 2))->swapped(min($at, 2))->key())
            ->toBe($key)
            ->and($run->swapped(min($at, 2))->pencilKey())
            ->toBe($run->pencilKey())
            ->and($run->without($at)->length())
            ->toBe(3)
            ->and($run->pencilCount())
            ->toBe(count(array_unique($run->pencils)))
            ->and($run->key())
            ->toBe($key);
    }
});

it('costs the same however it is worked out: at once, pass by pass, or only as far as a limit', function () {
    $ground = ropeGround();
    $chance = new Chance(8);
    for ($n = 0; $n < 25; $n++) {
        $run = anyRun($chance, (int) $chance->between(1, 4.99));
        $whole = $ground->node($run);
        $laid = $ground->node(new Run())->laid;
        foreach ($run->pencils as $at => $pencil) {
            $laid = $ground->onto($laid, $pencil, $run->pressures[$at]);
        }
        $step = $ground->judged($run, $laid);
        expect($step->cost)
            ->toBe($whole->cost)
            ->and($step->hope)
            ->toBe($whole->hope)
            ->and($ground->cost($run, INF))
            ->toEqualWithDelta($whole->cost, 1e-9)
            // What is dearer than a limit may be told early, but never as cheaper than the limit, nor as dearer than it is.
            ->and($ground->cost($run, $whole->cost - 0.01))
            ->toBeGreaterThanOrEqual($whole->cost - 0.01)
            ->and($ground->cost($run, 0.1))
            ->toBeLessThanOrEqual($whole->cost + 1e-9);
    }
});

it('knows the doubt of a stack before it is laid', function () {
    $ground = ropeGround();
    $chance = new Chance(18);
    for ($n = 0; $n < 60; $n++) {
        $run = anyRun($chance, 1 + ($n % 6));
        foreach ([0, 1, 2] as $shade) {
            $moves = $run->movesIn($shade);
            expect($ground->book->doubtOf($moves))
                ->toBe($ground->book->lay($moves)->doubt)
                ->and(count($moves))
                ->toBe(count(array_filter(array_column($run->pressures, $shade))));
        }
    }
});

it('lays no pencil three coats deep on itself, but comes back to it after another', function () {
    $craft = ropeGround(6)->craft;
    $pressures = [2, 2, 3];
    $twice = (new Run())->with(0, $pressures)->with(0, $pressures);
    expect($craft->keeps($twice))
        ->toBeTrue()
        ->and($craft->keeps($twice->with(0, $pressures)))
        ->toBeFalse()
        ->and($craft->keeps($twice->with(1, $pressures)->with(0, $pressures)))
        ->toBeTrue()
        ->and($craft->comesIn([0, 0], 0, 2))
        ->toBeFalse()
        ->and($craft->goesOver(0, [0, 0], 0))
        ->toBeFalse()
        ->and($craft->goesOver(0, [0, 1, 0], 0))
        ->toBeTrue();
});

it('hopes for no more than it has, and for nothing where no pass is left', function () {
    $ground = ropeGround();
    $chance = new Chance(13);
    for ($n = 0; $n < 20; $n++) {
        $node = $ground->node(anyRun($chance, 2));
        foreach ($ground->aims as $shade => $aim) {
            $error = $aim->judge($node->laid[$shade])->error();
            expect($aim->hope($node->laid[$shade], 0))
                ->toBe($error)
                ->and($aim->hope($node->laid[$shade], 2))
                ->toBeLessThanOrEqual($error)
                ->and($aim->leastError($node->laid[$shade]))
                ->toBeLessThanOrEqual($error + 1e-9);
        }
    }
});

it('prices passes, pencils, coats, falling pressures and spent tooth, each by itself', function () {
    $prices = new Prices([0.0, 0.5, 0.0]);
    $one = (new Run())->with(0, [1, 2, 3]);
    $price = $prices->ofRun($one);
    // A coat alike costs less than a pass with a pencil that was in use before; one pressed otherwise no less.
    $another = $prices->ofRun($one->with(2, [1, 2, 3])->with(0, [1, 2, 3])) - $prices->ofRun($one->with(2, [1, 2, 3]));
    expect($prices->ofRun($one->with(0, [1, 2, 3])) - $price)
        ->toBeLessThan($another)
        ->and($prices->ofRun($one->with(0, [1, 1, 2])) - $price)
        ->toEqualWithDelta($another, 1e-9)
        // A strange pencil costs its strangeness once, however often it is taken.
        ->and($prices->ofRun($one->with(1, [1, 2, 3])) - $prices->ofRun($one->with(2, [1, 2, 3])))
        ->toEqualWithDelta(0.5, 1e-9)
        // Back to the base once is a pass like another; two pencils by turns are not.
        ->and($prices->ofPasses([0, 1, 0]) - $prices->ofPasses([0, 1]))
        ->toEqualWithDelta($another, 1e-9)
        ->and($prices->ofPasses([0, 1, 0, 1]) - $prices->ofPasses([0, 1, 0]))
        ->toBeGreaterThan($prices->ofPasses([0, 0]) - $prices->ofPasses([0]))
        ->and($prices->ofRun((new Run())->with(0, [3, 2, 1])))
        ->toBeGreaterThan($price)
        ->and($prices->ofGrading([3, 2, 0]))
        ->toBe(0.0)
        ->and($prices->ofTooth(0.84))
        ->toBe(0.0)
        ->and($prices->ofTooth(0.95))
        ->toBeGreaterThan(0.5);
    // One more pass is priced as the run with it is.
    foreach ([[0], [0, 2], [0, 1, 0]] as $before) {
        $run = array_reduce($before, static fn (Run $r, int $p): Run => $r->with($p, [2, 2, 2]), new Run());
        foreach ([0, 1, 2] as $pencil) {
            expect($prices->ofRun($run->with($pencil, [2, 2, 2])) - $prices->ofRun($run))->toEqualWithDelta(
                $prices->ofOneMore($before, $pencil),
                1e-9,
            );
        }
    }
});

it('finds the pressures for a given order of pencils as well as trying all of them does', function () {
    $ground = groundOf(
        kitOf('yellow', 'blue', 'dark warm grey'),
        [new Shade('light', new Lab(70, 4, 30), 0.5), new Shade('dark', new Lab(38, 2, 14), 0.5)],
        2,
    );
    $all = Patterns::over(2, [0, 1]);
    foreach ([[0, 2], [0, 1], [1, 2]] as [$first, $second]) {
        $least = INF;
        foreach ($all as $under) {
            foreach ($all as $over) {
                $run = (new Run())->with($first, $under)->with($second, $over);
                $least = $ground->craft->keeps($run) ? min($least, $ground->cost($run, $least)) : $least;
            }
        }
        $found = (new Pressing($ground))->of((new Run())->with($first, [1, 1])->with($second, [1, 1]), [0, 1], INF);
        expect($found)
            ->not->toBeNull()
            ->and($found[1])
            ->toEqualWithDelta($least, 1e-6)
            // Nothing is found below what is the least.
            ->and((new Pressing($ground))->of((new Run())->with($first, [1, 1])->with($second, [1, 1]), [0, 1], $least - 1e-6))
            ->toBeNull();
    }
});

it('presses again only the passes that it is told to', function () {
    $ground = ropeGround();
    $run = (new Run())
        ->with(0, [2, 2, 3])
        ->with(1, [1, 2, 2])
        ->with(4, [0, 1, 3]);
    foreach ([[0], [1, 2], [2]] as $free) {
        $found = (new Pressing($ground))->of($run, $free, INF);
        expect($found)->not->toBeNull()->and($found[0]->pencils)->toBe($run->pencils)->and($ground->craft->keeps($found[0]))->toBeTrue();
        foreach (array_diff([0, 1, 2], $free) as $kept) {
            expect($found[0]->pressures[$kept])->toBe($run->pressures[$kept]);
        }
    }
});

it('tries small changes alone: one pass each, and every one of its kind', function () {
    $ground = ropeGround();
    $changes = new RunChanges($ground);
    $run = (new Run())
        ->with(0, [2, 2, 3])
        ->with(1, [1, 2, 2])
        ->with(4, [0, 1, 3]);
    foreach ($changes->regraded($run) as $other) {
        $moved = array_filter([0, 1, 2], static fn (int $at): bool => $other->pressures[$at] !== $run->pressures[$at]);
        expect($other->pencils)->toBe($run->pencils)->and($moved)->toHaveCount(1);
        foreach ($moved as $at) {
            expect(max(array_map(static fn (int $a, int $b): int => abs($a - $b), $other->pressures[$at], $run->pressures[$at])))->toBe(1);
        }
    }
    foreach ($changes->exchanged($run) as $other) {
        expect(count(array_diff_assoc($other->pencils, $run->pencils)))->toBe(1)->and($other->pressures)->toBe($run->pressures);
    }
    $lengths = array_count_values(array_map(static fn (Run $r): int => $r->length(), [...$changes->moved($run)]));
    // Each left out; two neighbours swapped, twice; each pencil once more in every place, light and in a whisper.
    expect($lengths)->toBe([2 => 3, 3 => 2, 4 => 3 * 4 * 2]);
    // One pass more: every pencil before and after, in four ways over all of it and in three from the middle values down.
    $more = [...$changes->oneMore((new Run())->with(0, [2, 2, 3]))];
    $down = array_filter($more, static fn (Run $r): bool => in_array(0, array_column($r->pressures, 0), true));
    expect(array_unique(array_map(static fn (Run $r): string => $r->key(), $more)))
        ->toHaveCount(7 * 6 * 2)
        ->and($down)
        ->toHaveCount(3 * 6 * 2);
});

it('polishes to what is never dearer, keeps the craft, and is found again the same', function () {
    $ground = ropeGround();
    $built = (new Beam($ground, 16))->run();
    expect(array_map(static fn (Node $n): string => $n->run->pencilKey(), $built))->toBe(
        array_unique(array_map(static fn (Node $n): string => $n->run->pencilKey(), $built)),
    );
    $costs = array_map(static fn (Node $n): float => $n->cost, $built);
    $sorted = $costs;
    sort($sorted);
    expect($costs)->toBe($sorted);
    $polish = new Polish($ground, Breadth::over(3));
    foreach (array_slice($built, 0, 4) as $node) {
        $better = $polish->improved($node);
        expect($better->cost)
            ->toBeLessThanOrEqual($node->cost)
            ->and($ground->craft->keeps($better->run))
            ->toBeTrue()
            ->and($better->run->length())
            ->toBeLessThanOrEqual(4)
            ->and((new Polish(ropeGround(), Breadth::over(3)))->improved($node)->run->key())
            ->toBe($better->run->key());
    }
});

it('offers beside the surest only what is clearly something else', function () {
    $ground = ropeGround();
    $polish = new Polish($ground, Breadth::over(3));
    $built = (new Beam($ground, 16))->run();
    $done = $polish->all(array_slice($built, 0, 8));
    $found = new Found($ground, $polish, $done[0], $done, $built);
    $few = $found->fewest();
    expect($few->run->pencilCount())->toBeLessThan($done[0]->run->pencilCount());
    $other = $found->other([$done[0]->run->pencilKey()]);
    expect($other)
        ->not->toBeNull()
        ->and($other->run->pencilKey())
        ->not->toBe($done[0]->run->pencilKey())
        ->and($other->cost)
        ->toBeLessThanOrEqual($done[0]->cost + Found::OTHERWISE_MAY_COST);
    $all = $found->nodes();
    expect($all)
        ->toHaveCount(count($done) + count($built))
        ->and($all[0]->cost)
        ->toBe(min(array_map(static fn (Node $n): float => $n->cost, $all)));
    // Where nothing was found there is nothing beside it.
    $nothing = new Found($ground, $polish, null, [], []);
    expect([$nothing->fewest(), $nothing->closest(), $nothing->other([]), $nothing->nodes()])->toBe([null, null, null, []]);
});

it('wants two coats under solvent and one under every other finish', function () {
    foreach (Finish::cases() as $finish) {
        expect(Craft::takes($finish, 0))
            ->toBeFalse()
            ->and(Craft::takes($finish, 1))
            ->toBe($finish !== Solvent::it())
            ->and(Craft::takes($finish, 2))
            ->toBeTrue();
    }
});
