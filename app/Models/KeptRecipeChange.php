<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletingScope;

/**
 * One step that undo takes back.
 *
 * @property int $id
 * @property string $kind
 * @property ?string $name_before
 * @property KeptRecipe $entry
 */
final class KeptRecipeChange extends Model
{
    public const ADDED = 'added';

    public const REMOVED = 'removed';

    public const RENAMED = 'renamed';

    protected $fillable = ['plan_entry_id', 'kind', 'name_before'];

    /** What was done, for a sentence. */
    public function words(): string
    {
        return match ($this->kind) {
            self::ADDED => "the recipe for “{$this->entry->name}” was kept",
            self::REMOVED => "the recipe for “{$this->entry->name}” was removed",
            default => "the recipe for “{$this->entry->name}” was renamed",
        };
    }

    /**
     * The entry, removed or not.
     *
     * @return BelongsTo<KeptRecipe, $this>
     */
    public function entry(): BelongsTo
    {
        $entry = $this->belongsTo(KeptRecipe::class, 'plan_entry_id');
        $entry->getQuery()->withoutGlobalScope(SoftDeletingScope::class);

        return $entry;
    }
}
