<?php

declare(strict_types=1);

namespace App\Http\Requests\Desk;

use App\Drawers\DrawerKeeper;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Desk\Progress\TickKind;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Photo\Zones\ShadeName;
use KnottyPrism\Core\Picture\Decisions\PassNote;

/** A tick of the desk: which pass of which zone was laid, left out, or done otherwise, and when. */
final class TickRequest extends FormRequest
{
    /** What a device's clock may be ahead, seconds. */
    private const AHEAD = 86400;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::enum(TickKind::class)],
            'zone' => ['required', 'integer', 'min:1', 'max:255'],
            'position' => ['required', 'integer', 'min:0', 'max:999'],
            'tool' => ['required', 'string', 'max:120'],
            'pressures' => ['required', 'array', 'min:1', 'max:'.count(ShadeName::values())],
            'pressures.*' => [Rule::enum(Pressure::class)],
            'coats' => ['sometimes', 'integer', 'min:1', 'max:9'],
            'at' => ['required', 'integer', 'min:0', 'max:'.(time() + self::AHEAD)],
        ];
    }

    /** @return list<\Closure> */
    public function after(DrawerKeeper $drawers): array
    {
        return [function ($validator) use ($drawers): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            if (array_diff(array_keys((array) $this->input('pressures')), ShadeName::values()) !== []) {
                $validator->errors()->add('pressures', 'Pressures are by the zone\'s colours: '.implode(', ', ShadeName::values()).'.');
            }
            $tool = (string) $this->string('tool');
            $user = $this->user();
            $known = $user instanceof User ? array_map(static fn ($p): string => $p->id(), $drawers->shelfOf($user)->pencils) : [];
            if (Finish::tryFrom($tool) === null && ! in_array($tool, $known, true)) {
                $validator->errors()->add('tool', 'This pencil is not in your drawer; add it in “Drawer”, or choose another.');
            }
        }];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'pressures.*' => 'Choose a pressure for at least one shade of the zone.',
            'at.*' => 'The clock of this device is wrong; set it and try again.',
        ];
    }

    public function tickKind(): TickKind
    {
        return TickKind::from((string) $this->string('kind'));
    }

    public function pass(): PassNote
    {
        /** @var array<string, string> $pressures */
        $pressures = $this->validated('pressures');

        return new PassNote((string) $this->string('tool'), array_map(Pressure::from(...), $pressures));
    }
}
