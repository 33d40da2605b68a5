<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Check;

use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Picture\PlannedPicture;

/** What a photo of a half-done drawing is held against: the photo that it follows, its zones with their passes, and the paper. */
final readonly class DrawingPlan
{
    /**
     * @param  PixelGrid  $photo  the reference, at the size of the labels
     * @param  list<CheckedZone>  $zones
     */
    public function __construct(public LabelGrid $labels, public PixelGrid $photo, public array $zones, public Paper $paper)
    {
    }

    /** Of a picture as it is planned, whose zones are worked in sequences. */
    public static function of(PlannedPicture $plan, PixelGrid $photo): self
    {
        $zones = [];
        foreach ($plan->map->zones as $number => $zone) {
            $shades = isset($plan->zones[$number])
                ? CheckedShade::run($plan->zones[$number]->answer->shades(), $plan->zones[$number]->answer->sequence)
                : [];
            $zones[] = new CheckedZone($number, $zone->name, $shades);
        }

        return new self($plan->map->labels, $photo, $zones, $plan->paper);
    }

    /** Width over height. */
    public function shape(): float
    {
        return $this->photo->width / $this->photo->height;
    }
}
