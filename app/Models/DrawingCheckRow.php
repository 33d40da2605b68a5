<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What a photo of a half-done drawing said.
 *
 * @property int $id
 * @property int $study_id
 * @property int $passes laid of every zone when it was taken
 * @property array<string, mixed> $said
 * @property string $photo JPEG as base64, small
 * @property string $map PNG as base64, a pixel a place of the plan
 * @property Carbon $created_at
 * @property Study $study
 */
final class DrawingCheckRow extends Model
{
    protected $table = 'drawing_checks';

    protected $fillable = ['study_id', 'passes', 'said', 'photo', 'map'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['said' => 'array'];
    }

    /** @return BelongsTo<Study, $this> */
    public function study(): BelongsTo
    {
        return $this->belongsTo(Study::class);
    }
}
