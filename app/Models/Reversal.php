<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What a change of rows found there before, so that it can be taken back.
 *
 * @property int $id
 * @property int $user_id
 * @property ?int $study_id of the recipes kept there; null for the drawer
 * @property string $words what was changed
 * @property string $before compressed; see {@see \App\History\Reversals}
 */
final class Reversal extends Model
{
    protected $fillable = ['user_id', 'study_id', 'words', 'before'];
}
