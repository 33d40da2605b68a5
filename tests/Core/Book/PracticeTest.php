<?php

declare(strict_types=1);

use KnottyPrism\Core\Book\Practice\AskDrill;
use KnottyPrism\Core\Book\Practice\Attempt;
use KnottyPrism\Core\Book\Practice\Drills\ComplementDrill;
use KnottyPrism\Core\Book\Practice\Drills\LeanDrill;
use KnottyPrism\Core\Book\Practice\Drills\NextMoveDrill;
use KnottyPrism\Core\Book\Practice\Drills\OrderDrill;
use KnottyPrism\Core\Book\Practice\Drills\Skill;
use KnottyPrism\Core\Book\Practice\Drills\ValueDrill;
use KnottyPrism\Core\Book\Practice\Drills\ValueInPlaceDrill;
use KnottyPrism\Core\Book\Practice\Drills\WarmthDrill;
use KnottyPrism\Core\Book\Practice\Question\Choice;
use KnottyPrism\Core\Book\Practice\Question\DrillGround;
use KnottyPrism\Core\Book\Practice\Training;
use KnottyPrism\Core\Colour\Family;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Colour\Temperature;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Binder;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Swatches\PencilFit;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/** A drawer and a photo that chance has made. */
function groundOfChance(): DrillGround
{
    $hex = static fn (): string => sprintf('#%02x%02x%02x', mt_rand(20, 235), mt_rand(20, 235), mt_rand(20, 235));
    $pencils = array_map(
        static fn (int $i): Pencil => PencilFit::of(
            new PencilRecord('Made', (string) (100 + $i), '', $hex(), mt_rand(0, 1) === 1 ? Binder::Wax : Binder::Oil),
        ),
        range(1, mt_rand(3, 7)),
    );
    $bytes = '';
    $fields = array_map(static fn (): array => [mt_rand(0, 255), mt_rand(0, 255), mt_rand(0, 255)], range(1, 16));
    for ($y = 0; $y < 32; $y++) {
        for ($x = 0; $x < 32; $x++) {
            $bytes .= pack('C3', ...$fields[intdiv($y, 8) * 4 + intdiv($x, 8)]);
        }
    }

    return new DrillGround(PixelGrid::ofSrgb(32, 32, $bytes), $pencils, Paper::whiteMedium());
}

/** What a move's words say, laid over what lies there. */
function moveOf(DrillGround $ground, string $words): Pass
{
    foreach ($ground->pencils as $pencil) {
        foreach (Pressure::cases() as $pressure) {
            if ($words === DrillGround::called($pencil).' '.$pressure->adverb()) {
                return new Pass($pencil, $pressure->share());
            }
        }
    }
    throw new LogicException("no such move: $words");
}

it('has right answers by the model, for two hundred drawers and photos that chance has made', function () {
    mt_srand(3);
    $asked = array_fill_keys(Skill::values(), 0);
    for ($made = 0; $made < 200; $made++) {
        $ground = groundOfChance();
        foreach (Skill::cases() as $skill) {
            $difficulty = 1 + ($made % 5);
            $drill = AskDrill::of($skill, $difficulty, $made, $ground);
            if ($drill === null) {
                continue;
            }
            $asked[$skill->value]++;
            $said = array_map(static fn (Choice $c): string => $c->words, $drill->choices);
            expect(count(array_unique($said)))
                ->toBe(count($said))
                ->and(count($said))
                ->toBeGreaterThan(1)
                ->and(AskDrill::of($skill, $difficulty, $made, $ground))
                ->toEqual($drill);
            $right = $said[$drill->answer];
            $lab = $drill->shown === [] ? null : Lab::ofXyz(Srgb::ofHex($drill->shown[0]->dab[0])->xyz());
            match ($skill) {
                ValueDrill::it() => expect((int) $right)->toBe((int) min(9, floor($lab->l / (100 / 9)) + 1)),
                ValueInPlaceDrill::it() => expect((int) $right)->toBe(
                    (int) min(
                        9,
                        floor(
                            $ground->photo->lab((int) round($drill->place[1] * 31) * 32 + (int) round($drill->place[0] * 31))->l /
                                (100 / 9),
                        ) + 1,
                    ),
                ),
                LeanDrill::it() => expect($right)->toBe(Family::of($lab)->words()),
                WarmthDrill::it() => expect($right)->toBe(Temperature::of($lab)->value),
                ComplementDrill::it() => settles($ground, $drill->question, $said, $drill->answer),
                OrderDrill::it() => expect($drill->shown[1]->dab)
                    ->toBe($drill->after[$drill->answer]->dab)
                    ->not->toBe($drill->after[1 - $drill->answer]->dab),
                NextMoveDrill::it() => nearest($ground, $drill->shown[1]->dab[0], $drill->shown[0]->dab, $said, $drill->answer),
            };
        }
    }
    expect(min($asked))->toBeGreaterThan(60);
});

