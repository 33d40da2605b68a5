<?php

declare(strict_types=1);

namespace App\Http\Requests\Desk;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Desk\Order\WorkingHabits;
use KnottyPrism\Core\Desk\Order\WorkOrder;

/** How an artist likes to work on a study. */
final class HabitsRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'workOrder' => ['sometimes', Rule::enum(WorkOrder::class)],
            'hand' => ['sometimes', Rule::in(['right', 'left'])],
            'session' => ['sometimes', 'integer', 'min:'.WorkingHabits::SHORTEST_SESSION, 'max:'.WorkingHabits::LONGEST_SESSION],
            'thin' => ['sometimes', 'integer', 'min:0', 'max:'.WorkingHabits::LONGEST_DRYING],
            'wet' => ['sometimes', 'integer', 'min:0', 'max:'.WorkingHabits::LONGEST_DRYING],
            'breaks' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'session.*' => 'A session is 10 to 480 minutes.',
            'thin.*' => 'Drying time is 0 to 240 minutes.',
            'wet.*' => 'Drying time is 0 to 240 minutes.',
        ];
    }

    /** @return array<string, int|string|bool> */
    public function changed(): array
    {
        $changed = [];
        foreach (['workOrder', 'hand'] as $word) {
            if ($this->has($word)) {
                $changed[$word] = (string) $this->string($word);
            }
        }
        foreach (['session', 'thin', 'wet'] as $minutes) {
            if ($this->has($minutes)) {
                $changed[$minutes] = $this->integer($minutes);
            }
        }

        return $this->has('breaks') ? [...$changed, 'breaks' => $this->boolean('breaks')] : $changed;
    }
}
