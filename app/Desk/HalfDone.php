<?php

declare(strict_types=1);

namespace App\Desk;

use App\Models\Study;
use App\Models\TickRow;
use KnottyPrism\Core\Desk\Order\PlacedStep;
use KnottyPrism\Core\Desk\Order\Sessions;
use KnottyPrism\Core\Desk\Progress\TickKind;
use KnottyPrism\Core\Desk\Progress\ZoneAtDesk;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Picture\Decisions\PassNote;

/** Ticks of a study as if somebody had worked on it for the first half of its sessions, an evening each: something true to look at. */
final class HalfDone
{
    private const DAY = 86400;

    public function __construct(private readonly DeskBoard $board, private readonly DeskKeeper $keeper)
    {
    }

    public function tick(Study $study): void
    {
        $ground = $this->board->ground($study->user()->firstOrFail(), $study);
        if ($ground === null) {
            return;
        }
        $habits = $this->keeper->habits($study);
        $zones = $this->board->zones($ground, []);
        $sessions = Sessions::of($this->board->order($ground, $zones, $habits), $habits->session);
        $evenings = array_slice($sessions, 0, intdiv(count($sessions), 2));
        foreach ($evenings as $i => $evening) {
            $at = time() - (count($evenings) - $i) * self::DAY;
            foreach ($evening as $placed) {
                $at += (int) round(60 * ($placed->waits + $placed->step->minutes));
                $this->done($study, $zones[$placed->step->zone], $placed, $at, $ground->paper);
            }
        }
    }

    private function done(Study $study, ZoneAtDesk $zone, PlacedStep $placed, int $at, Paper $paper): void
    {
        $pass = PassNote::of($zone->chain->passes[$placed->step->pass], $zone->shades);
        TickRow::query()->create([
            'study_id' => $study->id,
            'kind' => TickKind::Done,
            'zone' => $zone->place->number,
            'pass' => $pass->toArray(),
            'made_at' => $at,
            'rest' => null,
            'plan' => $this->board->planKey($zone),
            'minutes' => $placed->step->minutes,
            'film' => $zone->film($placed->step->pass, $paper),
            'zone_name' => $zone->place->name,
        ]);
    }
}
