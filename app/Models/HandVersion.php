<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use KnottyPrism\Core\Formats\HandJson;
use KnottyPrism\Core\Medium\Hand\Hand;

/**
 * What strips have taught of an artist's hand on one paper, as it was known at one time.
 *
 * @property int $id
 * @property int $user_id
 * @property string $paper
 * @property int $number from 1, for each paper
 * @property bool $in_use
 * @property list<array{stack: string, lab: array{float, float, float}}> $strips all that it was learned from
 * @property array<string, mixed> $hand its figures
 * @property string $words
 * @property float $rms_before ΔE00 of the strips from what an even hand would have laid
 * @property float $rms_after
 * @property Carbon $created_at
 */
final class HandVersion extends Model
{
    protected $fillable = ['user_id', 'paper', 'number', 'in_use', 'strips', 'hand', 'words', 'rms_before', 'rms_after'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['in_use' => 'boolean', 'strips' => 'array', 'hand' => 'array', 'rms_before' => 'float', 'rms_after' => 'float'];
    }

    public function hand(): Hand
    {
        return HandJson::hand(json_encode(['hand' => $this->hand], JSON_THROW_ON_ERROR));
    }
}
