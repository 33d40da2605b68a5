<?php

declare(strict_types=1);

namespace App\Http\Requests\Photo;

use App\Drawers\DrawerKeeper;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Formats\StackText;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;

/** A recipe chosen for a spot. The stack is read by the core against the account's pencils, so nothing foreign is stored. */
final class KeptRecipeRequest extends FormRequest
{
    use PointsAtPhoto;

    public const NAME = ['required', 'string', 'max:120'];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => self::NAME,
            'label' => ['required', Rule::enum(RecipeLabel::class)],
            'stack' => ['required', 'string', 'max:2000'],
            ...$this->spotRules(),
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
}
