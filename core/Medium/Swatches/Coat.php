<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Swatches;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Observer;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;

/** A pass whose strokes stand apart: it covers a share of the area, 0–1, and leaves what was there in between. */
final readonly class Coat
{
    public function __construct(public Pass $pass, public float $coverage)
    {
    }

    /**
     * How coats over each other look from where single strokes melt together: the mean over all combinations of covered and left, by
     * area, in the Yule–Nielsen space of {@see Sheet::meanReflectance()}. Strokes of different coats cross at random.
     *
     * @param  list<self>  $coats
     */
    public static function look(array $coats, Paper $paper): Lab
    {
        /** @var list<array{Sheet, float}> $parts */
        $parts = [[new Sheet($paper), 1.0]];
        foreach ($coats as $coat) {
            $next = [];
            foreach ($parts as [$sheet, $area]) {
                $covered = clone $sheet;
                LayPass::onto($covered, $coat->pass->pencil, $coat->pass->pressure);
                $next[] = [$covered, $area * $coat->coverage];
                if ($coat->coverage < 1) {
                    $next[] = [$sheet, $area * (1 - $coat->coverage)];
                }
            }
            $parts = $next;
        }
        $roots = array_fill(0, Observer::BANDS, 0.0);
        foreach ($parts as [$sheet, $area]) {
            foreach ($sheet->meanReflectance() as $band => $r) {
                $roots[$band] += $area * sqrt($r);
            }
        }

        return Lab::ofReflectance(array_map(static fn (float $root): float => $root * $root, $roots));
    }
}
