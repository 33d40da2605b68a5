<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\ValueScale;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Recipe\Remedies\Remedies;
use KnottyPrism\Core\Recipe\Remedies\Remedy;
use KnottyPrism\Core\Recipe\Remedies\SequenceChanges;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\Warnings\Twins;
use KnottyPrism\Core\Recipe\Warnings\Warning;

/** The change of one zone's sequence that parts it from its twin, or varies what is flat. */
final readonly class ZoneRemedies
{
    /**
     * L* by which a twin is pushed, a little more than one value step of 9, and how much farther in ΔE00 it may end from what that aims at
     * than it was from its own colour.
     */
    private const PUSH = 12.5;

    private const FARTHER = 4.0;

    /** How far a zone is pushed when it is planned again, as multiples of what is missing. */
    private const PUSHES = [1.0, 1.6];

    /** How much farther off on paper a zone may be that was varied, ΔE00. */
    private const VARYING_MAY_COST = 1.0;

    /**
     * @param  list<Pencil>  $pencils  available
     * @param  \Closure(list<Shade>): ?Sequence  $planned  plans a zone
     */
    public function __construct(private Remedies $remedies, private array $pencils, private \Closure $planned)
    {
    }

    /**
     * @param  array<int, SequenceAnswer>  $answers  by zone
     * @return ?Remedy null when nothing that was tried removes the warning
     */
    public function for(Warning $warning, array $answers): ?Remedy
    {
        [$zone, $shade] = [$warning->zones[0], $warning->shades[0]];

        return $warning->kind instanceof Twins
            ? $this->parted($answers[$zone], $shade, $answers[$warning->zones[1]] ?? null)
            : $this->varied($answers[$zone], $shade);
    }

    /**
     * One of its passes pressed otherwise there, or a last coat of a pencil that either of the two has, until an eye tells the two apart;
     * where no such change does, the zone planned again for colours that far darker or lighter.
     */
    private function parted(SequenceAnswer $answer, int $shade, ?SequenceAnswer $other): ?Remedy
    {
        $outcome = $answer->outcomes[$shade];
        $there = $other?->shadeNamed($outcome->shade->name);
        if ($other === null || $there === null) {
            return null;
        }
        $beside = $other->outcomes[$there]->lab;
        $isDarker = ZoneWarnings::isPushedDarker($outcome->lab, $beside);
        $target = $outcome->shade->target;
        $aim = new Lab(max(0.0, min(100.0, $beside->l + ($isDarker ? -self::PUSH : self::PUSH))), $target->a, $target->b);
        $near = $outcome->lab->deltaE00($target) + self::FARTHER;
        $isApart = static fn (SequenceAnswer $a): bool => abs((new ValueScale())->difference($a->outcomes[$shade]->lab, $beside)) >=
            ZoneWarnings::ONE_STEP;
        $parted = static fn (SequenceAnswer $a): bool => $isApart($a) && $a->outcomes[$shade]->lab->deltaE00($aim) <= $near;

        // What is planned again may stop short of what it is pushed to.
        return $this->remedies->best($answer, self::pressed($answer, $shade, $other), INF, $parted) ??
            $this->remedies->freely()->best($answer, $this->pushed($answer, $aim->l - $target->l, $isDarker), INF, $isApart);
    }

    /**
     * @param  float  $by  L* by which its value run is pushed
     * @return iterable<string, Sequence>
     */
    private function pushed(SequenceAnswer $answer, float $by, bool $darker): iterable
    {
        foreach (self::PUSHES as $far) {
            $pushed = static fn (Shade $s): Shade => $s->touch
                ? $s
                : $s->aimedAt(new Lab(max(0.0, min(100.0, $s->target->l + $far * $by)), $s->target->a, $s->target->b));
            $sequence = ($this->planned)(array_map($pushed, $answer->shades()));
            if ($sequence !== null) {
                yield sprintf('Plan it %s', $darker ? 'darker' : 'lighter') => $sequence;
            }
        }
    }

    /** @return iterable<string, Sequence> */
    private static function pressed(SequenceAnswer $answer, int $shade, SequenceAnswer $other): iterable
    {
        $called = $answer->outcomes[$shade]->shade->called();
        foreach (array_keys($answer->sequence->passes) as $at) {
            yield from SequenceChanges::inShade($answer->sequence, $at, $shade, $called);
        }
        yield from SequenceChanges::coats(
            $answer->sequence,
            $shade,
            $called,
            count($answer->outcomes),
            array_values(array_unique([...$answer->sequence->pencils(), ...$other->sequence->pencils()], SORT_REGULAR)),
        );
    }

    /** A last light coat of another pencil there. */
    private function varied(SequenceAnswer $answer, int $shade): ?Remedy
    {
        $changes = SequenceChanges::coats(
            $answer->sequence,
            $shade,
            $answer->outcomes[$shade]->shade->called(),
            count($answer->outcomes),
            $this->pencils,
        );

        return $this->remedies->best(
            $answer,
            $changes,
            $answer->errorOnPaper() + self::VARYING_MAY_COST,
            static fn (SequenceAnswer $a): bool => count($a->outcomes[$shade]->stack()->pencils()) > 1,
        );
    }
}
