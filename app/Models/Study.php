<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * One picture being planned: its photo, its paper, its plan.
 *
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property string $paper
 * @property string $photo_key
 * @property string $photo_name
 * @property int $photo_width
 * @property int $photo_height
 */
final class Study extends Model
{
    protected $fillable = ['name', 'paper', 'photo_key', 'photo_name', 'photo_width', 'photo_height'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<PlanEntry, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(PlanEntry::class);
    }

    /** @return HasMany<PlanChange, $this> */
    public function changes(): HasMany
    {
        return $this->hasMany(PlanChange::class);
    }
}
