<?php

declare(strict_types=1);

namespace App\Plans;

use App\Models\PlanRun;
use App\Models\Study;
use App\Models\User;
use App\Work\NotWanted;
use App\Work\Standing;
use Illuminate\Support\Facades\DB;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;
use KnottyPrism\Core\Picture\Palette\PalettePart;
use KnottyPrism\Core\Picture\PlannedZone;
use KnottyPrism\Core\Picture\PlanPicture;
use KnottyPrism\Core\Recipe\Kits;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceWords;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/**
 * Plans a picture part by part, each kept as soon as it is found: killed and begun again, it goes on where it was; after a change it
 * finds most parts there. Whoever looks meanwhile sees what is there.
 */
final class PlanRunner
{
    /** Seconds that one job works before it lets others of the queue have a turn. */
    private const AT_ONCE = 20.0;

    /**
     * Seconds without a word after which a worker is taken for stuck: a dark zone in an unsteady hand takes half a minute on a slow machine
     * with other work.
     */
    private const SILENT_AT_MOST = 180;

    /** Microseconds between two looks at a run that is awaited. */
    private const LOOK = 20_000;

    public function __construct(private readonly PlanRepository $plans, private readonly Kits $kits, private readonly PlanTurns $turns)
    {
    }

    /**
     * Begins, or goes on with what is under way already.
     *
     * @param  ?\Closure(PlanRun): void  $queue puts the run in the queue, in one transaction with its row: a run that no worker is told of
     *   would wait for ever
     */
    public function begin(Study $study, int $zonesOpen, ?\Closure $queue = null): PlanRun
    {
        return DB::transaction(function () use ($study, $zonesOpen, $queue): PlanRun {
            Study::query()->lockForUpdate()->findOrFail($study->id);
            $this->turns->comes($study->user_id);
            $underWay = PlanRun::query()
                ->where('study_id', $study->id)
                ->whereIn('state', [Standing::Waiting, Standing::Working])
                ->max('id');
            $run =
                PlanRun::query()->find(is_numeric($underWay) ? (int) $underWay : 0) ??
                PlanRun::query()->create([
                    'study_id' => $study->id,
                    'state' => Standing::Waiting,
                    'what' => '',
                    'done' => 0,
                    'total' => 0,
                    'changes' => [],
                    'zones_open' => $zonesOpen,
                ]);
            if ($queue !== null) {
                $queue($run);
            }

            return $run;
        });
    }

    /** Returns when it is over, or after so many seconds. */
    public function await(PlanRun $run, float $seconds): void
    {
        $until = microtime(true) + $seconds;
        while (
            microtime(true) < $until &&
            PlanRun::query()
                ->whereKey($run->id)
                ->whereIn('state', [Standing::Waiting, Standing::Working])
                ->exists()
        ) {
            usleep(self::LOOK);
        }
    }

    public function cancel(Study $study): void
    {
        PlanRun::query()
            ->where('study_id', $study->id)
            ->whereIn('state', [Standing::Waiting, Standing::Working])
            ->update(['state' => Standing::Cancelled]);
    }

    /** Works on a run that was taken, for a while or until it is done, and lets go of it. */
    public function run(PlanRun $run): void
    {
        $began = microtime(true);
        try {
            $this->work($run, $began);
        } catch (NotWanted) {
            // Cancelled; what was found until then is kept.
        } finally {
            $this->turns->giveBack($run, microtime(true) - $began);
        }
    }

    /** @throws NotWanted when it was cancelled */
    private function work(PlanRun $run, float $began): void
    {
        $study = $run->study;
        $ground = $this->plans->ground(User::query()->findOrFail($study->user_id), $study);
        $planner = $this->plans->planner($ground, $this->kits);
        $palette = $this->palette($study, $ground, $planner, function (int $done, int $of) use ($run): void {
            $this->tell($run, 'choosing the pencils', $done, $of);
        });
        while (($next = $this->next($ground, $zones)) !== null) {
            $found = count(array_filter($zones, static fn (PlannedZone $z): bool => $z->sequence !== null));
            $this->tell($run, 'finding sequences', $found, count($zones));
            $answer = $planner->sequences($next->zone, $next->shades, $palette, 1)[0];
            $basis = $ground->basis($next->zone, $palette);
            $changed = self::changed($ground, $next, $answer->sequence, $this->plans->parts->last($study, $next->zone), $basis);
            $left = max(0, count($zones) - $found - 1);
            // Both or neither: a worker that dies in between would leave a zone that is planned, and is told nowhere.
            DB::transaction(function () use ($study, $run, $next, $answer, $basis, $changed, $left): void {
                $this->plans->parts->keep($study, (string) $next->key, [
                    'passes' => SequenceNote::of($answer->sequence, $next->shades)->toArray(),
                    'label' => $answer->label->value,
                    'zone' => $next->zone,
                    'basis' => $basis,
                ]);
                $run->update(['changes' => [...$run->changes, $changed], 'tries' => 0, 'zones_open' => PlanTurns::left($run, $left)]);
            });
            $worked = microtime(true) - $began;
            if ($this->turns->othersAreFirst($run, $worked)) {
                // Told as what waits for its turn.
                $this->turns->hold($run, ['what' => '']);

                return;
            }
            if ($worked > self::AT_ONCE) {
                return;
            }
        }
        PlanRun::query()
            ->whereKey($run->id)
            ->where('state', Standing::Working)
            ->update(['state' => Standing::Done, 'what' => '', 'done' => count($zones), 'total' => count($zones)]);
        $this->plans->parts->prune($study, [
            $ground->paletteKey(),
            ...array_values(array_filter(array_map(static fn (PlannedZone $z): ?string => $z->key, $zones), is_string(...))),
        ]);
    }