/** @param  list<string>  $said */
function settles(DrillGround $ground, string $question, array $said, int $answer): void
{
    preg_match('/greys (.+?) most/', $question, $m);
    $named = static fn (string $words): Pencil => array_values(
        array_filter($ground->pencils, static fn (Pencil $p): bool => DrillGround::called($p) === $words),
    )[0];
    $over = $named($m[1]);
    $left = static fn (Pencil $beneath): float => min(
        array_map(static fn (float $p): float => $ground->lab([new Pass($beneath, $p), new Pass($over, 0.55)])->chroma(), [
            0.2,
            0.35,
            0.55,
            0.8,
        ]),
    );
    $alone = $ground->lab([new Pass($over, 0.55)])->chroma();
    $right = $left($named($said[$answer]));
    expect($right)->toBeLessThan(0.65 * $alone);
    foreach ($said as $i => $words) {
        expect($i === $answer || $left($named($words)) > $right)->toBeTrue();
    }
}

/**
 * @param  list<string>  $lies  as a dab
 * @param  list<string>  $said
 */
function nearest(DrillGround $ground, string $target, array $lies, array $said, int $answer): void
{
    $beneath = array_values(
        array_filter($ground->pencils, static fn (Pencil $p): bool => $ground->dab([new Pass($p, 0.35)]) === $lies),
    )[0];
    $off = array_map(
        static fn (string $words): float => Lab::ofXyz(
            (new Stack([new Pass($beneath, 0.35), moveOf($ground, $words)]))->on($ground->paper)->xyz(),
        )->deltaE00(Lab::ofXyz(Srgb::ofHex($target)->xyz())),
        $said,
    );
    expect(array_search(min($off), $off, true))->toBe($answer)->and($off[$answer])->toBeLessThan(1.0);
}

it('asks the harder what is nearer: orders that differ less, moves that win by less, more to choose from', function () {
    mt_srand(9);
    $apart = $choices = [];
    for ($made = 0; $made < 60; $made++) {
        $ground = groundOfChance();
        foreach ([1, 5] as $difficulty) {
            $order = AskDrill::of(OrderDrill::it(), $difficulty, $made, $ground);
            if ($order !== null) {
                expect($order->choices[0]->words)->not->toBe($order->choices[1]->words);
                $apart[$difficulty][] = labOfDab($order->after[0]->dab)->deltaE00(labOfDab($order->after[1]->dab));
            }
            foreach ([ValueDrill::it(), NextMoveDrill::it()] as $skill) {
                $drill = AskDrill::of($skill, $difficulty, $made, $ground);
                if ($drill !== null) {
                    $choices[$skill->value][$difficulty][] = count($drill->choices);
                }
            }
        }
    }
    $mean = static fn (array $of): float => array_sum($of) / count($of);
    // The mean of flecks as a screen shows them is not quite what the model compares.
    expect(min($apart[1]))
        ->toBeGreaterThan(5.0)
        ->and(min($apart[5]))
        ->toBeLessThan(5.0)
        ->and($mean($apart[5]))
        ->toBeLessThan($mean($apart[1]))
        ->and($mean($choices['value'][5]))
        ->toBeGreaterThan(2 * $mean($choices['value'][1]))
        ->and($mean($choices['next move'][5]))
        ->toBeGreaterThan($mean($choices['next move'][1]) + 1);
    // What is beyond its bounds is asked as the nearest that there is.
    $ground = groundOfChance();
    expect(AskDrill::of(ValueDrill::it(), 9, 4, $ground))
        ->toEqual(AskDrill::of(ValueDrill::it(), 5, 4, $ground))
        ->and(AskDrill::of(ValueDrill::it(), -3, 4, $ground))
        ->toEqual(AskDrill::of(ValueDrill::it(), 1, 4, $ground));
});

