<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Progress;

use KnottyPrism\Core\Medium\Laying\PressureMark;
use KnottyPrism\Core\Picture\Decisions\PassNote;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;

/** How far a zone is: what really lies, and what is to come. */
final readonly class ZoneProgress
{
    /**
     * @param  list<PassNote>  $laid  from the paper up, what was planned and what was not
     * @param  list<PassNote>  $rest  to come; where {@see self::$astray}, what the plan would lay yet
     * @param  bool  $astray  whether what lies is not what the plan says, so that the rest must be found again
     * @param  int  $marks  how many marks of it there are
     */
    private function __construct(public array $laid, public array $rest, public bool $astray, public int $marks)
    {
    }

    /**
     * @param  list<PassNote>  $plan  the zone's passes in the order in which they are laid
     * @param  list<DeskMark>  $marks  of this zone, in the order in which they were made
     */
    public static function of(array $plan, array $marks): self
    {
        $laid = array_values(
            array_map(
                static fn (DeskMark $m): PassNote => $m->pass,
                array_filter($marks, static fn (DeskMark $m): bool => $m->kind !== MarkKind::Skipped),
            ),
        );
        $key = self::planKey($plan);
        // The last mark after which the rest was found again, if the plan is still that of then.
        $from = -1;
        $rest = $plan;
        foreach ($marks as $at => $mark) {
            if ($mark->rest !== null && $mark->plan === $key) {
                [$from, $rest] = [$at, $mark->rest->passes];
            }
        }
        $astray = false;
        foreach (array_slice($marks, $from + 1) as $mark) {
            if ($mark->kind !== MarkKind::Other && $rest !== [] && self::alike($rest[0], $mark->pass)) {
                array_shift($rest);
            } else {
                $astray = true;
                $rest = self::without($rest, $mark);
            }
        }

        return new self($laid, array_values($rest), $astray, count($marks));
    }

    /**
     * Names a zone's plan.
     *
     * @param  list<PassNote>  $plan
     */
    public static function planKey(array $plan): string
    {
        return md5(json_encode((new SequenceNote($plan))->toArray(), JSON_THROW_ON_ERROR));
    }

    private static function alike(PassNote $a, PassNote $b): bool
    {
        // By role, in whatever order they were written.
        return $a->tool === $b->tool &&
            count($a->marks) === count($b->marks) &&
            array_filter(
                $a->marks,
                static fn (PressureMark $m, string $role): bool => ($b->marks[$role] ?? null) !== $m,
                ARRAY_FILTER_USE_BOTH,
            ) === [];
    }

    /**
     * What was marked is not to come any more, wherever in the plan it stood; something else stands for the pass that was next.
     *
     * @param  list<PassNote>  $rest
     * @return list<PassNote>
     */
    private static function without(array $rest, DeskMark $mark): array
    {
        if ($mark->kind === MarkKind::Other) {
            return array_slice($rest, 1);
        }
        foreach ($rest as $at => $pass) {
            if (self::alike($pass, $mark->pass)) {
                unset($rest[$at]);
                break;
            }
        }

        return array_values($rest);
    }
}
