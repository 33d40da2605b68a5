<?php

declare(strict_types=1);

namespace App\Resources;

use KnottyPrism\Core\Desk\Order\OrderedSteps;
use KnottyPrism\Core\Desk\Order\PlacedStep;
use KnottyPrism\Core\Desk\Order\Sessions;
use KnottyPrism\Core\Desk\Order\WorkPlan;
use KnottyPrism\Core\Medium\Laying\Pressure;

/** An order of work in the form of docs/cli.md. */
final class OrderResource
{
    /**
     * @param  array<int, list<string>>  $shades  names, by zone
     * @return array<string, mixed>
     */
    public static function of(WorkPlan $plan, OrderedSteps $order, array $shades): array
    {
        return [
            'workOrder' => $plan->habits->order->value,
            'hand' => $plan->habits->leftHanded ? 'left' : 'right',
            'steps' => array_map(
                static fn (PlacedStep $p): array => [
                    'zone' => $plan->zones[$p->step->zone]->name,
                    'pass' => $p->step->pass + 1,
                    'tool' => $p->step->tool,
                    'pressures' => (object) array_combine(
                        $shades[$p->step->zone],
                        array_map(static fn (?Pressure $m): ?string => $m?->value, $p->step->pressures),
                    ),
                    'minutes' => self::minutes($p->step->minutes),
                    'start' => self::minutes($p->start),
                    'waits' => self::minutes($p->waits),
                    'dries' => self::minutes($p->step->drying),
                    'turn' => $p->turn,
                ],
                $order->steps,
            ),
            'sessions' => array_map(
                static fn (array $session): array => [
                    'steps' => count($session),
                    'minutes' => self::minutes(
                        array_sum(array_map(static fn (PlacedStep $p): float => $p->step->minutes + $p->waits, $session)),
                    ),
                    'tools' => array_values(array_unique(array_map(static fn (PlacedStep $p): string => $p->step->tool, $session))),
                ],
                Sessions::of($order->steps, $plan->habits->session),
            ),
            'totals' => [
                'minutes' => self::minutes($order->minutes),
                'pickUps' => $order->pickUps,
                'idleMinutes' => self::minutes($order->idle),
                'freshUnderHand' => Figures::share($order->freshUnderHand),
            ],
        ];
    }

    public static function minutes(float $minutes): float
    {
        return round($minutes, 1);
    }
}
