<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Sheet;

/**
 * What is printed on a chart sheet for the camera: a ring in every corner, that at the top left with a dot in it, and between the upper
 * two a row of squares, black or left out, that names the page and the sheet. All in millimetres.
 */
final class SheetMarkers
{
    public const RING = 5.5;

    public const HOLE = 3.0;

    public const DOT = 1.4;

    /** Of a ring's centre from the edges of the sheet. */
    public const INSET = 12.0;

    public const SQUARE = 4.0;

    public const FIRST_SQUARE = 24.0;

    public const PITCH = 6.0;

    public const PAGE_BITS = 3;

    public const SHEET_BITS = 10;

    /**
     * @return array{array{float, float}, array{float, float}, array{float, float}, array{float, float}} centres, from the top left
     *   clockwise
     */
    public static function centres(float $width, float $height): array
    {
        $far = self::INSET;

        return [[$far, $far], [$width - $far, $far], [$width - $far, $height - $far], [$far, $height - $far]];
    }

    /** @return list<array{float, float}> centres of the squares */
    public static function squares(): array
    {
        return array_map(
            static fn (int $i): array => [self::FIRST_SQUARE + $i * self::PITCH, self::INSET],
            range(0, self::PAGE_BITS + self::SHEET_BITS),
        );
    }

    /**
     * Which squares are black. The last makes their number odd, so that one misread is noticed and one at least is always black.
     *
     * @return list<bool>
     */
    public static function bits(int $page, int $sheet): array
    {
        $bits = [];
        foreach ([[$page, self::PAGE_BITS], [$sheet, self::SHEET_BITS]] as [$number, $count]) {
            for ($i = $count - 1; $i >= 0; $i--) {
                $bits[] = (($number >> $i) & 1) === 1;
            }
        }

        return [...$bits, count(array_filter($bits)) % 2 === 0];
    }
}
