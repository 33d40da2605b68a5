<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What a change of the drawer found there before, so that it can be undone.
 *
 * @property int $id
 * @property int $user_id
 * @property string $words what was changed
 * @property string $before compressed
 */
final class DrawerChange extends Model
{
    protected $fillable = ['user_id', 'words', 'before'];
}
