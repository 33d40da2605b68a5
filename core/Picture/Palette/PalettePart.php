<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Palette;

/** The pencils chosen for a whole picture, what every number of them would cost, and which zones suffer from having so few. */
final readonly class PalettePart
{
    /**
     * @param  list<string>  $hand  identifiers of the pencils that recipes may take
     * @param  list<string>  $base  of those that most of the picture is made of; a recipe takes others only where they help
     * @param  array<int, float>  $curve  mean ΔE00 by the number of pencils, by forecast
     * @param  array<int, float>  $suffering  ΔE00 by which a zone's colours are farther off than with the whole drawer, by zone number
     */
    public function __construct(public array $hand, public array $base, public array $curve, public array $suffering)
    {
    }

    /** @return array<string, mixed> for JSON */
    public function toArray(): array
    {
        return ['hand' => $this->hand, 'base' => $this->base, 'curve' => (object) $this->curve, 'suffering' => (object) $this->suffering];
    }

    /** @param  array{hand: list<string>, base: list<string>, curve: array<int, float>, suffering: array<int, float>}  $data */
    public static function ofArray(array $data): self
    {
        return new self($data['hand'], $data['base'], $data['curve'], $data['suffering']);
    }
}
