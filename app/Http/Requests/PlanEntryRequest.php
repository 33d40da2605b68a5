<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Study;
use App\Models\User;
use App\Services\DrawerKeeper;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Formats\StackText;
use KnottyPrism\Core\Medium\Stack;
use KnottyPrism\Core\Planning\RecipeLabel;

/** A recipe chosen for a spot. The stack is read by the core against the account's pencils, so nothing foreign is stored. */
final class PlanEntryRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'label' => ['required', Rule::enum(RecipeLabel::class)],
            'stack' => ['required', 'string', 'max:2000'],
            'x' => ['required', 'integer', 'min:0'],
            'y' => ['required', 'integer', 'min:0'],
            'ring' => ['required', 'integer', 'min:0', 'max:'.SpotRequest::WIDEST_RING],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.required' => 'Give the spot a name, like "rope, lit side".'];
    }

    public function stack(User $user): Stack
    {
        return StackText::read((string) $this->string('stack'), app(DrawerKeeper::class)->shelfOf($user));
    }

    public function entryName(): string
    {
        return trim((string) $this->string('name'));
    }

    public function label(): string
    {
        return (string) $this->string('label');
    }

    /** @return array{x: int, y: int, ring: int} */
    public function spot(Study $study): array
    {
        return ['x' => min($study->photo_width - 1, $this->integer('x')), 'y' => min($study->photo_height - 1, $this->integer('y')), 'ring' => $this->integer('ring')];
    }
}
