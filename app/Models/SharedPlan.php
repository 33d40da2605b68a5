<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A link by which one plan is shown to whoever has it. Withdrawn, it is gone.
 *
 * @property int $id
 * @property int $study_id
 * @property string $token
 * @property ?int $wanted_photo_id the photo that the colours should follow, as somebody who looked on has said
 * @property string $note
 * @property ?int $noted_at seconds since 1970
 * @property Study $study
 */
final class SharedPlan extends Model
{
    protected $fillable = ['study_id', 'token', 'wanted_photo_id', 'note', 'noted_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['noted_at' => 'integer', 'wanted_photo_id' => 'integer'];
    }

    /** @return BelongsTo<Study, $this> */
    public function study(): BelongsTo
    {
        return $this->belongsTo(Study::class);
    }
}
