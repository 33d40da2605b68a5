<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\KeptRecipeFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use KnottyPrism\Core\Colour\Lab;

/**
 * A spot of the photo with the recipe chosen for it.
 *
 * @property int $id
 * @property int $study_id
 * @property string $name
 * @property int $x
 * @property int $y
 * @property int $ring
 * @property float $target_l
 * @property float $target_a
 * @property float $target_b
 * @property string $label
 * @property string $stack
 * @property string $paper
 */
final class KeptRecipe extends Model
{
    /** @use HasFactory<KeptRecipeFactory> */
    use HasFactory;

    protected $fillable = ['name', 'x', 'y', 'ring', 'target_l', 'target_a', 'target_b', 'label', 'stack', 'paper'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['target_l' => 'float', 'target_a' => 'float', 'target_b' => 'float'];
    }

    /** @return BelongsTo<Study, $this> */
    public function study(): BelongsTo
    {
        return $this->belongsTo(Study::class);
    }

    public function target(): Lab
    {
        return new Lab($this->target_l, $this->target_a, $this->target_b);
    }
}
