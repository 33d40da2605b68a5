<?php

declare(strict_types=1);

namespace App\Plans;

use App\Models\Study;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;

/**
 * A plan as a file beside the study that it is of, so that a first look need not wait for the planner: what the planner finds for the demo.
 * A test plans the demo again and compares.
 */
final class ShippedPlan
{
    public function __construct(private readonly PlanRepository $plans)
    {
    }

    /** Puts the parts of a plan where the planner would put them: under the keys of all that they follow from. */
    public function putIn(Study $study, string $json): void
    {
        /**
         * @var array{palette: array<string, mixed>,
         *   zones: array<int, array{passes: list<array{tool: string, pressures: array<string, string>}>, label: string}>} $shipped
         */
        $shipped = json_decode($json, true, flags: JSON_THROW_ON_ERROR);
        $ground = $this->plans->ground($study->user()->firstOrFail(), $study);
        $this->plans->parts->keep($study, $ground->paletteKey(), $shipped['palette']);
        $palette = $this->plans->palettePart($ground) ?? throw new \LogicException('it was put there a moment ago');
        foreach ($this->plans->zones($ground) as $zone) {
            $part = $shipped['zones'][$zone->zone] ?? null;
            if ($part !== null && $zone->key !== null) {
                $this->plans->parts->keep($study, $zone->key, [
                    ...$part,
                    'zone' => $zone->zone,
                    'basis' => $ground->basis($zone->zone, $palette),
                ]);
            }
        }
    }

    /** The parts of a study's plan as such a file. */
    public function of(Study $study): string
    {
        $ground = $this->plans->ground($study->user()->firstOrFail(), $study);
        $zones = [];
        foreach ($this->plans->zones($ground) as $zone) {
            $zones[$zone->zone] = [
                'passes' => $zone->sequence === null ? [] : SequenceNote::of($zone->sequence, $zone->shades)->toArray(),
                'label' => $zone->label,
            ];
        }

        return json_encode(
            ['palette' => $this->plans->palettePart($ground)?->toArray(), 'zones' => (object) $zones],
            JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT,
        )."\n";
    }
}
