<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One step that undo takes back.
 *
 * @property int $id
 * @property string $kind
 * @property ?string $name_before
 * @property PlanEntry $entry
 */
final class PlanChange extends Model
{
    public const ADDED = 'added';

    public const REMOVED = 'removed';

    public const RENAMED = 'renamed';

    protected $fillable = ['plan_entry_id', 'kind', 'name_before'];

    /** @return BelongsTo<PlanEntry, $this> */
    public function entry(): BelongsTo
    {
        return $this->belongsTo(PlanEntry::class, 'plan_entry_id')->withTrashed();
    }
}
