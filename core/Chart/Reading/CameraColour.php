<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Reading;

use KnottyPrism\Core\Chart\Sheet\ChartBox;
use KnottyPrism\Core\Colour\Equations\Matrix3;
use KnottyPrism\Core\Colour\SrgbMatrix;
use KnottyPrism\Core\Colour\Xyz;
use KnottyPrism\Core\Medium\Pencil\Pencil;

/** How a camera sees colours, from pencils on the sheet whose colours are known: a matrix for linear light, held to none by ridge. */
final readonly class CameraColour
{
    /** Boxes of known colour below which nothing is corrected. */
    private const LEAST = 6;

    /** Boxes that the belief in an honest camera weighs as much as. */
    private const RIDGE = 0.15;

    /** @param  list<array{float, float, float}>  $matrix */
    private function __construct(private array $matrix)
    {
    }

    /**
     * @param  list<array{ChartBox, array{float, float, float}}>  $measured  linear light
     * @param  array<string, Pencil>  $known  by identifier
     */
    public static function by(array $measured, array $known): self
    {
        $pairs = [];
        foreach ($measured as [$box, $seen]) {
            $swatch = $box->kind->swatch();
            if (isset($known[$box->pencil]) && $swatch !== null) {
                $xyz = Xyz::ofReflectance($swatch->lay($known[$box->pencil])->meanReflectance());
                $pairs[] = [$seen, SrgbMatrix::linearOfXyz($xyz->x, $xyz->y, $xyz->z)];
            }
        }
        $identity = [[1.0, 0.0, 0.0], [0.0, 1.0, 0.0], [0.0, 0.0, 1.0]];

        return new self(
            count($pairs) < self::LEAST
                ? $identity
                : array_map(static fn (int $c): array => self::row($pairs, $c, $identity[$c]), [0, 1, 2]),
        );
    }

    /**
     * @param  array{float, float, float}  $seen
     * @return array{float, float, float}
     */
    public function corrected(array $seen): array
    {
        [$r, $g, $b] = Matrix3::times($this->matrix, ...$seen);

        return [max(0.0, $r), max(0.0, $g), max(0.0, $b)];
    }

    /**
     * Weighted least squares with a ridge toward the identity: an error counts by how much of the colour it is.
     *
     * @param  list<array{array{float, float, float}, array{float, float, float}}>  $pairs  seen and true
     * @param  array{float, float, float}  $belief
     * @return array{float, float, float}
     */
    private static function row(array $pairs, int $c, array $belief): array
    {
        $a = [[self::RIDGE, 0.0, 0.0], [0.0, self::RIDGE, 0.0], [0.0, 0.0, self::RIDGE]];
        $b = [0.0, 0.0, 0.0];
        foreach ($pairs as [$seen, $true]) {
            $weight = 1 / (0.05 + $true[$c]) ** 2 / count($pairs);
            $off = $true[$c] - $seen[$c];
            for ($i = 0; $i < 3; $i++) {
                $b[$i] += $weight * $seen[$i] * $off;
                for ($j = 0; $j < 3; $j++) {
                    $a[$i][$j] += $weight * $seen[$i] * $seen[$j];
                }
            }
        }
        $by = Matrix3::times(Matrix3::inverse($a), $b[0], $b[1], $b[2]);

        return [$belief[0] + $by[0], $belief[1] + $by[1], $belief[2] + $by[2]];
    }
}
