<?php

declare(strict_types=1);

namespace App\Desk;

use App\History\ChangedElsewhere;
use App\Models\DeskMarkRow;
use App\Models\Study;
use App\Models\User;
use App\Plans\PlanGround;
use KnottyPrism\Core\Book\Log\WorkLog;
use KnottyPrism\Core\Desk\Order\DeskStep;
use KnottyPrism\Core\Desk\Order\PassMinutes;
use KnottyPrism\Core\Desk\Order\PlacedStep;
use KnottyPrism\Core\Desk\Order\Way;
use KnottyPrism\Core\Desk\Order\WorkingHabits;
use KnottyPrism\Core\Desk\Order\WorkPass;
use KnottyPrism\Core\Desk\Order\ZoneSteps;
use KnottyPrism\Core\Desk\Progress\DeskMark;
use KnottyPrism\Core\Desk\Progress\MarkKind;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Picture\Decisions\PassNote;

/** What was said at the desk of a study: its marks, the last of which can be taken back, and how its artist likes to work. */
final class DeskKeeper
{
    /** Between two marks no more than this was work, seconds. */
    private const LONGEST_PASS = WorkLog::PAUSE;

    private const TAKEN_BACK_KEPT = 500;

    /** The pace is taken in steps of this, so that the order does not change with every mark. */
    private const PACE_STEP = 0.25;

    public function __construct(private readonly DeskBoard $board)
    {
    }

    /** @return list<DeskMarkRow> in the order in which they were made, without those taken back */
    public function marks(Study $study): array
    {
        return array_values(DeskMarkRow::query()->where('study_id', $study->id)->where('taken_back', false)->orderBy('id')->get()->all());
    }

    /** @param  list<DeskMarkRow>  $marks */
    public function habits(Study $study, array $marks = []): WorkingHabits
    {
        $kept = $study->desk ?? [];
        $pace = max(self::PACE_STEP, round(self::paceOf($marks) / self::PACE_STEP) * self::PACE_STEP);

        return new WorkingHabits(
            Way::tryFrom((string) ($kept['way'] ?? '')) ?? Way::AreaByArea,
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
     * @param  list<DeskMarkRow>  $marks  of the study
     * @return list<PlacedStep>
     */
    public function sitting(array $marks, WorkingHabits $habits): array
    {
        $steps = [];
        $after = time();
        foreach (array_reverse($marks) as $mark) {
            if ($after - $mark->made_at > self::LONGEST_PASS) {
                break;
            }
            $after = $mark->made_at;
            if ($mark->kind !== MarkKind::Skipped) {
                $drying = ZoneSteps::drying(new WorkPass($mark->pass['tool'], array_values($mark->mark()->pass->marks)), $habits);
                $steps[] = new PlacedStep(
                    new DeskStep($mark->zone, 0, $mark->pass['tool'], $habits->pace * $mark->minutes, $drying),
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
     * @param  int  $position  passes marked in the zone where this was made
     * @param  int  $coats  that were laid, or left out, one after the other
     * @return int the id of the last
     *
     * @throws ImpossibleChange when the zone is not there, or was marked elsewhere meanwhile
     */
    public function mark(User $user, Study $study, MarkKind $kind, int $zone, int $position, PassNote $pass, int $at, int $coats = 1): int
    {
        Study::query()->lockForUpdate()->findOrFail($study->id);
        $ground = $this->board->ground($user, $study) ?? throw ImpossibleChange::because('The picture has no zones to work on.');
        $made = 0;
        for ($coat = 0; $coat < $coats; $coat++) {
            $made = $this->markOne($ground, $study, new DeskMark($kind, $zone, $pass, $at), $position + $coat, $coat > 0);
        }
        // Those that were taken back long ago are of no use to anybody.
        $old = DeskMarkRow::query()
            ->where('study_id', $study->id)
            ->where('taken_back', true)
            ->orderByDesc('id')
            ->skip(self::TAKEN_BACK_KEPT)
            ->take(100)
            ->pluck('id');
        DeskMarkRow::query()->whereIn('id', $old)->delete();

        return $made;
    }

    private function markOne(PlanGround $ground, Study $study, DeskMark $mark, int $position, bool $continues): int
    {
        $rows = $this->marks($study);
        $zone = $mark->zone;
        $there =
            $this->board->zones($ground, $rows)[$zone] ??
            throw ImpossibleChange::because('That zone is not planned any more; nothing was marked.');
        if ($there->progress->marks !== $position) {
            throw ImpossibleChange::because(
                sprintf('“%s” was marked elsewhere meanwhile; this mark was not made a second time.', $there->place->name),
            );
        }
        $before = array_map(
            static fn (DeskMarkRow $r): DeskMark => $r->mark(),
            array_values(array_filter($rows, static fn (DeskMarkRow $r): bool => $r->zone === $zone)),
        );

        return DeskMarkRow::query()->create([
            'study_id' => $study->id,
            'kind' => $mark->kind,
            'zone' => $zone,
            'pass' => $mark->pass->toArray(),
            'made_at' => $mark->at,
            'continues' => $continues,
            ...$this->board->after($ground, $there, $mark, ...$before),
        ])->id;
    }

    /**
     * Takes the last mark back, if there is one, with all coats that were marked with it.
     *
     * @param  ?int  $of  the mark that was the last where this was asked for; 0 where there was none
     * @return int the mark that is the last now, on which a next undo stands; 0 where there is none
     *
     * @throws ChangedElsewhere when another was made since
     */
    public function takeBack(Study $study, ?int $of): int
    {
        $latest = static fn (): ?DeskMarkRow => DeskMarkRow::query()
            ->where('study_id', $study->id)
            ->where('taken_back', false)
            ->orderByDesc('id')
            ->lockForUpdate()
            ->first();
        $last = $latest();
        ChangedElsewhere::check($of, $last->id ?? 0, $last === null ? null : 'another mark was made');
        for ($one = $last; $one !== null; $one = $one->continues ? $latest() : null) {
            $one->update(['taken_back' => true]);
        }

        return $latest()->id ?? 0;
    }

    /** @param  list<DeskMarkRow>  $marks */
    private static function paceOf(array $marks): float
    {
        $times = [];
        $counts = false;
        foreach ($marks as $i => $mark) {
            $last = $counts && $mark->continues ? array_pop($times) : null;
            if ($last !== null) {
                // In the time of the coat that it was marked with.
                $times[] = [$last[0] + $mark->minutes, $last[1]];

                continue;
            }
            $seconds = $i > 0 ? $mark->made_at - $marks[$i - 1]->made_at : 0;
            $counts = $mark->kind !== MarkKind::Skipped && $seconds > 0 && $seconds < self::LONGEST_PASS;
            if ($counts) {
                $times[] = [$mark->minutes, $seconds / 60];
            }
        }

        return PassMinutes::pace($times);
    }
}
