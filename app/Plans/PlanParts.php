<?php

declare(strict_types=1);

namespace App\Plans;

use App\Cache\AccountClock;
use App\Models\PlanRun;
use App\Models\Study;
use Illuminate\Support\Facades\DB;

/** What the planner found, part by part, each under a key that names all it follows from. */
final class PlanParts
{
    /** Parts of a study that no plan takes are kept so long, and no more of them than that. */
    private const KEPT_DAYS = 30;

    private const MOST_PARTS = 2000;

    private const KEPT_RUNS = 20;

    /** @return array<string, mixed>|null */
    public function one(Study $study, string $key): ?array
    {
        $value = DB::table('plan_parts')->where('study_id', $study->id)->where('part_key', $key)->value('value');

        return is_string($value) ? json_decode($value, true, flags: JSON_THROW_ON_ERROR) : null;
    }

    /** @return array<string, mixed>|null what was found last for the same zone */
    public function last(Study $study, int $zone): ?array
    {
        $value = DB::table('plan_parts')->where('study_id', $study->id)->where('value->zone', $zone)->orderByDesc('id')->value('value');

        return is_string($value) ? json_decode($value, true, flags: JSON_THROW_ON_ERROR) : null;
    }

    /** Whether any zone was ever planned, as things stand or as they stood. */
    public function hasZones(Study $study): bool
    {
        return DB::table('plan_parts')->where('study_id', $study->id)->whereNotNull('value->zone')->exists();
    }

    /**
     * Kept once; found by two at the same time, it is the same.
     *
     * @param  array<string, mixed>  $value
     */
    public function keep(Study $study, string $key, array $value): void
    {
        DB::table('plan_parts')->upsert(
            [
                [
                    'study_id' => $study->id,
                    'part_key' => $key,
                    'value' => json_encode($value, JSON_THROW_ON_ERROR),
                    'created_at' => now(),
                    'updated_at' => now(),
                ],
            ],
            ['study_id', 'part_key'],
            ['value', 'updated_at'],
        );
        AccountClock::tickOf($study);
    }

    /**
     * @param  list<string>  $keys
     * @return array<string, array<string, mixed>> those that are there, by key
     */
    public function of(Study $study, array $keys): array
    {
        return $keys === []
            ? []
            : array_map(
                static fn (mixed $value): array => json_decode((string) $value, true, flags: JSON_THROW_ON_ERROR),
                DB::table('plan_parts')->where('study_id', $study->id)->whereIn('part_key', $keys)->pluck('value', 'part_key')->all(),
            );
    }

    /**
     * Parts that no plan of late has taken are forgotten: they can be found again.
     *
     * @param  list<string>  $inUse  keys of those that the plan takes now
     */
    public function prune(Study $study, array $inUse): void
    {
        $parts = static fn () => DB::table('plan_parts')->where('study_id', $study->id);
        $parts()
            ->whereIn('part_key', $inUse)
            ->update(['updated_at' => now()]);
        $newest = $parts()->orderByDesc('updated_at')->orderByDesc('id')->skip(self::MOST_PARTS)->value('updated_at');
        $parts()
            ->whereNotIn('part_key', $inUse)
            ->where('updated_at', '<', max($newest ?? '', now()->subDays(self::KEPT_DAYS)->toDateTimeString()))
            ->delete();
        $runs = PlanRun::query()->where('study_id', $study->id)->orderByDesc('id')->skip(self::KEPT_RUNS)->take(1000)->pluck('id');
        PlanRun::query()->whereIn('id', $runs)->delete();
    }
}
