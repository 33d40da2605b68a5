<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Decisions;

use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Medium\Paper\PencilGrain;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Method\Mode;

/** How a study's picture is to be planned: the method, in the whole and where a zone differs, the pencils, and other hues. */
final readonly class PlanSettings
{
    /** Zone number that stands for the whole picture. */
    public const WHOLE = 0;

    public const MOST_PENCILS = 60;

    /**
     * @param  array<int, list<string>>  $methods  settings that differ from free, by zone; {@see self::WHOLE} for all that say nothing
     * @param  ?int  $pencils  at most so many for the whole picture; null for all
     * @param  list<string>  $keep  identifiers of pencils that the palette must hold
     * @param  list<string>  $without  and of those that it must not
     * @param  array<int, string>  $hues  {@see Recolour::CHOICES}, by zone or for the whole
     * @param  array<int, int>  $strokes which way they run, by zone, see {@see PencilGrain::DIRECTIONS}; along the form where nothing is
     *   said
     *
     * @throws OutOfRange
     */
    public function __construct(
        public array $methods = [],
        public Mode $mode = Mode::ColourAndValue,
        public ?int $pencils = null,
        public array $keep = [],
        public array $without = [],
        public array $hues = [],
        public array $strokes = [],
    ) {
        if ($pencils !== null) {
            OutOfRange::check('the number of pencils', $pencils, 1, self::MOST_PENCILS);
        }
        foreach ($strokes as $direction) {
            OutOfRange::check('the direction of strokes', $direction, 0, PencilGrain::CIRCLES);
        }
        array_map(Method::ofSettings(...), $methods);
        array_map(static fn (string $hue): Recolour => new Recolour($hue), $hues);
    }

    public function methodOf(int $zone): Method
    {
        return Method::ofSettings($this->methods[$zone] ?? ($this->methods[self::WHOLE] ?? []));
    }

    public function recolourOf(int $zone): Recolour
    {
        return new Recolour($this->hues[$zone] ?? ($this->hues[self::WHOLE] ?? 'as seen'));
    }

    /** How many pencils the palette may hold: what is said here, or what the method says. */
    public function mostPencils(): ?int
    {
        return $this->pencils ?? $this->methodOf(self::WHOLE)->mostPencils();
    }

    /** @return array<string, mixed> for JSON */
    public function toArray(): array
    {
        return [
            'methods' => (object) $this->methods,
            'mode' => $this->mode->value,
            'pencils' => $this->pencils,
            'keep' => $this->keep,
            'without' => $this->without,
            'hues' => (object) $this->hues,
            'strokes' => (object) $this->strokes,
        ];
    }

    /**
     * @param array{methods: array<int, list<string>>, mode: string, pencils: ?int, keep: list<string>, without: list<string>,
     *   hues: array<int, string>, strokes?: array<int, int>} $data
     */
    public static function ofArray(array $data): self
    {
        return new self(
            $data['methods'],
            Mode::from($data['mode']),
            $data['pencils'],
            $data['keep'],
            $data['without'],
            $data['hues'],
            $data['strokes'] ?? [],
        );
    }
}
