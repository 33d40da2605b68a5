<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * How much of a pencil was used up at one time.
 *
 * @property int $id
 * @property int $pencil_id
 * @property ?int $study_id
 * @property float $millimetres
 */
final class PencilUse extends Model
{
    protected $fillable = ['study_id', 'millimetres'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['millimetres' => 'float'];
    }
}
