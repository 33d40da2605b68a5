<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Laying;

use KnottyPrism\Core\Colour\Illuminant;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Observer;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Colour\SrgbMatrix;
use KnottyPrism\Core\Colour\Xyz;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\Tooth;
use KnottyPrism\Core\Medium\Pencil\Film;

/**
 * A small even area of paper with what has been laid on it so far, stratum by stratum. It is changed by passes and finishes;
 * clone it to try something. Kept as flat arrays because the search clones and changes it some ten thousand times a second.
 */
final class Sheet
{
    /** @var array<int, float> reflectance 0–1, stratum after stratum, 36 bands each */
    public array $reflectance;

    /** @var array<int, float> the same without the newest film: what a firm pass ploughs that into lies on this */
    public array $beneath;

    /** @var array<int, float> film that fills each stratum's tooth, film units */
    public array $fill;

    /** @var array<int, float> depth of each stratum; crushing makes it shallower */
    public array $depth;

    /** @var array<int, float> film each stratum can hold, film units; crushing shrinks it */
    public array $capacity;

    /** @var array<int, float> share of a next pass refused by a slick surface, 0–1 */
    public array $slick;

    /** @var list<Deposit> what lies there, oldest first; finishes need it, passes only append */
    public array $deposits = [];

    public function __construct(public readonly Paper $paper)
    {
        $strata = Tooth::STRATA;
        $this->reflectance = array_merge(...array_fill(0, $strata, $paper->reflectance));
        $this->beneath = $this->reflectance;
        $this->fill = array_fill(0, $strata, 0.0);
        $this->depth = $paper->tooth->depths;
        $this->capacity = array_fill(0, $strata, $paper->tooth->capacity);
        $this->slick = array_fill(0, $strata, 0.0);
    }

    /** Share of the fresh paper's tooth that can't take film any more, filled or crushed, 0–1. */
    public function toothUsed(): float
    {
        $room = 0.0;
        foreach ($this->capacity as $m => $capacity) {
            $room += max(0.0, $capacity - $this->fill[$m]);
        }

        return max(0.0, 1 - $room / (Tooth::STRATA * $this->paper->tooth->capacity));
    }

    /**
     * What the eye makes of all strata together: the mean in a Yule–Nielsen space with n = 2, which stands for flecks of
     * bare paper and for light that enters beside a dot and leaves through it. Source: J. A. C. Yule, W. J. Nielsen (1951).
     *
     * @return array<int, float> 36 bands, 0–1
     */
    public function meanReflectance(): array
    {
        $r = $this->reflectance;
        $mean = [];
        for ($i = 0; $i < 36; $i++) {
            $s = sqrt($r[$i]) + sqrt($r[$i + 36]) + sqrt($r[$i + 72]) + sqrt($r[$i + 108]) + sqrt($r[$i + 144]) + sqrt($r[$i + 180]);
            $mean[] = ($s * $s) / 36.0;
        }

        return $mean;
    }

    /** What {@see Xyz::ofReflectance()} makes of the mean, in one loop: a search sees a sheet after every pass that it lays. */
    public function xyz(): Xyz
    {
        $r = $this->reflectance;
        [$wx, $wy, $wz] = Observer::weights();
        $x = $y = $z = 0.0;
        for ($i = 0; $i < 36; $i++) {
            $s = sqrt($r[$i]) + sqrt($r[$i + 36]) + sqrt($r[$i + 72]) + sqrt($r[$i + 108]) + sqrt($r[$i + 144]) + sqrt($r[$i + 180]);
            $s *= $s / 36.0;
            $x += $wx[$i] * $s;
            $y += $wy[$i] * $s;
            $z += $wz[$i] * $s;
        }

        return new Xyz($x, $y, $z);
    }

    /**
     * How unevenly film lies, as the eye has it: the standard deviation of L* over the strata, 0 for bare paper. A smooth mid grey has some
     * 3; a whisper of near black over white, of the same mean, more than 20: that is seen as pepper at arm's length.
     */
    public function grain(): float
    {
        $weights = Observer::weights()[1];
        $sum = $squares = 0.0;
        for ($m = 0; $m < Tooth::STRATA; $m++) {
            $y = 0.0;
            for ($i = 0, $at = 36 * $m; $i < 36; $i++, $at++) {
                $y += $weights[$i] * $this->reflectance[$at];
            }
            $l = Lab::lightness($y);
            $sum += $l;
            $squares += $l * $l;
        }

        return sqrt(max(0.0, $squares / Tooth::STRATA - ($sum / Tooth::STRATA) ** 2));
    }

    /**
     * The strata as a screen shows them: light that strays between them darkens all alike, so that together they are the mean that the eye
     * makes of them. Where one would be beyond a screen's colours all are brought nearer to the mean.
     *
     * @return list<array{float, float, float}> linear sRGB, peaks first
     */
    public function flecks(Illuminant $light = Illuminant::D65): array
    {
        // What a screen can't show at all is shown as near as it can: a share of less than nothing would turn a blue pink.
        $shown = static fn (array $linear): array => array_map(static fn (float $v): float => max(0.0, min(1.0, $v)), $linear);
        $mean = $shown($this->light($light));
        $strata = array_map(static fn (array $r): array => $shown(self::linear($light->on($r))), $this->strata());
        $room = 1.0;
        $apart = [];
        foreach ($strata as $stratum) {
            $own = [0.0, 0.0, 0.0];
            for ($c = 0; $c < 3; $c++) {
                $own[$c] = $mean[$c] * ($stratum[$c] / max(1e-6, array_sum(array_column($strata, $c)) / Tooth::STRATA) - 1);
                $end = $own[$c] > 0 ? 1 - $mean[$c] : -$mean[$c];
                $room = $own[$c] !== 0.0 && $end / $own[$c] >= 0 ? min($room, $end / $own[$c]) : $room;
            }
            $apart[] = $own;
        }

        return array_map(
            static fn (array $off): array => [$mean[0] + $room * $off[0], $mean[1] + $room * $off[1], $mean[2] + $room * $off[2]],
            $apart,
        );
    }

    /** @return list<string> the same as a dab shows them, #rrggbb, peaks first */
    public function dab(): array
    {
        return array_map(static fn (array $fleck): string => Srgb::ofLinear($fleck)->hex(), $this->flecks());
    }

    /** @return array{float, float, float} linear sRGB of what the eye makes of all of it; beyond 0–1 where a screen can't show it */
    public function light(Illuminant $light = Illuminant::D65): array
    {
        return self::linear($light->on($this->meanReflectance()));
    }

    /** @return array{float, float, float} */
    private static function linear(Xyz $xyz): array
    {
        return SrgbMatrix::linearOfXyz($xyz->x, $xyz->y, $xyz->z);
    }

    /** @return list<array<int, float>> reflectance of each stratum, peaks first */
    public function strata(): array
    {
        return array_chunk($this->reflectance, Observer::BANDS);
    }

    /** Computes every stratum's reflectance again, from the paper up; for finishes that changed the deposits. */
    public function rebuild(): void
    {
        $this->reflectance = array_merge(...array_fill(0, Tooth::STRATA, $this->paper->reflectance));
        foreach ($this->deposits as $deposit) {
            $this->beneath = $this->reflectance;
            foreach ($deposit->thickness as $m => $thickness) {
                Film::lay($this->reflectance, $m * Observer::BANDS, $deposit->a, $deposit->b, $deposit->scattering * $thickness);
            }
        }
    }
}
