<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Reading;

use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Error\OutOfRange;

/** A photograph as sRGB pixels, three bytes each, row after row. */
final readonly class Photograph
{
    /** A longer side adds nothing to the mean of a box, and costs seconds. */
    public const LONGEST = 1800;

    private const LEAST = 200;

    /** @throws OutOfRange when it is too small to show a sheet, or the bytes do not fill it */
    public function __construct(public int $width, public int $height, public string $pixels)
    {
        OutOfRange::check('the width of a photo in pixels', $width, self::LEAST, 20000);
        OutOfRange::check('the height of a photo in pixels', $height, self::LEAST, 20000);
        OutOfRange::check('the number of bytes in a photo', strlen($pixels), 3 * $width * $height, 3 * $width * $height);
    }

    /** @return array<int, float> linear light 0–1 of every byte */
    public static function decoded(): array
    {
        static $table = null;

        return $table ??= array_map(static fn (int $v): float => Srgb::decode($v / 255), range(0, 255));
    }

    /** @return array{float, float, float}|null linear light at a place, between pixels too; null outside */
    public function at(float $x, float $y): ?array
    {
        $left = (int) floor($x - 0.5);
        $top = (int) floor($y - 0.5);
        if ($left < 0 || $top < 0 || $left + 1 >= $this->width || $top + 1 >= $this->height) {
            return null;
        }
        $table = self::decoded();
        [$u, $v] = [$x - 0.5 - $left, $y - 0.5 - $top];
        $at = 3 * ($top * $this->width + $left);
        $row = 3 * $this->width;
        $seen = [];
        for ($c = 0; $c < 3; $c++, $at++) {
            $seen[] = (1 - $v) * ((1 - $u) * $table[ord($this->pixels[$at])] + $u * $table[ord($this->pixels[$at + 3])])
                + $v * ((1 - $u) * $table[ord($this->pixels[$at + $row])] + $u * $table[ord($this->pixels[$at + $row + 3])]);
        }

        return [$seen[0], $seen[1], $seen[2]];
    }
}
