<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Photo\Grid\Raster;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/** Where the paper is to stay bare: all that is light and grey enough, and what someone painted in or out, stroke after stroke. */
final readonly class KeptWhites
{
    public const USUALLY_FROM = 94.0;

    /** C* up to which something light is white. */
    private const STRONGEST = 4.5;

    private const MOST_STROKES = 400;

    /** Of all strokes together that someone paints. */
    private const MOST_POINTS = 20_000;

    /** Points nearer to one another than this share of the brush's radius say nothing new. */
    private const NEAREST = 0.125;

    /**
     * @param  float  $from  L* from which; 100 and more for none by value
     * @param  list<WhiteStroke>  $strokes  the latest last
     *
     * @throws OutOfRange
     */
    public function __construct(public float $from = self::USUALLY_FROM, public array $strokes = [])
    {
        OutOfRange::check('the L* from which the paper is kept', $from, 50, 101);
        OutOfRange::check('the number of strokes', count($strokes), 0, self::MOST_STROKES);
    }

    public function keptFrom(float $l): self
    {
        return new self($l, $this->strokes);
    }

    /** @param  list<array{float, float}>  $points */
    public function painted(bool $keep, float $radius, array $points): self
    {
        OutOfRange::check('the radius of the brush', $radius, 0.001, 0.2);
        if ($points === []) {
            throw ImpossibleChange::because('A stroke needs at least one point.');
        }

        $painted = new self($this->from, [
            ...$this->strokes,
            new WhiteStroke($keep, $radius, self::thinned($points, $radius * self::NEAREST)),
        ]);
        if (array_sum(array_map(static fn (WhiteStroke $stroke): int => count($stroke->points), $painted->strokes)) > self::MOST_POINTS) {
            throw ImpossibleChange::because(
                'There are too many strokes of kept whites. Undo some, or keep whites by value.',
            );
        }

        return $painted;
    }

    /**
     * @param  non-empty-list<array{float, float}>  $points
     * @return list<array{float, float}> the first, the last, and those between that lie apart
     */
    private static function thinned(array $points, float $apart): array
    {
        $kept = [$points[0]];
        [$x, $y] = $points[0];
        $last = count($points) - 1;
        for ($i = 1; $i <= $last; $i++) {
            if ($i === $last || hypot($points[$i][0] - $x, $points[$i][1] - $y) >= $apart) {
                $kept[] = [$x, $y] = $points[$i];
            }
        }

        return $kept;
    }

    /** @return string a byte a pixel: 1 where the paper stays bare, 2 elsewhere */
    public function on(PixelGrid $grid): string
    {
        $mask = str_repeat("\2", $grid->count());
        foreach ($grid->l as $at => $l) {
            if ($l >= $this->from && hypot($grid->a[$at], $grid->b[$at]) <= self::STRONGEST) {
                $mask[$at] = "\1";
            }
        }
        foreach ($this->strokes as $stroke) {
            foreach (Raster::brushed($stroke->points, $stroke->radius, $grid->width, $grid->height) as $at => $_) {
                $mask[$at] = $stroke->keep ? "\1" : "\2";
            }
        }

        return $mask;
    }
}
