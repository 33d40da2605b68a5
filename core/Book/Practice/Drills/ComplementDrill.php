<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Practice\Drills;

use KnottyPrism\Core\Book\Practice\Question\Choice;
use KnottyPrism\Core\Book\Practice\Question\Drill;
use KnottyPrism\Core\Book\Practice\Question\DrillGround;
use KnottyPrism\Core\Book\Practice\Question\Shown;
use KnottyPrism\Core\Chart\BenchCamera\Chance;
use KnottyPrism\Core\Drawer\Character;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Recipe\Complements\Complement;

/** Which pencil beneath settles another one down? */
final class ComplementDrill extends Skill
{
    private const TRIES = 10;

    /** C*ab from which a pencil has something to be settled. */
    private const STRONG = 24.0;

    /** How many pencils to choose from, by difficulty. */
    private const CHOICES = [1 => 2, 2 => 3, 3 => 3, 4 => 4, 5 => 5];

    private const PRESSED = 0.55;

    private const BENEATH = [0.2, 0.35, 0.55, 0.8];

    /** C*ab that a wrong one must leave more than the right one does. */
    private const CLEAR = 1.0;

    public function __construct()
    {
        parent::__construct(
            'complement',
            5,
            'Look across the colour wheel, then a little to the warm side: the exact opposite often turns green.',
        );
    }

    public function make(DrillGround $ground, int $difficulty, Chance $chance): ?Drill
    {
        for ($try = 0; count($ground->pencils) > 2 && $try < self::TRIES; $try++) {
            $pencil = $ground->pencil($chance);
            $good = Character::of($pencil)->heavy->chroma() >= self::STRONG ? $ground->complements()->neutralisersOf($pencil) : [];
            $others = $good === [] ? [] : self::others($ground, $pencil, $good, $difficulty);
            if ($others !== []) {
                return self::asked($ground, $pencil, $good[0], $others);
            }
        }

        return null;
    }

    /**
     * Pencils that do not settle it: at first those of its own kind, and the harder it is, the nearer to the right one.
     *
     * @param  non-empty-list<Complement>  $good
     * @return list<Pencil>
     */
    private static function others(DrillGround $ground, Pencil $pencil, array $good, int $difficulty): array
    {
        $known = array_map(static fn (Complement $c): string => $c->pencil->id(), $good);
        $others = array_values(
            array_filter($ground->pencils, static fn (Pencil $p): bool => $p !== $pencil && ! in_array($p->id(), $known, true)),
        );
        // What takes more and turns it green is right for one eye and wrong for another: it is not offered.
        $least = $good[0]->mix->chroma() + self::CLEAR;
        $others = array_values(array_filter($others, static fn (Pencil $p): bool => self::left($ground, $p, $pencil) > $least));
        $near = $difficulty >= 3 ? $good[0]->pencil : $pencil;
        $apart = array_map(static fn (Pencil $p): float => Character::of($p)->heavy->deltaE00(Character::of($near)->heavy), $others);
        array_multisort($apart, SORT_NUMERIC, array_keys($others), SORT_NUMERIC, $others);

        return array_slice($others, 0, self::CHOICES[$difficulty] - 1);
    }

    /** C*ab that is left at least of a pencil over another. */
    private static function left(DrillGround $ground, Pencil $beneath, Pencil $over): float
    {
        return min(
            array_map(
                static fn (float $p): float => $ground->lab([new Pass($beneath, $p), new Pass($over, self::PRESSED)])->chroma(),
                self::BENEATH,
            ),
        );
    }

    /** @param  non-empty-list<Pencil>  $others */
    private static function asked(DrillGround $ground, Pencil $pencil, Complement $right, array $others): Drill
    {
        $choices = [$right->pencil, ...$others];
        usort($choices, static fn (Pencil $a, Pencil $b): int => $a->id() <=> $b->id());
        $alone = [new Pass($pencil, self::PRESSED)];

        return new Drill(
            sprintf('Which of these, drawn underneath, greys %s most without turning it green?', DrillGround::called($pencil)),
            [new Shown(DrillGround::said(DrillGround::called($pencil), $ground->lab($alone)), $ground->dab($alone))],
            null,
            array_map(
                static fn (Pencil $p): Choice => new Choice(DrillGround::called($p), $ground->dab([new Pass($p, self::PRESSED)])),
                $choices,
            ),
            (int) array_search($right->pencil, $choices, true),
            sprintf('%s underneath leaves it weakest.', DrillGround::called($right->pencil)),
            [
                new Shown(DrillGround::said('alone', $ground->lab($alone)), $ground->dab($alone)),
                new Shown(
                    DrillGround::said('over '.DrillGround::called($right->pencil), $right->mix),
                    $ground->dab($right->stack->passes()),
                ),
            ],
        );
    }
}
