<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use KnottyPrism\Core\Desk\Progress\Tick;
use KnottyPrism\Core\Desk\Progress\TickKind;
use KnottyPrism\Core\Picture\Decisions\PassNote;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;

/**
 * A tick of the desk.
 *
 * @property int $id
 * @property int $study_id
 * @property TickKind $kind
 * @property int $zone
 * @property array{tool: string, pressures: array<string, string>} $pass
 * @property list<array{tool: string, pressures: array<string, string>}>|null $rest
 * @property string $plan
 * @property float $minutes reckoned for an ordinary pace
 * @property int $made_at by the device, seconds since 1970
 * @property bool $taken_back
 * @property ?float $film what it left on the paper, film units · mm²
 * @property string $zone_name what its zone was called
 * @property bool $continues a further coat, ticked with the one before it
 * @property ?string $note of the session that begins with it
 */
final class TickRow extends Model
{
    protected $table = 'ticks';

    protected $fillable = [
        'study_id',
        'kind',
        'zone',
        'pass',
        'rest',
        'plan',
        'minutes',
        'made_at',
        'taken_back',
        'film',
        'zone_name',
        'note',
        'continues',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'kind' => TickKind::class,
            'pass' => 'array',
            'rest' => 'array',
            'minutes' => 'float',
            'film' => 'float',
            'made_at' => 'integer',
            'taken_back' => 'boolean',
            'continues' => 'boolean',
        ];
    }

    public function tick(): Tick
    {
        return new Tick(
            $this->kind,
            $this->zone,
            PassNote::ofArray($this->pass),
            $this->made_at,
            $this->rest === null ? null : SequenceNote::ofArray($this->rest),
            $this->plan,
        );
    }
}
