<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use KnottyPrism\Core\Medium\Binder;
use KnottyPrism\Core\Medium\Opacity;
use KnottyPrism\Core\Medium\Pencil;
use KnottyPrism\Core\Medium\PencilRecord;

/**
 * A pencil of someone's drawer as stored: what was recorded, and what the fit found, so that it is fitted once.
 *
 * @property int $id
 * @property string $line
 * @property string $number
 * @property string $name
 * @property ?string $binder
 * @property string $heavy
 * @property ?string $light
 * @property ?string $over_black
 * @property ?string $opacity
 * @property ?float $laydown
 * @property ?string $lightfast
 * @property bool $owned
 * @property array{absorption: list<float>, scattering: float, laydown: float, slickness: float, assumed: list<string>} $fit
 */
final class PencilRow extends Model
{
    protected $table = 'pencils';

    protected $fillable = ['line', 'number', 'name', 'binder', 'heavy', 'light', 'over_black', 'opacity', 'laydown', 'lightfast', 'owned', 'fit'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['fit' => 'array', 'owned' => 'boolean', 'laydown' => 'float'];
    }

    public function toPencil(): Pencil
    {
        $record = new PencilRecord(
            $this->line, $this->number, $this->name, $this->heavy,
            $this->binder === null ? null : Binder::from($this->binder),
            $this->light, $this->over_black,
            $this->opacity === null ? null : Opacity::from($this->opacity),
            $this->laydown, $this->lightfast, $this->owned,
        );

        return new Pencil($record, $this->fit['absorption'], $this->fit['scattering'], $this->fit['laydown'], $this->fit['slickness'], $this->fit['assumed']);
    }

    /** @return array<string, mixed> the columns for a fitted pencil */
    public static function columnsOf(Pencil $pencil): array
    {
        $r = $pencil->record;

        return [
            'line' => $r->line, 'number' => $r->number, 'name' => $r->name, 'binder' => $r->binder?->value,
            'heavy' => $r->heavy, 'light' => $r->light, 'over_black' => $r->overBlack, 'opacity' => $r->opacity?->value,
            'laydown' => $r->laydown, 'lightfast' => $r->lightfast, 'owned' => $r->owned,
            'fit' => ['absorption' => $pencil->absorption, 'scattering' => $pencil->scattering, 'laydown' => $pencil->laydown, 'slickness' => $pencil->slickness, 'assumed' => $pencil->assumed],
        ];
    }
}
