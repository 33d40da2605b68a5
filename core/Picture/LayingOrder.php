<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;

/** What to lay when: every zone's first step, the lightest results first, then every second one. */
final class LayingOrder
{
    /**
     * @param  list<PlannedTarget>  $targets
     * @return list<LayingStep>
     */
    public static function of(array $targets): array
    {
        $steps = array_reduce($targets, static fn (int $most, PlannedTarget $t): int => max($most, count($t->recipe->stack->steps)), 0);
        $order = [];
        for ($step = 1; $step <= $steps; $step++) {
            $now = array_values(array_filter($targets, static fn (PlannedTarget $t): bool => count($t->recipe->stack->steps) >= $step));
            usort($now, static fn (PlannedTarget $a, PlannedTarget $b): int => $b->recipe->prediction->steps[$step - 1]->lab->l <=> $a->recipe->prediction->steps[$step - 1]->lab->l);
            foreach ($now as $target) {
                $order[] = new LayingStep($step, $target);
            }
        }

        return $order;
    }

    /**
     * The same by whole passes: every zone's first, the lightest zones first, then every second one.
     *
     * @param  array<int, SequenceAnswer>  $zones  by number
     * @return list<SequenceStep>
     */
    public static function ofZones(array $zones): array
    {
        uasort($zones, static fn (SequenceAnswer $a, SequenceAnswer $b): int => $b->outcomes[0]->lab->l <=> $a->outcomes[0]->lab->l);
        $most = array_reduce($zones, static fn (int $most, SequenceAnswer $a): int => max($most, count($a->sequence->passes)), 0);
        $order = [];
        for ($step = 1; $step <= $most; $step++) {
            foreach ($zones as $number => $answer) {
                if (isset($answer->sequence->passes[$step - 1])) {
                    $order[] = new SequenceStep($step, $number, $answer->sequence->passes[$step - 1]);
                }
            }
        }

        return $order;
    }
}
