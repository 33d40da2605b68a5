<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\PencilRowFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Drawer\Stock\Stock;
use KnottyPrism\Core\Drawer\Stock\StockNote;
use KnottyPrism\Core\Medium\Pencil\Binder;
use KnottyPrism\Core\Medium\Pencil\Opacity;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;
use KnottyPrism\Core\Medium\Swatches\PencilFit;

/**
 * A pencil of someone's drawer as stored: what was recorded, its stock, and what the fit found, so that it is fitted once.
 *
 * @property int $id
 * @property int $user_id
 * @property string $line
 * @property string $number
 * @property string $name
 * @property ?Binder $binder
 * @property string $heavy
 * @property ?string $light
 * @property ?string $over_black
 * @property ?Opacity $opacity
 * @property ?float $laydown
 * @property ?string $lightfast
 * @property bool $owned follows from the stock
 * @property Stock $stock
 * @property ?float $length_left millimetres
 * @property ?int $length_noted_at seconds since 1970
 * @property bool $discontinued
 * @property ?list<string> $formerly
 * @property ?string $notes
 * @property array{absorption: list<float>, scattering: float, laydown: float, slickness: float, assumed: list<string>}|null $fit null until
 *   it was fitted
 */
final class PencilRow extends Model
{
    /** @use HasFactory<PencilRowFactory> */
    use HasFactory;

    /** Columns that the fit follows from. */
    public const MEASURED = ['binder', 'heavy', 'light', 'over_black', 'opacity', 'laydown'];

    /** Columns of its record and its stock: all but what was worked out. */
    public const RECORD = [
        ...self::MEASURED, 'line', 'number', 'name', 'lightfast', 'stock', 'length_left', 'discontinued', 'formerly', 'notes',
    ];

    protected $table = 'pencils';

    protected $fillable = [...self::RECORD, 'length_noted_at', 'fit'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'binder' => Binder::class,
            'opacity' => Opacity::class,
            'stock' => Stock::class,
            'fit' => 'array',
            'owned' => 'boolean',
            'laydown' => 'float',
            'length_left' => 'float',
            'length_noted_at' => 'integer',
            'discontinued' => 'boolean',
            'formerly' => 'array',
        ];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<PencilUse, $this> */
    public function uses(): HasMany
    {
        return $this->hasMany(PencilUse::class, 'pencil_id');
    }

    public function identifier(): string
    {
        return $this->record()->id();
    }

    public function toPencil(): Pencil
    {
        return $this->fit === null
            ? PencilFit::of($this->record())
            : new Pencil(
                $this->record(),
                $this->fit['absorption'],
                $this->fit['scattering'],
                $this->fit['laydown'],
                $this->fit['slickness'],
                $this->fit['assumed'],
            );
    }

    public function record(): PencilRecord
    {
        return new PencilRecord(
            $this->line,
            $this->number,
            $this->name,
            $this->heavy,
            $this->binder,
            $this->light,
            $this->over_black,
            $this->opacity,
            $this->laydown,
            $this->lightfast,
            $this->stockNote()->state->isOwned(),
        );
    }

    public function stockNote(): StockNote
    {
        return new StockNote($this->stock, $this->length_left, $this->discontinued, $this->formerly ?? [], $this->notes ?? '');
    }

    public function shelfRow(): ShelfRow
    {
        return new ShelfRow($this->record(), $this->stockNote());
    }

    /** @return array<string, mixed> the columns for a fitted pencil */
    public static function columnsOf(Pencil $pencil): array
    {
        return [...self::columnsOfRow(ShelfRow::of($pencil->record)), 'fit' => self::fitOf($pencil)];
    }

    /** @return array<string, mixed> the columns of a row, not fitted yet */
    public static function columnsOfRow(ShelfRow $row): array
    {
        $r = $row->record;

        return [
            'line' => $r->line,
            'number' => $r->number,
            'name' => $r->name,
            'binder' => $r->binder?->value,
            'heavy' => $r->heavy,
            'light' => $r->light,
            'over_black' => $r->overBlack,
            'opacity' => $r->opacity?->value,
            'laydown' => $r->laydown,
            'lightfast' => $r->lightfast,
            ...self::columnsOfStock($row->stock),
        ];
    }

    /** @return array<string, mixed> */
    public static function columnsOfStock(StockNote $stock): array
    {
        return [
            'stock' => $stock->state->value,
            'length_left' => $stock->lengthLeft,
            'discontinued' => $stock->discontinued,
            'formerly' => $stock->formerly,
            'notes' => $stock->notes,
        ];
    }

    /** @return array<string, mixed> */
    public static function fitOf(Pencil $pencil): array
    {
        return [
            'absorption' => $pencil->absorption,
            'scattering' => $pencil->scattering,
            'laydown' => $pencil->laydown,
            'slickness' => $pencil->slickness,
            'assumed' => $pencil->assumed,
        ];
    }
}
