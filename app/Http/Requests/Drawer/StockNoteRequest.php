<?php

declare(strict_types=1);

namespace App\Http\Requests\Drawer;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Drawer\Stock\Stock;

/** What is noted of a pencil's stock: only what the request names is changed. */
final class StockNoteRequest extends FormRequest
{
    use NamesPencil;

    private const NOTED = ['stock', 'lengthLeft', 'discontinued', 'formerly', 'notes'];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => self::ID,
            'stock' => ['sometimes', Rule::enum(Stock::class)],
            'lengthLeft' => ['sometimes', 'nullable', 'numeric'],
            'discontinued' => ['sometimes', 'boolean'],
            'formerly' => ['sometimes', 'array', 'max:20'],
            'formerly.*' => ['string', 'max:120'],
            'notes' => ['sometimes', 'nullable', 'string', 'max:2000'],
        ];
    }

    /** @return array{stock?: string, lengthLeft?: ?float, discontinued?: bool, formerly?: list<string>, notes?: ?string} */
    public function change(): array
    {
        /** @var array<string, mixed> $validated */
        $validated = $this->validated();
        $change = array_intersect_key($validated, array_flip(self::NOTED));
        if (isset($change['lengthLeft'])) {
            $change['lengthLeft'] = $this->float('lengthLeft');
        }
        if (isset($change['discontinued'])) {
            $change['discontinued'] = $this->boolean('discontinued');
        }

        /** @var array{stock?: string, lengthLeft?: ?float, discontinued?: bool, formerly?: list<string>, notes?: ?string} $change */
        return $change;
    }
}