/** @param  list<string>  $dab  one colour a stratum */
function labOfDab(array $dab): Lab
{
    $labs = array_map(static fn (string $hex): Lab => Lab::ofXyz(Srgb::ofHex($hex)->xyz()), $dab);
    $of = static fn (string $axis): float => array_sum(array_column($labs, $axis)) / count($labs);

    return new Lab($of('l'), $of('a'), $of('b'));
}

it('grows harder after two right in a row, easier after one wrong, within its bounds', function () {
    $level = static fn (string $answers): int => (new Training(
        array_map(
            static fn (string $a, int $i): Attempt => new Attempt(LeanDrill::it(), 1, "drill $i", $a === 'r', 1000 + $i),
            str_split($answers),
            array_keys(str_split($answers)),
        ),
    ))->difficulty(LeanDrill::it());
    expect($level('r'))
        ->toBe(1)
        ->and($level('rr'))
        ->toBe(2)
        ->and($level('rrr'))
        ->toBe(2)
        ->and($level('rrrr'))
        ->toBe(3)
        ->and($level('rrrw'))
        ->toBe(1)
        ->and($level('rrrrwr'))
        ->toBe(2)
        ->and($level('rrrrwrr'))
        ->toBe(3)
        ->and($level(str_repeat('r', 40)))
        ->toBe(5)
        ->and($level(str_repeat('r', 40).'w'))
        ->toBe(4)
        ->and($level('wwww'))
        ->toBe(1);
    expect((new Training([]))->difficulty(ValueDrill::it()))->toBe(1);
    // What came back was asked before, and says nothing of how hard the next is.
    expect(
        (new Training([new Attempt(LeanDrill::it(), 1, 'one', true, 1), new Attempt(LeanDrill::it(), 1, 'one', true, 2)]))->difficulty(
            LeanDrill::it(),
        ),
    )->toBe(1);
});

it('brings mistakes back after ten minutes, then ever later, and lets go of them', function () {
    $day = 86_400;
    $at = 1_700_000_000;
    $attempts = [new Attempt(OrderDrill::it(), 2, 'a', false, $at), new Attempt(OrderDrill::it(), 2, 'b', true, $at + 5)];
    expect((new Training($attempts))->due($at + 599))
        ->toBe([])
        ->and((new Training($attempts))->due($at + 600)[0]->drill)
        ->toBe('a');
    foreach ([600, $day, 3 * $day, 7 * $day, 21 * $day] as $wait) {
        expect((new Training($attempts))->due($at + $wait - 1))
            ->toBe([])
            ->and((new Training($attempts))->due($at + $wait)[0]->drill)
            ->toBe('a');
        $at += $wait;
        $attempts[] = new Attempt(OrderDrill::it(), 2, 'a', true, $at);
    }
    expect((new Training($attempts))->due($at + 1000 * $day))->toBe([]);
    $attempts[] = new Attempt(OrderDrill::it(), 2, 'a', false, $at + 1);
    expect((new Training($attempts))->due($at + 601)[0]->drill)->toBe('a');
});

it('asks in turn, tells weeks, and what goes worst', function () {
    $at = 1_700_000_000;
    $training = new Training([
        new Attempt(ValueDrill::it(), 1, 'a', true, $at),
        new Attempt(ValueDrill::it(), 1, 'b', false, $at + 60),
        new Attempt(LeanDrill::it(), 1, 'c', true, $at + 30),
        new Attempt(ValueDrill::it(), 1, 'd', true, $at + 8 * 86_400),
    ]);
    expect($training->turn(ValueDrill::it(), LeanDrill::it()))
        ->toBe(LeanDrill::it())
        ->and($training->turn(ValueDrill::it(), LeanDrill::it(), OrderDrill::it(), WarmthDrill::it()))
        ->toBe(OrderDrill::it())
        ->and(array_values($training->weeks(ValueDrill::it())))
        ->toBe([0.5, 1.0])
        ->and($training->counts(ValueDrill::it()))
        ->toBe([3, 2])
        ->and($training->weakest())
        ->toBeNull();
    $many = array_merge(
        ...array_map(
            static fn (int $i): array => [
                new Attempt(ValueDrill::it(), 1, "v$i", true, $at + $i),
                new Attempt(OrderDrill::it(), 1, "o$i", $i % 3 === 0, $at + $i),
            ],
            range(1, 9),
        ),
    );
    expect((new Training($many))->weakest())->toBe(OrderDrill::it())->and(OrderDrill::it()->advice)->not->toBe('');
});
