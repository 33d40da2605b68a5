<?php

declare(strict_types=1);

namespace App\Models;

use App\Work\Standing;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One planning of a picture: how far it is, and what it planned again.
 *
 * @property int $id
 * @property int $study_id
 * @property Standing $state
 * @property string $what
 * @property int $done
 * @property int $total
 * @property list<array{zone: string, shade: string, why: string, before: ?string, after: string}> $changes
 * @property int $zones_open
 * @property float $worked seconds
 * @property ?string $holder the worker that has it in hand
 * @property int $held_until seconds since 1970
 * @property int $tries workers that took it since its last zone was found
 * @property Study $study
 */
final class PlanRun extends Model
{
    protected $fillable = [
        'study_id',
        'state',
        'what',
        'done',
        'total',
        'changes',
        'zones_open',
        'worked',
        'holder',
        'held_until',
        'tries',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['changes' => 'array', 'state' => Standing::class];
    }

    /** @return BelongsTo<Study, $this> */
    public function study(): BelongsTo
    {
        return $this->belongsTo(Study::class);
    }

    public function isUnderWay(): bool
    {
        return $this->state->isUnderWay();
    }
}
