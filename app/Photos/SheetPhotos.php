<?php

declare(strict_types=1);

namespace App\Photos;

use KnottyPrism\Core\Chart\Reading\Photograph;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Error\OutOfRange;

/** Photo files of sheets, as the core reads them. */
final class SheetPhotos
{
    /** @throws BadFile when it is no photo, or too small a one */
    public static function read(string $path): Photograph
    {
        $copy = (new PhotoIntake())->take($path);
        try {
            $small = Raster::scaled($copy, Photograph::LONGEST);

            return new Photograph($small->width, $small->height, $small->pixels);
        } catch (OutOfRange) {
            throw BadFile::because(
                sprintf(
                    'The photo has only %d × %d pixels; a chart needs at least 800 on the longer side.',
                    $copy->width,
                    $copy->height,
                ),
            );
        }
    }
}
