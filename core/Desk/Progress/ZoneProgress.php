<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Progress;

use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Picture\Decisions\PassNote;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;

/** How far a zone is: what really lies, and what is to come. */
final readonly class ZoneProgress
{
    /**
     * @param  list<PassNote>  $laid  from the paper up, what was planned and what was not
     * @param  list<PassNote>  $rest  to come; where {@see self::$astray}, what the plan would lay yet
     * @param  bool  $astray  whether what lies is not what the plan says, so that the rest must be found again
     * @param  int  $ticks  how many ticks of it there are
     */
    private function __construct(public array $laid, public array $rest, public bool $astray, public int $ticks)
    {
    }

    /**
     * @param  list<PassNote>  $plan  the zone's passes in the order in which they are laid
     * @param  list<Tick>  $ticks  of this zone, in the order in which they were made
     */
    public static function of(array $plan, array $ticks): self
    {
        $laid = array_values(
            array_map(
                static fn (Tick $m): PassNote => $m->pass,
                array_filter($ticks, static fn (Tick $m): bool => $m->kind !== TickKind::Skipped),
            ),
        );
        $key = self::planKey($plan);
        // The last tick after which the rest was found again, if the plan is still that of then.
        $from = -1;
        $rest = $plan;
        foreach ($ticks as $at => $tick) {
            if ($tick->rest !== null && $tick->plan === $key) {
                [$from, $rest] = [$at, $tick->rest->passes];
            }
        }
        $astray = false;
        foreach (array_slice($ticks, $from + 1) as $tick) {
            if ($tick->kind !== TickKind::Other && $rest !== [] && self::alike($rest[0], $tick->pass)) {
                array_shift($rest);
            } else {
                $astray = true;
                $rest = self::without($rest, $tick);
            }
        }

        return new self($laid, array_values($rest), $astray, count($ticks));
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
        // By shade, in whatever order they were written.
        return $a->tool === $b->tool &&
            count($a->pressures) === count($b->pressures) &&
            array_filter(
                $a->pressures,
                static fn (Pressure $m, string $shade): bool => ($b->pressures[$shade] ?? null) !== $m,
                ARRAY_FILTER_USE_BOTH,
            ) === [];
    }

    /**
     * What was ticked is not to come any more, wherever in the plan it stood; something else stands for the pass that was next.
     *
     * @param  list<PassNote>  $rest
     * @return list<PassNote>
     */
    private static function without(array $rest, Tick $tick): array
    {
        if ($tick->kind === TickKind::Other) {
            return array_slice($rest, 1);
        }
        foreach ($rest as $at => $pass) {
            if (self::alike($pass, $tick->pass)) {
                unset($rest[$at]);
                break;
            }
        }

        return array_values($rest);
    }
}
