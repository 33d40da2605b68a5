<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use KnottyPrism\Core\Desk\Progress\DeskMark;
use KnottyPrism\Core\Desk\Progress\MarkKind;
use KnottyPrism\Core\Picture\Decisions\PassNote;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;

/**
 * A mark of the desk.
 *
 * @property int $id
 * @property int $study_id
 * @property MarkKind $kind
 * @property int $zone
 * @property array{tool: string, marks: array<string, string>} $pass
 * @property list<array{tool: string, marks: array<string, string>}>|null $rest
 * @property string $plan
 * @property float $minutes reckoned for an ordinary pace
 * @property int $made_at by the device, seconds since 1970
 * @property bool $taken_back
 * @property ?float $film what it left on the paper, film units · mm²
 * @property string $zone_name what its zone was called
 * @property bool $continues a further coat, marked with the one before it
 * @property ?string $note of the session that begins with it
 */
final class DeskMarkRow extends Model
{
    protected $table = 'desk_marks';

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
            'kind' => MarkKind::class,
            'pass' => 'array',
            'rest' => 'array',
            'minutes' => 'float',
            'film' => 'float',
            'made_at' => 'integer',
            'taken_back' => 'boolean',
            'continues' => 'boolean',
        ];
    }

    public function mark(): DeskMark
    {
        return new DeskMark(
            $this->kind,
            $this->zone,
            PassNote::ofArray($this->pass),
            $this->made_at,
            $this->rest === null ? null : SequenceNote::ofArray($this->rest),
            $this->plan,
        );
    }
}
