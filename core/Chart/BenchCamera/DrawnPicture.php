<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\BenchCamera;

use KnottyPrism\Core\Chart\Check\CheckedZone;
use KnottyPrism\Core\Chart\Check\DrawingPlan;
use KnottyPrism\Core\Chart\Reading\BoxReading;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\SrgbMatrix;
use KnottyPrism\Core\Colour\Xyz;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Grain;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Stack\Steadiness;
use KnottyPrism\Core\Photo\Zones\BetweenValues;
use KnottyPrism\Core\Picture\PassesLaid;

/**
 * A drawing as somebody has it half done: every zone's passes laid by a hand that wanders, in strokes, on the paper's grain, with bare
 * paper around.
 */
final class DrawnPicture
{
    private const LEVELS = 101;

    private const PAPER_GRAIN = 0.012;

    private const STROKES = 0.07;

    public readonly Flat $flat;

    /** @var array<int, array<int, Lab>> what lies there on the whole where the photo is nearest to a shade, by zone and shade */
    public array $truth = [];

    /** @var array<int, array<int, array{float, float, float, int}>> light of the dots of each, added up, and how many */
    private array $sums = [];

    /**
     * @param  PassesLaid  $progress  what is laid, which may be other than is said
     * @param  float  $acrossMm  width of the drawing; its height follows from the photo
     */
    public function __construct(DrawingPlan $plan, PassesLaid $progress, float $acrossMm, float $marginMm, int $seed)
    {
        $chance = new Chance($seed);
        $downMm = $acrossMm / $plan->shape();
        $this->flat = new Flat($acrossMm + 2 * $marginMm, $downMm + 2 * $marginMm);
        $levels = [];
        foreach ($plan->zones as $zone) {
            $levels[$zone->number] = $this->laid($zone, $plan, $progress->of($zone->number), $chance);
        }
        $bare = self::linear(Xyz::ofReflectance($plan->paper->reflectance));
        $strokes = array_map(static fn (): float => 1 + self::STROKES * $chance->normal(), range(0, 63));
        $grain = array_map(static fn (): float => 1 + self::PAPER_GRAIN * $chance->normal(), range(0, 1023));
        $tile = Grain::tile();
        $numbers = $plan->labels->numbers();
        [$columns, $rows] = [$plan->photo->width, $plan->photo->height];
        [$left, $across, $down] = [$marginMm * Flat::FINE, $acrossMm * Flat::FINE, $downMm * Flat::FINE];
        for ($v = 0, $at = 0; $v < $this->flat->height; $v++) {
            $y = (int) floor((($v - $left) / $down) * $rows);
            for ($u = 0; $u < $this->flat->width; $u++, $at++) {
                $x = (int) floor((($u - $left) / $across) * $columns);
                $light = $bare;
                $factor = $grain[($at * 31) & 1023];
                if ($x >= 0 && $y >= 0 && $x < $columns && $y < $rows) {
                    $place = $y * $columns + $x;
                    $zone = $numbers[$place];
                    $level = $levels[$zone][(int) round($plan->photo->l[$place])] ?? null;
                    if ($level !== null) {
                        [$strata, $shade] = $level;
                        // The tile is twice as fine as this sheet.
                        $light = $strata[$tile[((2 * $v) % Grain::SIDE) * Grain::SIDE + ((2 * $u) % Grain::SIDE)]];
                        $factor *= $strokes[intdiv($u + $v, 3) & 63];
                        $sum = $this->sums[$zone][$shade] ?? [0.0, 0.0, 0.0, 0];
                        $this->sums[$zone][$shade] = [
                            $sum[0] + $light[0] * $factor,
                            $sum[1] + $light[1] * $factor,
                            $sum[2] + $light[2] * $factor,
                            $sum[3] + 1,
                        ];
                    }
                }
                $this->flat->dot($at, [$light[0] * $factor, $light[1] * $factor, $light[2] * $factor]);
            }
        }
        foreach ($this->sums as $zone => $shades) {
            $this->truth[$zone] = array_map(
                static fn (array $s): Lab => BoxReading::labOf([$s[0] / $s[3], $s[1] / $s[3], $s[2] / $s[3]]),
                $shades,
            );
        }
    }

    /**
     * Each pass errs alike over the whole zone, as a hand does that is at it.
     *
     * @return list<array{list<array{float, float, float}>, int}> by level of L* in the photo: linear light of each stratum, and the nearest
     *   shade
     */
    private function laid(CheckedZone $zone, DrawingPlan $plan, int $passes, Chance $chance): array
    {
        $errs = [];
        $ends = [];
        foreach ($zone->shades as $i => $shade) {
            $sheet = new Sheet($plan->paper);
            foreach ($shade->done($passes)->steps as $n => $step) {
                [$firmer, $more] = $errs[$n] ??= [
                    Steadiness::PRESSURE_DEVIATION * $chance->normal(),
                    1 + Steadiness::LAYDOWN_DEVIATION * $chance->normal(),
                ];
                Stack::apply(
                    $step instanceof Pass ? new Pass($step->pencil, max(0.05, min(1.0, $step->pressure + $firmer))) : $step,
                    $sheet,
                    max(0.3, $more),
                );
            }
            $ends[] = [$shade->seen->l, self::strata($sheet), $i];
        }
        usort($ends, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $levels = [];
        for ($level = 0; $level < self::LEVELS && $ends !== []; $level++) {
            [$below, $above, $share] = BetweenValues::of(array_column($ends, 0), $level);
            $levels[] = [
                array_map(
                    static fn (array $a, array $b): array => [
                        $a[0] + $share * ($b[0] - $a[0]),
                        $a[1] + $share * ($b[1] - $a[1]),
                        $a[2] + $share * ($b[2] - $a[2]),
                    ],
                    $ends[$below][1],
                    $ends[$above][1],
                ),
                $ends[$share < 0.5 ? $below : $above][2],
            ];
        }

        return $levels;
    }

    /**
     * Of each stratum, so that all together make what an eye sees.
     *
     * @return list<array{float, float, float}>
     */
    private static function strata(Sheet $sheet): array
    {
        $strata = array_map(static fn (array $r): array => self::linear(Xyz::ofReflectance($r)), $sheet->strata());
        $whole = self::linear($sheet->xyz());
        $n = count($strata);
        $share = static fn (int $c): float => max(0.0, $whole[$c]) / max(1e-6, array_sum(array_column($strata, $c)) / $n);
        [$r, $g, $b] = [$share(0), $share(1), $share(2)];

        return array_map(static fn (array $s): array => [$s[0] * $r, $s[1] * $g, $s[2] * $b], $strata);
    }

    /** @return array{float, float, float} */
    private static function linear(Xyz $xyz): array
    {
        return SrgbMatrix::linearOfXyz($xyz->x, $xyz->y, $xyz->z);
    }
}
