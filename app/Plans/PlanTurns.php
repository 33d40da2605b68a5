<?php

declare(strict_types=1);

namespace App\Plans;

use App\Cache\AccountClock;
use App\Models\PlanRun;
use App\Work\NotWanted;
use App\Work\Standing;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Whose plan is worked on next: of the accounts that wait the one that was worked for least since the last of them came, so that one that
 * comes with ten plans holds up nobody who comes with one. Whoever works on a run holds it, and says so again and again; a run is held by
 * one worker at a time, whatever the queue hands out twice.
 */
final class PlanTurns
{
    /** Zones; a run with no more left is short work. */
    public const SHORT = 1;

    /** Seconds without a word after which a run is let go. */
    private const HELD_FOR = 190;

    /** Seconds that one account may be ahead of another before it makes way; changing between drawers costs some. */
    private const AHEAD = 5.0;

    /** Workers that may die on one zone before the run is given up. */
    private const TRIES = 5;

    /** Somebody comes for whom nothing is under way: from here on all are worked for alike. */
    public function comes(int $account): void
    {
        if (! $this->underWay()->get()->contains(static fn (PlanRun $run): bool => self::accountOf($run) === $account)) {
            PlanRun::query()
                ->where('worked', '>', 0)
                ->update(['worked' => 0]);
        }
    }

    /** Takes the run whose turn it is, of those with no more zones left than this. */
    public function take(int $mostOpen = PHP_INT_MAX): ?PlanRun
    {
        return DB::transaction(function () use ($mostOpen): ?PlanRun {
            $runs = $this->underWay()->lockForUpdate()->get();
            $held = array_count_values($runs->filter(self::isHeld(...))->map(self::accountOf(...))->all());
            $worked = $this->worked();
            $rank = static fn (PlanRun $run): array => [
                $held[self::accountOf($run)] ?? 0,
                $worked[self::accountOf($run)] ?? 0.0,
                $run->zones_open,
                $run->id,
            ];
            foreach (
                $runs
                    ->reject(self::isHeld(...))
                    ->filter(static fn (PlanRun $run): bool => $run->zones_open <= $mostOpen)
                    ->sort(static fn (PlanRun $a, PlanRun $b): int => $rank($a) <=> $rank($b)) as $run
            ) {
                $givenUp = $run->tries >= self::TRIES;
                $run->update(
                    $givenUp
                        ? ['state' => Standing::Failed]
                        : [
                            'state' => Standing::Working,
                            'holder' => self::me(),
                            'held_until' => time() + self::HELD_FOR,
                            'tries' => $run->tries + 1,
                        ],
                );
                if (! $givenUp) {
                    return $run->load('study');
                }
            }

            return null;
        });
    }

    /**
     * Goes on holding it, and says how far it is.
     *
     * @param  array<string, mixed>  $told
     *
     * @throws NotWanted where it was cancelled, or is held by another by now
     */
    public function hold(PlanRun $run, array $told): void
    {
        $mine = PlanRun::query()->whereKey($run->id)->where('state', Standing::Working)->where('holder', self::me());
        // No row is changed where the same is told within the second.
        if ($mine->update([...$told, 'held_until' => time() + self::HELD_FOR]) === 0 && ! $mine->exists()) {
            throw new NotWanted();
        }
        AccountClock::tickOf($run->study);
    }

    /** Lets go of it; whether it is done is told apart. */
    public function giveBack(PlanRun $run, float $seconds): void
    {
        PlanRun::query()
            ->whereKey($run->id)
            ->where('holder', self::me())
            ->update(['holder' => null, 'held_until' => 0, 'worked' => DB::raw('worked + '.round($seconds, 3))]);
        // It is done, or waits for its next turn.
        AccountClock::tickOf($run->study);
    }

    /** Whether another account's run waits that was worked for less, once this one was worked on for so many seconds more. */
    public function othersAreFirst(PlanRun $run, float $seconds): bool
    {
        $worked = $this->worked();
        $own = self::accountOf($run);
        $mine = ($worked[$own] ?? 0.0) + $seconds;

        return $this->waiting()->contains(
            static fn (PlanRun $other): bool => self::accountOf($other) !== $own &&
                ($worked[self::accountOf($other)] ?? 0.0) + self::AHEAD < $mine,
        );
    }

    /** So many zones as no short work, however few: where pencils are to be chosen first, too. */
    public static function long(int $zones): int
    {
        return max(self::SHORT + 1, $zones);
    }

    /** Zones that are left of a run, for its turns: the last zone of a long one is no short work, which would go before everybody's. */
    public static function left(PlanRun $run, int $zones): int
    {
        return $run->zones_open > self::SHORT ? self::long($zones) : $zones;
    }

    /** Whether anything waits that nobody holds. */
    public function somethingWaits(int $mostOpen = PHP_INT_MAX): bool
    {
        return $this->waiting()->contains(static fn (PlanRun $run): bool => $run->zones_open <= $mostOpen);
    }

    /** What a worker of this name held when it died. */
    public function letGo(): void
    {
        PlanRun::query()
            ->where('holder', self::me())
            ->update(['holder' => null, 'held_until' => 0]);
    }

    /** The machine and the worker's name on it, which one that comes in a dead one's place has too (ops/serve.sh). */
    private static function me(): string
    {
        return (gethostname() ?: 'here').'/'.(getenv('KP_WORKER') ?: (string) getmypid());
    }

    /** @return Collection<int, PlanRun> */
    private function waiting(): Collection
    {
        return $this->underWay()->get()->reject(self::isHeld(...));
    }

    /** @return Builder<PlanRun> */
    private function underWay(): Builder
    {
        $query = PlanRun::query()->with('study:id,user_id');
        $query->whereIn('state', [Standing::Waiting, Standing::Working]);

        return $query;
    }

    private static function isHeld(PlanRun $run): bool
    {
        return $run->held_until > time();
    }

    private static function accountOf(PlanRun $run): int
    {
        return $run->study->user_id;
    }

    /** @return array<int, float> seconds by account, what is done by now among them */
    private function worked(): array
    {
        return DB::table('plan_runs')
            ->join('studies', 'studies.id', '=', 'plan_runs.study_id')
            ->where('worked', '>', 0)
            ->groupBy('studies.user_id')
            ->selectRaw('studies.user_id as account, sum(worked) as seconds')
            ->pluck('seconds', 'account')
            ->map(static fn (mixed $s): float => (float) $s)
            ->all();
    }
}
