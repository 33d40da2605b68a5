<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Reading;

use KnottyPrism\Core\Colour\Cones;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Colour\SrgbMatrix;
use KnottyPrism\Core\Colour\Xyz;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Photo\Pixels\PixelWindow;

/**
 * Makes something that is known to be white or grey look so, and everything else with it: its cone responses are scaled until the
 * pointed-at colour is neutral, its luminance kept (the rule of von Kries in Bradford's cone space, as chromatic adaptation is
 * done in ICC profiles).
 */
final readonly class NeutralBalance
{
    /** A colour stronger than this, C*, is no white or grey in any ordinary light. */
    private const STRONGEST = 45.0;

    /** L* below which a colour's lean is mostly noise. */
    private const DARKEST = 15.0;

    /** @var list<float> of the 3 × 3 matrix from linear sRGB to linear sRGB, row after row */
    private array $matrix;

    /** @throws OutOfRange when nothing neutral can look like that */
    public function __construct(public Lab $pointedAt)
    {
        OutOfRange::check(
            'the strength (C*) of what is to be neutral; point at something white or grey',
            $pointedAt->chroma(),
            0,
            self::STRONGEST,
        );
        OutOfRange::check('the lightness (L*) of what is to be neutral; point at something lighter', $pointedAt->l, self::DARKEST, 100);
        $xyz = $pointedAt->xyz();
        $seen = Cones::ofXyz($xyz->x, $xyz->y, $xyz->z);
        $gains = array_map(static fn (float $cone): float => $xyz->y / max(1e-6, $cone), $seen);
        $columns = [];
        foreach ([[1.0, 0.0, 0.0], [0.0, 1.0, 0.0], [0.0, 0.0, 1.0]] as $primary) {
            $cones = Cones::ofXyz(...SrgbMatrix::xyzOfLinear(...$primary));
            $columns[] = SrgbMatrix::linearOfXyz(...Cones::toXyz($cones[0] * $gains[0], $cones[1] * $gains[1], $cones[2] * $gains[2]));
        }
        [$r, $g, $b] = $columns;
        $this->matrix = [$r[0], $g[0], $b[0], $r[1], $g[1], $b[1], $r[2], $g[2], $b[2]];
    }

    /** A colour as it would be in neutral light. */
    public function lab(Lab $lab): Lab
    {
        $xyz = $lab->xyz();
        [$r, $g, $b] = SrgbMatrix::linearOfXyz($xyz->x, $xyz->y, $xyz->z);
        $m = $this->matrix;

        return Lab::ofXyz(
            new Xyz(
                ...SrgbMatrix::xyzOfLinear(
                    $m[0] * $r + $m[1] * $g + $m[2] * $b,
                    $m[3] * $r + $m[4] * $g + $m[5] * $b,
                    $m[6] * $r + $m[7] * $g + $m[8] * $b,
                ),
            ),
        );
    }

    /** A whole picture; what leaves the screen's range is cut off. */
    public function applied(PixelWindow $picture): PixelWindow
    {
        [$rr, $rg, $rb, $gr, $gg, $gb, $br, $bg, $bb] = $this->matrix;
        $linear = array_map(static fn (int $v): float => Srgb::decode($v / 255), range(0, 255));
        // Fine enough that no byte is passed over in the darks, where encoding is steepest.
        $byte = array_map(static fn (int $i): string => chr((int) round(255 * Srgb::encode($i / 8191))), range(0, 8191));
        $bytes = $picture->bytes;
        $rows = [];
        $at = 0;
        for ($y = 0; $y < $picture->height; $y++) {
            $row = '';
            for ($x = 0; $x < $picture->width; $x++, $at += 3) {
                $r = $linear[ord($bytes[$at])];
                $g = $linear[ord($bytes[$at + 1])];
                $b = $linear[ord($bytes[$at + 2])];
                $row .=
                    $byte[(int) max(0.0, min(8191.0, 8191.0 * ($rr * $r + $rg * $g + $rb * $b) + 0.5))].
                    $byte[(int) max(0.0, min(8191.0, 8191.0 * ($gr * $r + $gg * $g + $gb * $b) + 0.5))].
                    $byte[(int) max(0.0, min(8191.0, 8191.0 * ($br * $r + $bg * $g + $bb * $b) + 0.5))];
            }
            $rows[] = $row;
        }

        return new PixelWindow($picture->width, $picture->height, implode('', $rows));
    }
}
