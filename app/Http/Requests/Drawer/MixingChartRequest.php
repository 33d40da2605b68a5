<?php

declare(strict_types=1);

namespace App\Http\Requests\Drawer;

use App\Http\Requests\OnPaper;
use App\Http\Requests\ToPrint;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Medium\Laying\Pressure;

/** Some pencils, each laid over each, and with what pressure. */
final class MixingChartRequest extends FormRequest
{
    use NamesPencil, OnPaper, ToPrint;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $pressure = ['sometimes', Rule::enum(Pressure::class)];

        return [
            'ids' => ['required', 'array', 'max:40'],
            'ids.*' => self::ID,
            'beneath' => $pressure,
            'above' => $pressure,
            ...self::paperRules(),
            ...self::sizeRules(),
        ];
    }

    /** @return list<string> */
    public function pencils(): array
    {
        /** @var array<string> $ids */
        $ids = $this->input('ids');

        return array_values($ids);
    }

    public function beneath(): Pressure
    {
        return $this->enum('beneath', Pressure::class) ?? Pressure::Medium;
    }

    public function above(): Pressure
    {
        return $this->enum('above', Pressure::class) ?? Pressure::Medium;
    }
}
