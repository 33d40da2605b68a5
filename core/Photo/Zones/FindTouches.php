<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

use KnottyPrism\Core\Colour\ColourReading;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/**
 * Finds up to three touches of a zone: what is farther from its local colour in light and shade than these alone would make it, gathered by
 * colour. The local colour is a* and b* as they go with L*, fitted to what most of the zone is.
 */
final readonly class FindTouches
{
    /** Farther than this, ΔE00, from the local colour at its own value, and from every other touch. */
    private const APART = 8.0;

    /** Pixels within this of a touch's colour, ΔE (1976), are its own. */
    private const GATHERS = 16.0;

    /** Of the zone at least; a touch that someone placed counts as much where it is smaller. */
    private const LEAST_SHARE = 0.02;

    private const LEAST_PLACED = 0.005;

    private const SHARE_BEFORE = 0.05;

    /** Steps of the grid by which the first colour of a touch is found: of a*, b*, and of L*. */
    private const STEP = [10.0, 18.0];

    /** Share of the pixels that the fit goes by, the nearest to it, and how often it is mended. */
    private const MOST_OF_IT = 0.65;

    private const FITS = 4;

    /** L*², added to the spread of a zone's values. */
    private const FLAT = 16.0;

    /** ΔE00 of equal values is at most so much of the distance in a* and b*. */
    private const STEEPEST = 1.7;

    public function __construct(private PixelGrid $grid)
    {
    }

    /**
     * @param  list<int>  $pixels  of the zone
     * @return list<Touch> the largest first
     */
    public function in(array $pixels): array
    {
        $local = $this->local($pixels);
        $far = array_values(array_filter($pixels, fn (int $at): bool => $this->apart($this->grid->lab($at), $local) > self::APART));
        $found = [];
        foreach (ShadeName::touches() as $shade) {
            $own = $far === [] ? [] : $this->gathered($far, $this->commonest($far));
            if ($own === [] || count($own) < max(4, self::LEAST_SHARE * count($pixels))) {
                break;
            }
            $lab = ShadeColours::median($this->grid, $own);
            $taken = array_fill_keys($own, true);
            $far = array_values(
                array_filter($far, fn (int $at): bool => ! isset($taken[$at]) && $this->grid->lab($at)->deltaE00($lab) > self::APART),
            );
            if ($this->apart($lab, $local) > self::APART) {
                $found[] = $this->touch($shade, self::named($lab, $found), $lab, $own, count($pixels));
            }
        }

        usort($found, static fn (Touch $a, Touch $b): int => $b->share <=> $a->share);

        return array_map(
            static fn (Touch $t, int $i): Touch => new Touch(ShadeName::touches()[$i], $t->name, $t->lab, $t->share, $t->at, $t->pixels),
            $found,
            array_keys($found),
        );
    }

    /**
     * As someone placed them.
     *
     * @param  list<int>  $pixels
     * @param  list<TouchNote>  $notes
     * @return list<Touch>
     */
    public function placed(array $pixels, array $notes): array
    {
        $touches = [];
        foreach (array_slice($notes, 0, count(ShadeName::touches())) as $i => $note) {
            $at =
                min($this->grid->height - 1, (int) ($note->y * $this->grid->height)) * $this->grid->width +
                min($this->grid->width - 1, (int) ($note->x * $this->grid->width));
            $seed = $this->grid->lab($at);
            $own = $this->gathered($pixels, $seed);
            $touches[] = new Touch(
                ShadeName::touches()[$i],
                $note->name,
                $own === [] ? $seed : ShadeColours::median($this->grid, $own),
                max(self::LEAST_PLACED, count($own) / max(1, count($pixels))),
                [$note->x, $note->y],
                $own,
            );
        }

        return $touches;
    }

    /**
     * A touch at a place of the zone's own values, as it was moved before touches had places on the photo: it has no pixels of its own.
     *
     * @param  list<int>  $pixels
     */
    public function atValue(array $pixels, Lab $lab): Touch
    {
        $found = $this->touch(ShadeName::Touch, self::named($lab, []), $lab, $pixels, count($pixels));

        return new Touch($found->shade, $found->name, $lab, self::SHARE_BEFORE, $found->at, []);
    }

    /**
     * @param  array{float, float, float, float}  $local
     * @return float ΔE00 from the local colour at the same value
     */
    private function apart(Lab $lab, array $local): float
    {
        $there = new Lab($lab->l, $local[0] + $local[1] * $lab->l, $local[2] + $local[3] * $lab->l);

        return self::STEEPEST * hypot($lab->a - $there->a, $lab->b - $there->b) <= self::APART ? 0.0 : $lab->deltaE00($there);
    }

    /**
     * @param  list<int>  $pixels
     * @return array{float, float, float, float} a* at L* 0 and its slope, and the same of b*
     */
    private function local(array $pixels): array
    {
        if ($pixels === []) {
            return [0.0, 0.0, 0.0, 0.0];
        }
        $middle = ShadeColours::median($this->grid, $pixels);
        $local = [$middle->a, 0.0, $middle->b, 0.0];
        for ($fit = 0; $fit < self::FITS; $fit++) {
            $off = [];
            foreach ($pixels as $at) {
                $off[$at] =
                    ($this->grid->a[$at] - $local[0] - $local[1] * $this->grid->l[$at]) ** 2 +
                    ($this->grid->b[$at] - $local[2] - $local[3] * $this->grid->l[$at]) ** 2;
            }
            asort($off);
            $local = $this->fitted(array_slice(array_keys($off), 0, max(1, (int) (self::MOST_OF_IT * count($pixels)))));
        }

        return $local;
    }

    /**
     * Least squares.
     *
     * @param  list<int>  $pixels
     * @return array{float, float, float, float}
     */
    private function fitted(array $pixels): array
    {
        $n = max(1, count($pixels));
        [$l, $a, $b, $ll, $la, $lb] = [0.0, 0.0, 0.0, 0.0, 0.0, 0.0];
        foreach ($pixels as $at) {
            [$x, $y, $z] = [$this->grid->l[$at], $this->grid->a[$at], $this->grid->b[$at]];
            $l += $x;
            $a += $y;
            $b += $z;
            $ll += $x * $x;
            $la += $x * $y;
            $lb += $x * $z;
        }
        // Something is added to the spread of values, so that a flat zone has hardly a slope.
        $spread = $ll / $n - ($l / $n) ** 2 + self::FLAT;
        $ofA = ($la / $n - (($l / $n) * $a) / $n) / $spread;
        $ofB = ($lb / $n - (($l / $n) * $b) / $n) / $spread;

        return [$a / $n - ($ofA * $l) / $n, $ofA, $b / $n - ($ofB * $l) / $n, $ofB];
    }

    /**
     * @param  non-empty-list<int>  $pixels
     * @return Lab the middle of what most of them are like
     */
    private function commonest(array $pixels): Lab
    {
        [$step, $stepL] = self::STEP;
        $cells = [];
        foreach ($pixels as $at) {
            $cells[
                (int) floor($this->grid->l[$at] / $stepL).
                    '/'.
                    (int) floor($this->grid->a[$at] / $step).
                    '/'.
                    (int) floor($this->grid->b[$at] / $step)
            ][] = $at;
        }
        usort($cells, static fn (array $a, array $b): int => count($b) <=> count($a));

        return ShadeColours::median($this->grid, $cells[0]);
    }

    /**
     * @param  list<int>  $pixels
     * @return list<int>
     */
    private function gathered(array $pixels, Lab $lab): array
    {
        return array_values(
            array_filter(
                $pixels,
                fn (int $at): bool => ($this->grid->l[$at] - $lab->l) ** 2 / 2 +
                    ($this->grid->a[$at] - $lab->a) ** 2 +
                    ($this->grid->b[$at] - $lab->b) ** 2 <
                    self::GATHERS ** 2,
            ),
        );
    }

    /** @param  list<int>  $own */
    private function touch(ShadeName $shade, string $name, Lab $lab, array $own, int $of): Touch
    {
        $nearest =
            array_reduce(
                $own,
                fn (?int $best, int $at): int => $best === null ||
                $this->grid->lab($at)->deltaE00($lab) < $this->grid->lab($best)->deltaE00($lab)
                    ? $at
                    : $best,
            ) ?? 0;

        return new Touch(
            $shade,
            $name,
            $lab,
            max(self::LEAST_PLACED, count($own) / max(1, $of)),
            [
                (($nearest % $this->grid->width) + 0.5) / $this->grid->width,
                (intdiv($nearest, $this->grid->width) + 0.5) / $this->grid->height,
            ],
            $own,
        );
    }

    /** @param  list<Touch>  $others */
    private static function named(Lab $lab, array $others): string
    {
        $plain = $name = explode(',', (new ColourReading($lab))->family->words())[0];
        for ($n = 2; in_array($name, array_map(static fn (Touch $t): string => $t->name, $others), true); $n++) {
            $name = "$plain $n";
        }

        return $name;
    }
}
