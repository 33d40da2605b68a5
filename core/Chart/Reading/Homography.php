<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Reading;

use KnottyPrism\Core\Colour\Equations\LinearSystem;

/**
 * A view of a plane: where a place of the sheet, in millimetres, lies in the photo, in pixels. R. Hartley, A. Zisserman (2004), section
 * 4.1.
 */
final readonly class Homography
{
    /** @param  list<float>  $h  nine, row after row */
    private function __construct(private array $h)
    {
    }

    /**
     * @param  list<array{float, float}>  $from  four places, no three in a row
     * @param  list<array{float, float}>  $to
     */
    public static function between(array $from, array $to): self
    {
        $rows = $right = [];
        foreach ($from as $i => [$x, $y]) {
            [$u, $v] = $to[$i];
            $rows[] = [$x, $y, 1.0, 0.0, 0.0, 0.0, -$u * $x, -$u * $y];
            $rows[] = [0.0, 0.0, 0.0, $x, $y, 1.0, -$v * $x, -$v * $y];
            array_push($right, $u, $v);
        }

        return new self([...LinearSystem::solved($rows, $right), 1.0]);
    }

    /** @return array{float, float} */
    public function to(float $x, float $y): array
    {
        $h = $this->h;
        // On the horizon of a view that nobody has: far away, not an error.
        $w = $h[6] * $x + $h[7] * $y + $h[8] ?: 1e-12;

        return [($h[0] * $x + $h[1] * $y + $h[2]) / $w, ($h[3] * $x + $h[4] * $y + $h[5]) / $w];
    }
}
