<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

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
}
