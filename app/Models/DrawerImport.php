<?php

declare(strict_types=1);

namespace App\Models;

use App\Work\Standing;
use Illuminate\Database\Eloquent\Model;

/**
 * A drawer file on its way in: looked at, then taken in.
 *
 * @property int $id
 * @property int $user_id
 * @property Standing $state
 * @property int $done
 * @property int $total
 * @property string $text
 * @property ?array<string, string> $choices
 */
final class DrawerImport extends Model
{
    protected $fillable = ['user_id', 'state', 'done', 'total', 'text', 'choices'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['choices' => 'array', 'state' => Standing::class];
    }
}
