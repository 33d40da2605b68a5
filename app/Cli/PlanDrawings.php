<?php

declare(strict_types=1);

namespace App\Cli;

use App\Photos\Raster;
use App\Photos\WorkingCopy;
use KnottyPrism\Core\Colour\Illuminant;
use KnottyPrism\Core\Desk\Order\PlacedStep;
use KnottyPrism\Core\Desk\Order\Stages;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Picture\PassesLaid;
use KnottyPrism\Core\Picture\PlannedPicture;
use KnottyPrism\Core\Picture\Preview\DrawnZone;
use KnottyPrism\Core\Picture\Preview\Loupe;
use KnottyPrism\Core\Picture\Preview\Material;
use KnottyPrism\Core\Picture\Preview\Preview;
use KnottyPrism\Core\Recipe\Sequence\Sequence;

/**
 * A plan's picture to come as files, as large as the drawing: after every pass, after every session, in grey, and pieces under the loupe.
 */
final readonly class PlanDrawings
{
    /** Millimetres of the drawing that a pixel stands for, on drawings that are not too large for it: grain is seen, strokes are. */
    private const MM = 0.2;

    /**
     * @param  PixelGrid  $cells  the photo at the size of the zones
     * @param  float  $wideMm  of the drawing
     */
    public function __construct(
        private PlannedPicture $plan,
        private PixelGrid $cells,
        private WorkingCopy $photo,
        private float $wideMm,
        private Illuminant $light,
    ) {
    }

    /**
     * @param  list<list<PlacedStep>>  $sessions  of the order of work
     * @param  \Closure(int, int): void  $progress  told how far, of how much
     */
    public function write(string $folder, array $sessions, \Closure $progress): void
    {
        $photo = Raster::sized($this->photo, ...$this->size());
        $preview = $this->preview();
        $material = $preview->material(PixelGrid::ofSrgb($photo->width, $photo->height, $photo->pixels), $this->wideMm);
        $passes = $preview->passes();
        $of = $passes + 1 + count($sessions);
        $png = '';
        for ($pass = 0; $pass <= $passes; $pass++) {
            $progress($pass + 1, $of);
            $png = self::png($material, $preview->after(new PassesLaid($pass), $material, $this->light));
            file_put_contents(sprintf('%s/preview-%02d.png', $folder, $pass), $png);
        }
        file_put_contents("$folder/preview-final.png", $png);
        file_put_contents(
            "$folder/preview-final-grey.png",
            self::png($material, $preview->after(PassesLaid::whole(), $material, $this->light, grey: true)),
        );
        file_put_contents("$folder/reference.png", $photo->png($material->mmPerPixel));
        $order = array_merge(...$sessions);
        $inOrder = $this->preview($this->inOrder($order));
        $laid = 0;
        foreach ($sessions as $at => $session) {
            $progress($passes + 2 + $at, $of);
            $laid += count($session);
            file_put_contents(
                sprintf('%s/session-%02d.png', $folder, $at + 1),
                self::png($material, $inOrder->after(Stages::after($order, $laid), $material, $this->light)),
            );
        }
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
        $preview = $this->preview();
        $material = $preview->material($seen, $this->wideMm, $loupe->window);
        file_put_contents($file, self::png($material, $preview->after(PassesLaid::whole(), $material, $this->light)));
    }

    /** @return array{int, int} width and height, pixels */
    private function size(): array
    {
        $shape = $this->photo->width / $this->photo->height;
        $width = max(1, (int) floor(min($this->wideMm / self::MM, sqrt(Preview::MOST_PIXELS * $shape))));

        return [$width, max(1, (int) floor($width / $shape))];
    }

    /**
     * @param  list<PlacedStep>  $order  whose passes are numbered in their zone's sequence
     * @return array<int, Sequence> by zone
     */
    private function inOrder(array $order): array
    {
        $passes = [];
        foreach ($order as $placed) {
            $passes[$placed->step->zone][] = $this->plan->zones[$placed->step->zone]->answer->sequence->passes[$placed->step->pass];
        }

        return array_map(static fn (array $own): Sequence => new Sequence($own), $passes);
    }

    /** @param  array<int, Sequence>  $inOrder */
    private function preview(array $inOrder = []): Preview
    {
        return new Preview($this->plan->paper, $this->plan->map->labels, $this->cells, DrawnZone::all($this->plan, $inOrder));
    }

    private static function png(Material $material, string $bytes): string
    {
        return (new Raster($material->width, $material->height, $bytes))->png($material->mmPerPixel);
    }
}