    /** Chooses the pencils of a study's plan before anybody asks for it; does nothing when it can't be planned, or is being planned. */
    public function prepare(Study $study): void
    {
        try {
            $ground = $this->plans->ground(User::query()->findOrFail($study->user_id), $study);
            if (
                ! PlanRun::query()
                    ->where('study_id', $study->id)
                    ->whereIn('state', [Standing::Waiting, Standing::Working])
                    ->exists()
            ) {
                $this->palette($study, $ground, $this->plans->planner($ground));
            }
        } catch (ImpossibleChange) {
            // It is said where planning is asked for.
        }
    }

    /** @param  ?\Closure(int, int): void  $progress  told how far, of how much */
    private function palette(Study $study, PlanGround $ground, PlanPicture $planner, ?\Closure $progress = null): PalettePart
    {
        $palette = $this->plans->palettePart($ground);
        if ($palette === null) {
            $palette = $planner->palette($ground->forPalette(), $progress);
            $this->plans->parts->keep($study, $ground->paletteKey(), $palette->toArray());
        }

        return $palette;
    }

    /**
     * What was planned again and why, in words.
     *
     * @param  array<string, mixed>|null  $before
     * @param  array<string, string>  $basis
     * @return array{zone: string, why: string, before: ?string, after: string}
     */
    private static function changed(PlanGround $ground, PlannedZone $zone, Sequence $after, ?array $before, array $basis): array
    {
        $known = $before['basis'] ?? null;
        $differs = is_array($known)
            ? array_keys(
                array_filter(
                    $basis,
                    static fn (string $text, string $what): bool => ($known[$what] ?? '') !== $text,
                    ARRAY_FILTER_USE_BOTH,
                ),
            )
            : [];
        /** @var list<array{tool: string, pressures: array<string, string>}>|null $passes */
        $passes = $before['passes'] ?? null;
        $words = static fn (?Sequence $s): ?string => $s === null ? null : SequenceWords::of($s, $zone->shades)->inShort();

        return [
            'zone' => $ground->zones->note($zone->zone)->name,
            'why' => $before === null ? 'new' : ($differs === [] ? 'asked for again' : implode(' and ', $differs).' changed'),
            'before' => $words(
                PlanRepository::sequence($ground, $passes === null ? null : SequenceNote::ofArray($passes), $zone->shades),
            ),
            'after' => (string) $words($after),
        ];
    }

    /**
     * Of the zones that have no part yet the lightest, as one works: few coats are looked through there, so that it is found soonest and
     * there is something to look at.
     *
     * @param  list<PlannedZone>|null  $zones
     *
     * @param-out list<PlannedZone> $zones
     */
    private function next(PlanGround $ground, ?array &$zones): ?PlannedZone
    {
        $zones = $this->plans->zones($ground);
        $open = array_filter($zones, static fn (PlannedZone $z): bool => $z->sequence === null && $z->key !== null);
        $lightness = static fn (PlannedZone $z): float => max(array_map(static fn (Shade $s): float => $s->target->l, $z->shades));
        usort($open, static fn (PlannedZone $a, PlannedZone $b): int => $lightness($b) <=> $lightness($a));

        return $open[0] ?? null;
    }

    /** @throws NotWanted when it was cancelled */
    private function tell(PlanRun $run, string $what, int $done, int $of): void
    {
        $this->turns->hold($run, ['what' => $what, 'done' => $done, 'total' => $of]);
        // The queue's own limit is of a whole job; this one is of the time since the last word.
        if (app()->runningInConsole() && ! app()->runningUnitTests()) {
            pcntl_alarm(self::SILENT_AT_MOST);
        }
    }
}
