<?php

declare(strict_types=1);

namespace App\Desk;

use App\History\ChangedElsewhere;
use App\Models\Study;
use App\Models\TickRow;
use App\Models\User;
use App\Plans\PlanGround;
use KnottyPrism\Core\Book\Log\WorkLog;
use KnottyPrism\Core\Desk\Order\DeskStep;
use KnottyPrism\Core\Desk\Order\PassMinutes;
use KnottyPrism\Core\Desk\Order\PlacedStep;
use KnottyPrism\Core\Desk\Order\WorkingHabits;
use KnottyPrism\Core\Desk\Order\WorkOrder;
use KnottyPrism\Core\Desk\Order\WorkPass;
use KnottyPrism\Core\Desk\Order\ZoneSteps;
use KnottyPrism\Core\Desk\Progress\Tick;
use KnottyPrism\Core\Desk\Progress\TickKind;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Picture\Decisions\PassNote;

/** What was said at the desk of a study: its ticks, the last of which can be taken back, and how its artist likes to work. */
final class DeskKeeper
{
    /** Between two ticks no more than this was work, seconds. */
    private const LONGEST_PASS = WorkLog::PAUSE;

    private const TAKEN_BACK_KEPT = 500;

    /** The pace is taken in steps of this, so that the order does not change with every tick. */
    private const PACE_STEP = 0.25;

    public function __construct(private readonly DeskBoard $board)
    {
    }

    /** @return list<TickRow> in the order in which they were made, without those taken back */
    public function ticks(Study $study): array
    {
        return array_values(TickRow::query()->where('study_id', $study->id)->where('taken_back', false)->orderBy('id')->get()->all());
    }

    /** @param  list<TickRow>  $ticks */
    public function habits(Study $study, array $ticks = []): WorkingHabits
    {
        $kept = $study->desk ?? [];
        $pace = max(self::PACE_STEP, round(self::paceOf($ticks) / self::PACE_STEP) * self::PACE_STEP);

        return new WorkingHabits(
            WorkOrder::tryFrom((string) ($kept['workOrder'] ?? '')) ?? WorkOrder::ZoneByZone,
            ($kept['hand'] ?? 'right') === 'left',
            (int) ($kept['session'] ?? 60),
            (int) ($kept['thin'] ?? 5),
            (int) ($kept['wet'] ?? 15),
            $pace,
        );
    }

    /**
     * What was laid since somebody sat down; empty when she has got up since.
     *
     * @param  list<TickRow>  $ticks  of the study
     * @return list<PlacedStep>
     */
    public function sitting(array $ticks, WorkingHabits $habits): array
    {
        $steps = [];
        $after = time();
        foreach (array_reverse($ticks) as $tick) {
            if ($after - $tick->made_at > self::LONGEST_PASS) {
                break;
            }
            $after = $tick->made_at;
            if ($tick->kind !== TickKind::Skipped) {
                $drying = ZoneSteps::drying(new WorkPass($tick->pass['tool'], array_values($tick->tick()->pass->pressures)), $habits);
                $steps[] = new PlacedStep(
                    new DeskStep($tick->zone, 0, $tick->pass['tool'], $habits->pace * $tick->minutes, $drying),
                    0.0,
                    0.0,
                    0,
                    0.0,
                );
            }
        }

        return array_reverse($steps);
    }

    /** @param  array<string, int|string|bool>  $changed */
    public function change(Study $study, array $changed): int
    {
        $study->update(['desk' => [...$study->desk ?? [], ...$changed]]);

        return $study->id;
    }

    /**
     * @param  int  $position  passes ticked in the zone where this was made
     * @param  int  $coats  that were laid, or left out, one after the other
     * @return int the id of the last
     *
     * @throws ImpossibleChange when the zone is not there, or was ticked elsewhere meanwhile
     */
    public function tick(User $user, Study $study, TickKind $kind, int $zone, int $position, PassNote $pass, int $at, int $coats = 1): int
    {
        Study::query()->lockForUpdate()->findOrFail($study->id);
        $ground = $this->board->ground($user, $study) ?? throw ImpossibleChange::because('The picture has no zones yet.');
        $made = 0;
        for ($coat = 0; $coat < $coats; $coat++) {
            $made = $this->tickOne($ground, $study, new Tick($kind, $zone, $pass, $at), $position + $coat, $coat > 0);
        }
        // Those that were taken back long ago are of no use to anybody.
        $old = TickRow::query()
            ->where('study_id', $study->id)
            ->where('taken_back', true)
            ->orderByDesc('id')
            ->skip(self::TAKEN_BACK_KEPT)
            ->take(100)
            ->pluck('id');
        TickRow::query()->whereIn('id', $old)->delete();

        return $made;
    }

    private function tickOne(PlanGround $ground, Study $study, Tick $tick, int $position, bool $continues): int
    {
        $rows = $this->ticks($study);
        $zone = $tick->zone;
        $there =
            $this->board->zones($ground, $rows)[$zone] ??
            throw ImpossibleChange::because('This zone is no longer planned; nothing was ticked.');
        if ($there->progress->ticks !== $position) {
            throw ImpossibleChange::because(
                sprintf('“%s” was already ticked on another device; it was not ticked twice.', $there->place->name),
            );
        }
        $before = array_map(
            static fn (TickRow $r): Tick => $r->tick(),
            array_values(array_filter($rows, static fn (TickRow $r): bool => $r->zone === $zone)),
        );

        return TickRow::query()->create([
            'study_id' => $study->id,
            'kind' => $tick->kind,
            'zone' => $zone,
            'pass' => $tick->pass->toArray(),
            'made_at' => $tick->at,
            'continues' => $continues,
            ...$this->board->after($ground, $there, $tick, ...$before),
        ])->id;
    }

    /**
     * Takes the last tick back, if there is one, with all coats that were ticked with it.
     *
     * @param  ?int  $of  the tick that was the last where this was asked for; 0 where there was none
     * @return int the tick that is the last now, on which a next undo stands; 0 where there is none
     *
     * @throws ChangedElsewhere when another was made since
     */
    public function takeBack(Study $study, ?int $of): int
    {
        $latest = static fn (): ?TickRow => TickRow::query()
            ->where('study_id', $study->id)
            ->where('taken_back', false)
            ->orderByDesc('id')
            ->lockForUpdate()
            ->first();
        $last = $latest();
        ChangedElsewhere::check($of, $last->id ?? 0, $last === null ? null : 'another tick was made');
        for ($one = $last; $one !== null; $one = $one->continues ? $latest() : null) {
            $one->update(['taken_back' => true]);
        }

        return $latest()->id ?? 0;
    }

    /** @param  list<TickRow>  $ticks */
    private static function paceOf(array $ticks): float
    {
        $times = [];
        $counts = false;
        foreach ($ticks as $i => $tick) {
            $last = $counts && $tick->continues ? array_pop($times) : null;
            if ($last !== null) {
                // In the time of the coat that it was ticked with.
                $times[] = [$last[0] + $tick->minutes, $last[1]];

                continue;
            }
            $seconds = $i > 0 ? $tick->made_at - $ticks[$i - 1]->made_at : 0;
            $counts = $tick->kind !== TickKind::Skipped && $seconds > 0 && $seconds < self::LONGEST_PASS;
            if ($counts) {
                $times[] = [$tick->minutes, $seconds / 60];
            }
        }

        return PassMinutes::pace($times);
    }
}
