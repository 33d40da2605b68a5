<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One of a study's photos; its pixels are in the store under its key.
 *
 * @property int $id
 * @property int $study_id
 * @property string $storage_key
 * @property string $name
 * @property int $width of the working copy, pixels
 * @property int $height
 * @property list<string> $roles
 * @property int $bytes of the file as it came, and of all that is made of it
 * @property Study $study
 */
final class Photo extends Model
{
    /** What a photo may be looked at for. */
    public const ROLES = ['colour', 'pose', 'detail', 'light'];

    protected $fillable = ['storage_key', 'name', 'width', 'height', 'roles', 'bytes'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['roles' => 'array'];
    }

    /** @return BelongsTo<Study, $this> */
    public function study(): BelongsTo
    {
        return $this->belongsTo(Study::class);
    }
}
