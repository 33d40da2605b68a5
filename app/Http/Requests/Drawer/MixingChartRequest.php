<?php

declare(strict_types=1);

namespace App\Http\Requests\Drawer;

use App\Http\Requests\OnPaper;
use App\Http\Requests\ToPrint;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Medium\Laying\PressureMark;

/** Some pencils, each laid over each, and with what pressure. */
final class MixingChartRequest extends FormRequest
{
    use NamesPencil, OnPaper, ToPrint;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $pressure = ['sometimes', Rule::enum(PressureMark::class)];

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

    public function beneath(): PressureMark
    {
        return $this->enum('beneath', PressureMark::class) ?? PressureMark::Medium;
    }

    public function above(): PressureMark
    {
        return $this->enum('above', PressureMark::class) ?? PressureMark::Medium;
    }
}
