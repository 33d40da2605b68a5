<?php

declare(strict_types=1);

namespace App\Photos;

use App\Models\Photo;
use App\Models\Study;
use KnottyPrism\Core\Photo\Reading\NeutralBalance;
use KnottyPrism\Core\Photo\Reading\Spot;

/** Reads spots of a study's photo. */
final class SpotReader
{
    public function __construct(private readonly PhotoStore $photos)
    {
    }

    /**
     * @param  int  $ring  radius in pixels of the working copy
     * @param  ?NeutralBalance  $balance  of the photo, where something in it was said to be neutral
     */
    public function read(Photo $photo, int $x, int $y, int $ring, ?NeutralBalance $balance = null): Spot
    {
        $left = max(0, $x - $ring - 1);
        $top = max(0, $y - $ring - 1);
        $right = min($photo->width - 1, $x + $ring + 1);
        $bottom = min($photo->height - 1, $y + $ring + 1);
        $window = $this->photos->window($photo, $left, $top, $right - $left + 1, $bottom - $top + 1);

        return Spot::inRing($window, $x - $left, $y - $top, $ring)->balanced($balance);
    }
}
