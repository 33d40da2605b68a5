<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Drawer\Reach;

use KnottyPrism\Core\Colour\Lab;

/**
 * How far colours reach from the grey axis: the largest chroma in each band of lightness and each sector of hue. What lies nearer to
 * the axis is reached by greying, so the solid out to there counts as reached; its volume is in cubic CIELAB units.
 */
final class Reach
{
    private const BANDS = 20;

    private const SECTORS = 36;

    /** @var array<int, float> largest C* by band and sector; absent when no colour was seen */
    private array $chroma = [];

    public function add(Lab $lab): void
    {
        $cell = self::cellOf($lab);
        $chroma = $lab->chroma();
        if ($chroma > ($this->chroma[$cell] ?? -1.0)) {
            $this->chroma[$cell] = $chroma;
        }
    }

    public function volume(): float
    {
        return array_sum(array_map(self::wedge(...), $this->chroma));
    }

    /** @return list<float> the largest C* of each sector, whatever its lightness, from hue 0° on: what is reached, seen from above */
    public function outline(): array
    {
        $of = fn (int $sector): float => max(
            array_map(fn (int $band): float => $this->chroma[$band * self::SECTORS + $sector] ?? 0.0, range(0, self::BANDS - 1)),
        );

        return array_map($of, range(0, self::SECTORS - 1));
    }

    /** With another's colours added, this one being left as it is. */
    public function with(self $other): self
    {
        $both = clone $this;
        foreach ($other->chroma as $cell => $chroma) {
            $both->chroma[$cell] = max($chroma, $both->chroma[$cell] ?? 0.0);
        }

        return $both;
    }

    public static function cellOf(Lab $lab): int
    {
        $band = max(0, min(self::BANDS - 1, (int) ($lab->l / 100 * self::BANDS)));

        return $band * self::SECTORS + (int) ($lab->hueDegrees() / 360 * self::SECTORS) % self::SECTORS;
    }

    /** Volume of one wedge: half the square of its length, times its angle, times the height of its band. */
    private static function wedge(float $chroma): float
    {
        return 0.5 * $chroma ** 2 * (2 * M_PI / self::SECTORS) * (100 / self::BANDS);
    }
}
