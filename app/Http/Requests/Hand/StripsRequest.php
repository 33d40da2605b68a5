<?php

declare(strict_types=1);

namespace App\Http\Requests\Hand;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Formats\StackText;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use KnottyPrism\Core\Medium\Strips\Ladder;
use KnottyPrism\Core\Medium\Strips\LearnHand;
use KnottyPrism\Core\Medium\Strips\Strip;

/** What came of strips, each as the dab of its ladder that it is most like, or as a colour: of a photo, or as a meter says it. */
final class StripsRequest extends FormRequest
{
    use OnPaperInHand;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'strips' => ['required', 'array', 'min:1', 'max:'.LearnHand::MOST_STRIPS],
            'strips.*.stack' => ['required', 'string', 'max:2000'],
            'strips.*.rung' => ['required_without_all:strips.*.hex,strips.*.lab', 'integer', Rule::in(array_keys(Ladder::PRESSURES))],
            'strips.*.hex' => ['sometimes', 'string', 'regex:/^#[0-9a-f]{6}$/Di'],
            'strips.*.lab' => ['sometimes', 'array:0,1,2', 'size:3'],
            'strips.*.lab.0' => ['numeric', 'between:0,100'],
            'strips.*.lab.1' => ['numeric', 'between:-128,128'],
            'strips.*.lab.2' => ['numeric', 'between:-128,128'],
            ...$this->handRules(),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'strips.required' => 'Enter the result of at least one strip.',
            'strips.*.hex.regex' => 'A colour is written like #a1b2c3.',
            'strips.*.lab.*' => 'A measured colour is L* from 0 to 100, a* and b* from -128 to 128.',
        ];
    }

    /** @return non-empty-list<Strip> */
    public function strips(Drawer $shelf): array
    {
        $strips = [];
        /**
         * @var list<array{stack: string, rung?: int|string, hex?: string, lab?: array{float|int|string, float|int|string,
         * float|int|string}}> $said
         */
        $said = $this->validated('strips');
        foreach ($said as $strip) {
            $stack = StackText::read($strip['stack'], $shelf);
            $found = match (true) {
                isset($strip['lab']) => new Lab((float) $strip['lab'][0], (float) $strip['lab'][1], (float) $strip['lab'][2]),
                isset($strip['hex']) => Lab::ofXyz(Srgb::ofHex($strip['hex'])->xyz()),
                default => Lab::ofXyz(Ladder::of($stack, PaperShelf::named($this->paper()))[(int) ($strip['rung'] ?? 0)]->sheet->xyz()),
            };
            $strips[] = new Strip($stack, $found);
        }

        return $strips === [] ? throw new \LogicException('validated above') : $strips;
    }
}
