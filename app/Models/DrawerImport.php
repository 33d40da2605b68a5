<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A drawer file on its way in: looked at, then taken in.
 *
 * @property int $id
 * @property int $user_id
 * @property string $state
 * @property int $done
 * @property int $total
 * @property string $text
 * @property ?array<string, string> $choices
 */
final class DrawerImport extends Model
{
    public const PREVIEW = 'preview';

    public const WAITING = 'waiting';

    public const WORKING = 'working';

    public const DONE = 'done';

    public const CANCELLED = 'cancelled';

    public const FAILED = 'failed';

    protected $fillable = ['user_id', 'state', 'done', 'total', 'text', 'choices'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['choices' => 'array'];
    }
}
