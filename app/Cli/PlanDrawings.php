<?php

declare(strict_types=1);

namespace App\Cli;

use App\Photos\Raster;
use App\Photos\WorkingCopy;
use KnottyPrism\Core\Colour\Illuminant;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Picture\PlannedPicture;
use KnottyPrism\Core\Picture\Preview\DrawnZone;
use KnottyPrism\Core\Picture\Preview\Loupe;
use KnottyPrism\Core\Picture\Preview\Preview;

/** A plan's picture to come as files: after every pass, in grey, and pieces under the loupe. */
final readonly class PlanDrawings
{
    private const SIDE = 1000;

    private Preview $preview;

    /**
     * @param  PixelGrid  $cells  the photo at the size of the zones
     * @param  float  $wideMm  of the drawing
     */
    public function __construct(private PlannedPicture $plan, PixelGrid $cells, private WorkingCopy $photo, private float $wideMm, private Illuminant $light)
    {
        $this->preview = new Preview($plan->paper, $plan->map->labels, $cells, DrawnZone::all($plan));
    }

    /** @param  \Closure(int, int): void  $progress  told how far, of how much */
    public function write(string $folder, \Closure $progress): void
    {
        $photo = Raster::scaled($this->photo, self::SIDE);
        $material = $this->preview->material(PixelGrid::ofSrgb($photo->width, $photo->height, $photo->pixels), $this->wideMm);
        $passes = $this->preview->passes();
        $png = '';
        for ($pass = 0; $pass <= $passes; $pass++) {
            $progress($pass + 1, $passes + 1);
            $png = (new Raster($photo->width, $photo->height, $this->preview->after($pass, $material, $this->light)))->png();
            file_put_contents(sprintf('%s/preview-%02d.png', $folder, $pass), $png);
        }
        file_put_contents("$folder/preview-final.png", $png);
        file_put_contents("$folder/preview-final-grey.png", (new Raster($photo->width, $photo->height, $this->preview->after($passes, $material, $this->light, grey: true)))->png());
        file_put_contents("$folder/reference.png", $photo->png());
    }

    /** A piece at its real scale, as it is in the end. */
    public function loupe(string $file, float $x, float $y): void
    {
        $loupe = Loupe::at($x, $y, $this->wideMm, $this->photo->width / $this->photo->height);
        [$left, $top, $width, $height] = $loupe->pixels($this->photo->width, $this->photo->height);
        $bytes = '';
        for ($row = $top; $row < $top + $height; $row++) {
            $bytes .= substr($this->photo->pixels, 3 * ($row * $this->photo->width + $left), 3 * $width);
        }
        $seen = Raster::resized($width, $height, $bytes, Loupe::WIDTH, Loupe::HEIGHT);
        $drawn = $this->preview->after($this->preview->passes(), $this->preview->material($seen, $this->wideMm, $loupe->window), $this->light);
        file_put_contents($file, (new Raster(Loupe::WIDTH, Loupe::HEIGHT, $drawn))->png());
    }
}
