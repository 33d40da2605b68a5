<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Preview;

use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Picture\PlannedPicture;
use KnottyPrism\Core\Picture\PlannedTarget;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;

/** A zone as it is drawn: its value run, and the touches within it. */
final readonly class DrawnZone
{
    /**
     * @param  list<DrawnShade>  $run  darkest first
     * @param  list<DrawnShade>  $touches
     */
    public function __construct(public int $number, public array $run, public array $touches)
    {
    }

    /**
     * @param  list<PlannedTarget>  $targets  of the zone, in the order of its sequence's shades
     * @param  ?Sequence  $sequence  over them; nothing where each colour has a stack of its own
     */
    public static function of(int $number, array $targets, ?Sequence $sequence): self
    {
        $run = $touches = [];
        foreach ($targets as $at => $target) {
            $shade = new DrawnShade($target->seen, self::steps($target, $at, $sequence));
            if ($target->role->isOfValueRun()) {
                $run[] = $shade;
            } else {
                $touches[] = $shade;
            }
        }
        usort($run, static fn (DrawnShade $a, DrawnShade $b): int => $a->seen->l <=> $b->seen->l);

        return new self($number, $run, $touches);
    }

    /**
     * @param  array<int, Sequence>  $inOrder  a zone's passes as they are laid, by zone; of others as their sequence has them
     * @return list<self> all zones of a plan
     */
    public static function all(PlannedPicture $plan, array $inOrder = []): array
    {
        return array_map(static fn (int $zone, SequenceAnswer $answer): self => self::of($zone, array_values($plan->targetsOf($zone)), $inOrder[$zone] ?? $answer->sequence), array_keys($plan->zones), $plan->zones);
    }

    /** @return list<Pass|Finish|null> */
    private static function steps(PlannedTarget $target, int $at, ?Sequence $sequence): array
    {
        $stack = $target->recipe->stack;

        // A stack that the artist holds for one colour is laid as it is, whatever the zone's sequence would do there.
        return $sequence === null || $sequence->stackIn($at)->text() !== $stack->text() ? $stack->steps : array_map(static fn (GradedPass $p): Pass|Finish|null => $p->in($at), $sequence->passes);
    }
}
