<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\BenchCamera;

use KnottyPrism\Core\Colour\Srgb;

/** Something flat on a table for the bench camera to photograph: dots as sRGB, three bytes each, row after row. */
final class Flat
{
    /** Dots to the millimetre. */
    public const FINE = 4;

    public readonly int $width;

    public readonly int $height;

    public string $dots;

    /** @param  float  $acrossMm  its width in millimetres; so its height */
    public function __construct(public readonly float $acrossMm, public readonly float $downMm)
    {
        $this->width = (int) round($acrossMm * self::FINE);
        $this->height = (int) round($downMm * self::FINE);
        $this->dots = str_repeat("\0", 3 * $this->width * $this->height);
    }

    /** @param  array{float, float, float}  $linear */
    public function dot(int $at, array $linear): void
    {
        $this->dots[3 * $at] = self::byte($linear[0]);
        $this->dots[3 * $at + 1] = self::byte($linear[1]);
        $this->dots[3 * $at + 2] = self::byte($linear[2]);
    }

    /** A byte of linear light as sRGB. */
    private static function byte(float $linear): string
    {
        static $table = null;
        $table ??= array_map(static fn (int $i): string => chr((int) round(255 * Srgb::encode($i / 4095))), range(0, 4095));

        return $table[(int) (4095 * ($linear < 0 ? 0.0 : ($linear > 1 ? 1.0 : $linear)))];
    }
}
