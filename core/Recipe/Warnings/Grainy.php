<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Warnings;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Character;
use KnottyPrism\Core\Medium\Finishes\Blender;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Finishes\Tissue;
use KnottyPrism\Core\Medium\Laying\Evenness;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;

/** Paper that shows through where the thing is smooth: right from afar, and pepper at arm's length. */
final class Grainy extends WarningKind
{
    /**
     * A surface on which grain counts so much or more, see {@see \KnottyPrism\Core\Recipe\Sequence\Shade::$grainCounts}, is a smooth one.
     */
    public const SMOOTH_FROM = 0.2;

    /** One on which it counts so much is burnished without harm, see {@see \KnottyPrism\Core\Photo\Zones\Surface}. */
    private const BURNISHED_FROM = 0.3;

    /** How hard a pencil is pressed that is to lie beneath. */
    private const BENEATH = [Pressure::Light, Pressure::Medium];

    public function __construct()
    {
        parent::__construct('grainy', 11);
    }

    public function in(Laying $laying): array
    {
        if ($laying->grainCounts < self::SMOOTH_FROM || $laying->trace->evenness->grain < Evenness::GRAINY) {
            return [];
        }

        return [
            $this->at(
                null,
                $laying,
                sprintf('This stays grainy where it should be smooth (%s).', $laying->trace->evenness->words()),
                'Lay a lighter pencil underneath or one more light coat, even it with a dry tissue, or burnish it where that suits the '
                    .'surface.',
            ),
        ];
    }

    /** A tissue, a burnisher on what is hard and shiny, a lighter pencil beneath, or one more coat of a pass. */
    public function changes(Warning $warning, SequenceAnswer $answer, array $pencils): iterable
    {
        $passes = $answer->sequence->passes;
        $there = static fn (Pressure $pressure): array => array_map(
            static fn (int $i): ?Pressure => in_array($i, $warning->shades, true) ? $pressure : null,
            array_keys($answer->outcomes),
        );
        $first = $answer->outcomes[$warning->shades[0]];
        foreach (self::finishes($first->shade->grainCounts) as $words => $finish) {
            yield $words => new Sequence([...$passes, new GradedPass($finish, $there(Pressure::Medium))]);
        }
        foreach (self::beneath($first->lab, $pencils) as $pencil) {
            foreach (self::BENEATH as $pressure) {
                yield sprintf('Lay %s under %s', $pencil->record->number, $pressure->adverb()) => new Sequence([
                    new GradedPass($pencil, $there($pressure)),
                    ...$passes,
                ]);
            }
        }
        foreach ($passes as $at => $pass) {
            yield sprintf('Lay one more coat of pass %d', $at + 1) => new Sequence([
                ...array_slice($passes, 0, $at + 1),
                $pass,
                ...array_slice($passes, $at + 1),
            ]);
        }
    }

    /** @return array<string, Finish> what may be done at the end, in words => with what */
    private static function finishes(float $grainCounts): array
    {
        return [
            'Even it with a dry tissue at the end' => Tissue::it(),
            ...$grainCounts < self::BURNISHED_FROM ? [] : ['Burnish it with a colourless blender at the end' => Blender::it()],
        ];
    }

    /**
     * @param  list<Pencil>  $pencils
     * @return list<Pencil> those lighter than the shade ends
     */
    private static function beneath(Lab $look, array $pencils): array
    {
        return array_values(
            array_filter($pencils, static fn (Pencil $p): bool => ! $p->isBlender() && Character::of($p)->heavy->l > $look->l),
        );
    }
}
