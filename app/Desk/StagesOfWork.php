<?php

declare(strict_types=1);

namespace App\Desk;

use App\Models\Study;
use App\Models\TickRow;
use App\Plans\PlanGround;
use App\Plans\Stage;
use KnottyPrism\Core\Desk\Order\Coats;
use KnottyPrism\Core\Desk\Order\PlacedStep;
use KnottyPrism\Core\Desk\Order\Sessions;
use KnottyPrism\Core\Desk\Order\Stages;
use KnottyPrism\Core\Desk\Progress\ZoneAtDesk;
use KnottyPrism\Core\Desk\Words\StageWords;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Picture\PassesLaid;
use KnottyPrism\Core\Picture\PlannedZone;

/** A planned picture in the steps of its order of work, from the bare paper on: what lies already at the desk changes nothing here. */
final class StagesOfWork
{
    public function __construct(private readonly DeskBoard $board, private readonly DeskKeeper $keeper)
    {
    }

    /**
     * @param  list<PlannedZone>  $planned
     * @return array{steps: list<string>, sessions: list<array{ends: int, words: string, raw: ?string}>} what each step is; where each
     *   session ends, what is done in it, and what to make of the drawing then
     */
    public function told(PlanGround $ground, Study $study, array $planned): array
    {
        $zones = $this->board->zones($ground, [], $planned);
        $order = $this->order($ground, $study, $zones);
        $minutes = static fn (array $steps): float => array_sum(array_map(static fn (PlacedStep $p): float => $p->step->minutes, $steps));
        $whole = max(1e-9, $minutes($order));
        $name = static fn (PlacedStep $p): string => $zones[$p->step->zone]->place->name;
        $tool = static fn (PlacedStep $p): string => self::tool($zones[$p->step->zone], $p);
        $sessions = $steps = [];
        $laid = 0.0;
        foreach (Sessions::of($order, $this->keeper->habits($study)->session) as $session) {
            $laid += $minutes($session);
            array_push(
                $steps,
                ...array_map(
                    static fn (array $coats): string => ucfirst($name($coats[0])).' with '.$tool($coats[0]),
                    Coats::together($session),
                ),
            );
            $sessions[] = [
                'ends' => count($steps),
                'words' => StageWords::session($minutes($session), array_values(array_unique(array_map($name, $session)))),
                'raw' => StageWords::raw($laid / $whole),
            ];
        }

        return ['steps' => $steps, 'sessions' => $sessions];
    }

    /**
     * @param  list<PlannedZone>  $planned
     * @param  int<0, max>  $steps  of the order that are laid, coats that are alike as one
     */
    public function after(PlanGround $ground, Study $study, array $planned, int $steps): Stage
    {
        $zones = $this->board->zones($ground, [], $planned);
        $order = $this->order($ground, $study, $zones);
        $coats = array_merge(...array_map(Coats::together(...), Sessions::of($order, $this->keeper->habits($study)->session)));
        $passes = array_sum(array_map(count(...), array_slice($coats, 0, $steps)));

        return new Stage(Stages::after($order, $passes), array_map(static fn (ZoneAtDesk $z) => $z->chain, $zones));
    }

    /**
     * The drawing as the desk has it: as it lies, or with what is left of this session laid too.
     *
     * @param  list<TickRow>  $ticks
     */
    public function atDesk(PlanGround $ground, Study $study, array $ticks, bool $afterSession): Stage
    {
        $zones = $this->board->zones($ground, $ticks);
        $habits = $this->keeper->habits($study, $ticks);
        $laid = array_map(static fn (ZoneAtDesk $z): int => $z->laid, $zones);
        // By the pace of who works, as the desk has its sessions.
        $order = $zones === [] ? [] : $this->board->order($ground, $zones, $habits);
        [$sessions] = Sessions::after($this->keeper->sitting($ticks, $habits), $order, $habits->session);
        foreach ($afterSession ? $sessions[0] ?? [] : [] as $placed) {
            $laid[$placed->step->zone]++;
        }

        return new Stage(new PassesLaid(0, $laid), array_map(static fn (ZoneAtDesk $z) => $z->chain, $zones));
    }

    /**
     * @param  array<int, ZoneAtDesk>  $zones
     * @return list<PlacedStep>
     */
    private function order(PlanGround $ground, Study $study, array $zones): array
    {
        return $zones === [] ? [] : $this->board->order($ground, $zones, $this->keeper->habits($study));
    }

    private static function tool(ZoneAtDesk $zone, PlacedStep $placed): string
    {
        $tool = $zone->chain->passes[$placed->step->pass]->tool;

        return $tool instanceof Finish ? $tool->value : $tool->record->number;
    }
}
