<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Photo\Zones\Role;
use KnottyPrism\Core\Recipe\Cautions\CautionCode;
use KnottyPrism\Core\Recipe\PassCautions\SequenceRemedy;
use KnottyPrism\Core\Recipe\School\Mode;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\SequenceChanges;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** Something to mind between two zones or within one, and the change of one zone's sequence that removes it. */
final readonly class ZoneCaution
{
    /** L* by which a twin is pushed, a little more than one value step of 9, and how much farther in ΔE00 it may end from what that aims at than it was from its own colour. */
    private const PUSH = 12.5;

    private const FARTHER = 4.0;

    /** How far a zone is pushed that is planned anew, in parts of that. */
    private const FURTHER = [1.0, 1.6];

    /** How much farther off on paper a zone may be that was varied, ΔE00. */
    private const VARYING_MAY_COST = 1.0;

    /**
     * @param  list<int>  $zones
     * @param  int  $zone  the one to change
     * @param  Role  $role  and its target
     * @param  bool  $darker  for twins: whether that zone is pushed darker or lighter
     */
    public function __construct(
        public CautionCode $code,
        public array $zones,
        public string $text,
        public string $remedy,
        public int $zone,
        public Role $role,
        public bool $darker = false,
        public ?SequenceAnswer $remedied = null,
    ) {
    }

    /**
     * The caution with a change of the zone's sequence that was found to remove it, or as it is where none was.
     *
     * @param  array<int, SequenceAnswer>  $answers  by zone
     * @param  list<Pencil>  $pencils  at hand
     * @param  ?\Closure(Sequence): bool  $allowed  whether craft and school allow a sequence
     * @param  \Closure(list<Shade>): ?Sequence  $anew  plans an area
     */
    public function tried(array $answers, Paper $paper, Mode $mode, array $pencils, ?\Closure $allowed, \Closure $anew): self
    {
        $answer = $answers[$this->zone] ?? null;
        $shade = $answer === null ? null : $answer->shadeNamed($this->role->value);
        if ($answer === null || $shade === null) {
            return $this;
        }
        $found = $this->code === CautionCode::Twins ? $this->parted($answer, $shade, $answers, $paper, $mode, $allowed, $anew) : $this->varied($answer, $shade, $paper, $mode, $pencils, $allowed);

        return $found === null ? $this : new self($this->code, $this->zones, $this->text, "$this->remedy $found->words", $this->zone, $this->role, $this->darker, $found->answer);
    }

    /**
     * One of its passes pressed otherwise there, or a last coat of a pencil that either of the two has, until an eye tells the two apart; where no
     * such change does, the zone planned anew for colours that far darker or lighter.
     *
     * @param  array<int, SequenceAnswer>  $answers
     * @param  ?\Closure(Sequence): bool  $allowed
     * @param  \Closure(list<Shade>): ?Sequence  $anew
     */
    private function parted(SequenceAnswer $answer, int $shade, array $answers, Paper $paper, Mode $mode, ?\Closure $allowed, \Closure $anew): ?SequenceRemedy
    {
        $other = $answers[array_values(array_diff($this->zones, [$this->zone]))[0] ?? 0] ?? null;
        $there = $other?->shadeNamed($this->role->value);
        if ($other === null || $there === null) {
            return null;
        }
        $beside = $other->outcomes[$there]->lab->l;
        $target = $answer->outcomes[$shade]->shade->target;
        $aim = new Lab(max(0.0, min(100.0, $beside + ($this->darker ? -self::PUSH : self::PUSH))), $target->a, $target->b);
        $near = $answer->outcomes[$shade]->lab->deltaE00($target) + self::FARTHER;
        $isApart = static fn (SequenceAnswer $a): bool => abs($a->outcomes[$shade]->lab->l - $beside) / 100 * 9 >= 1;
        $parted = static fn (SequenceAnswer $a): bool => $isApart($a) && $a->outcomes[$shade]->lab->deltaE00($aim) <= $near;
        $small = SequenceRemedy::best($answer, self::pressed($answer, $shade, $other), $paper, $mode, $allowed, INF, $parted);

        // What is planned anew keeps craft and school by itself; it may stop short of what it is pushed to.
        return $small ?? SequenceRemedy::best($answer, $this->anew($answer, $aim->l - $target->l, $anew), $paper, $mode, null, INF, $isApart);
    }

    /**
     * @param  float  $by  L* by which its value run is pushed
     * @param  \Closure(list<Shade>): ?Sequence  $anew
     * @return iterable<string, Sequence>
     */
    private function anew(SequenceAnswer $answer, float $by, \Closure $anew): iterable
    {
        foreach (self::FURTHER as $far) {
            $pushed = static fn (Shade $s): Shade => $s->touch ? $s : $s->aimedAt(new Lab(max(0.0, min(100.0, $s->target->l + $far * $by)), $s->target->a, $s->target->b));
            $sequence = $anew(array_map($pushed, $answer->shades()));
            if ($sequence !== null) {
                yield sprintf('Plan it %s', $this->darker ? 'darker' : 'lighter') => $sequence;
            }
        }
    }

    /** @return iterable<string, Sequence> */
    private static function pressed(SequenceAnswer $answer, int $shade, SequenceAnswer $other): iterable
    {
        foreach (array_keys($answer->sequence->passes) as $at) {
            yield from SequenceChanges::inShade($answer->sequence, $at, $shade, $answer->outcomes[$shade]->shade->called());
        }
        yield from SequenceChanges::coats($answer->sequence, $shade, $answer->outcomes[$shade]->shade->called(), count($answer->outcomes), array_values(array_unique([...$answer->sequence->pencils(), ...$other->sequence->pencils()], SORT_REGULAR)));
    }

    /**
     * A last light coat of another pencil there.
     *
     * @param  list<Pencil>  $pencils
     * @param  ?\Closure(Sequence): bool  $allowed
     */
    private function varied(SequenceAnswer $answer, int $shade, Paper $paper, Mode $mode, array $pencils, ?\Closure $allowed): ?SequenceRemedy
    {
        $changes = SequenceChanges::coats($answer->sequence, $shade, $answer->outcomes[$shade]->shade->called(), count($answer->outcomes), $pencils);

        return SequenceRemedy::best($answer, $changes, $paper, $mode, $allowed, $answer->errorOnPaper() + self::VARYING_MAY_COST, static fn (SequenceAnswer $a): bool => count($a->sequence->stackIn($shade)->pencils()) > 1);
    }
}
