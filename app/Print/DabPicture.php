<?php

declare(strict_types=1);

namespace App\Print;

use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Medium\Paper\Grain;

/** A dab as a PNG for print: every pixel of the paper's grain in the colour of the stratum that shows there. */
final class DabPicture
{
    /**
     * @param  list<string>  $strataHex  colour of each stratum, peaks first
     * @return string a data address
     */
    public static function ofStrata(array $strataHex, int $width, int $height): string
    {
        $image = imagecreatetruecolor(max(1, $width), max(1, $height));
        // In a true-colour image a colour is its three bytes in one number.
        $colours = array_map(static fn (string $hex): int => (int) hexdec(ltrim(Srgb::ofHex($hex)->hex(), '#')), $strataHex);
        $tile = Grain::tile();
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x++) {
                imagesetpixel($image, $x, $y, $colours[$tile[($y % Grain::SIDE) * Grain::SIDE + $x % Grain::SIDE]]);
            }
        }
        ob_start();
        imagepng($image);

        return 'data:image/png;base64,'.base64_encode((string) ob_get_clean());
    }

    public static function flat(string $hex, int $width, int $height): string
    {
        return self::ofStrata(array_fill(0, 6, $hex), $width, $height);
    }
}
