<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Check;

use KnottyPrism\Core\Chart\Reading\Homography;
use KnottyPrism\Core\Chart\Reading\PaperLight;
use KnottyPrism\Core\Chart\Reading\Photograph;
use KnottyPrism\Core\Chart\Reading\ShadowEdge;
use KnottyPrism\Core\Error\BadPhoto;

/**
 * A photo of a drawing seen square on, and evened by the bare paper around it: how much light each place sends back, of what paper would.
 */
final readonly class SquaredDrawing
{
    private const STEPS = 48;

    /** How far beyond the drawing paper is looked at, as shares of its diagonal. */
    private const OUT = [0.008, 0.014, 0.02, 0.028];

    /** Of these the one so far from the darkest is taken: strokes over the edge and the table are darker than paper. */
    private const TAKEN = 2;

    /** A place this much darker than its side is no paper. */
    private const PAPER = 0.55;

    private const MISSING = 0.34;

    private function __construct(
        private Photograph $photo,
        private Homography $view,
        private PaperLight $light,
        private ?ShadowEdge $shadow,
    ) {
    }

    /**
     * @param  list<array{float, float}>  $corners  of the drawing in pixels, from its top left clockwise
     *
     * @throws BadPhoto when too little bare paper is seen around it
     */
    public static function of(Photograph $photo, array $corners): self
    {
        $view = Homography::between([[0.0, 0.0], [1.0, 0.0], [1.0, 1.0], [0.0, 1.0]], $corners);
        $sides = [];
        $none = 0;
        foreach ([[0, -1], [0, 1], [-1, 0], [1, 0]] as [$across, $down]) {
            $along = [];
            for ($i = 0; $i <= self::STEPS; $i++) {
                $share = $i / self::STEPS;
                $place = static fn (float $out): array => $across === 0
                    ? [$share, $down < 0 ? -$out : 1 + $out]
                    : [$across < 0 ? -$out : 1 + $out, $share];
                $along[] = self::paper($photo, $view, $place);
            }
            [$sides[], $gone] = self::filled($along);
            $none += $gone;
        }
        if ($none > self::MISSING * 4 * self::STEPS || in_array([], $sides, true)) {
            throw BadPhoto::because(BadPhoto::NO_BARE_PAPER);
        }

        $shadow = ShadowEdge::across(
            array_map(
                static fn (array $side): array => array_map(static fn (array $l): float => log(max(1e-4, array_sum($l))), $side),
                $sides,
            ),
        );

        return new self(
            $photo,
            $view,
            PaperLight::ofSides(
                ...array_map(static fn (array $side, int $at): array => self::unshaded($side, $at, $shadow), $sides, array_keys($sides)),
            ),
            $shadow,
        );
    }

    /**
     * @param  float  $u  across the drawing, 0–1
     * @param  float  $v  down
     * @return array{float, float, float}|null light over that of bare paper; null outside the photo
     */
    public function at(float $u, float $v): ?array
    {
        $seen = $this->photo->at(...$this->view->to($u, $v));
        if ($seen === null) {
            return null;
        }
        $paper = $this->light->at($u, $v);
        $left = $this->shadow?->leaves($u, $v) ?? 1.0;

        return [$seen[0] / $paper[0] / $left, $seen[1] / $paper[1] / $left, $seen[2] / $paper[2] / $left];
    }

    /**
     * @param  list<array{float, float, float}>  $side
     * @return list<array{float, float, float}> as it would be without the shadow
     */
    private static function unshaded(array $side, int $at, ?ShadowEdge $shadow): array
    {
        if ($shadow === null) {
            return $side;
        }

        return array_map(
            static function (array $seen, int $i) use ($side, $at, $shadow): array {
                $left = $shadow->leaves(...ShadowEdge::place($at, $i / (count($side) - 1)));

                return [$seen[0] / $left, $seen[1] / $left, $seen[2] / $left];
            },
            $side,
            array_keys($side),
        );
    }

    /**
     * @param  \Closure(float): array{float, float}  $place  so far beyond the edge
     * @return array{float, float, float}|null
     */
    private static function paper(Photograph $photo, Homography $view, \Closure $place): ?array
    {
        $seen = array_values(
            array_filter(
                array_map(static function (float $out) use ($photo, $view, $place): ?array {
                    [$u, $v] = $place($out);
                    $sum = [0.0, 0.0, 0.0];
                    foreach ([[0, 0], [-1, 0], [1, 0], [0, -1], [0, 1]] as [$du, $dv]) {
                        $light = $photo->at(...$view->to($u + 0.003 * $du, $v + 0.003 * $dv));
                        if ($light === null) {
                            return null;
                        }
                        $sum = [$sum[0] + $light[0] / 5, $sum[1] + $light[1] / 5, $sum[2] + $light[2] / 5];
                    }

                    return $sum;
                }, self::OUT),
            ),
        );
        usort($seen, static fn (array $a, array $b): int => array_sum($a) <=> array_sum($b));

        return $seen[min(self::TAKEN, count($seen) - 1)] ?? null;
    }

    /**
     * What is no paper takes what its neighbours have.
     *
     * @param  list<array{float, float, float}|null>  $along
     * @return array{list<array{float, float, float}>, int} and how many there were of those
     */
    private static function filled(array $along): array
    {
        $bright = array_map(static fn (?array $s): float => array_sum($s ?? []), $along);
        $sorted = $bright;
        sort($sorted);
        $middle = $sorted[intdiv(count($sorted), 2)];
        $good = array_keys(array_filter($bright, static fn (float $b): bool => $b > self::PAPER * $middle && $b > 0.05));
        if ($good === []) {
            return [[], count($along)];
        }
        $filled = [];
        foreach (array_keys($along) as $i) {
            $nearest = array_reduce(
                $good,
                static fn (?int $best, int $g): int => $best === null || abs($g - $i) < abs($best - $i) ? $g : $best,
            );
            $filled[] = $along[$nearest] ?? [1.0, 1.0, 1.0];
        }

        return [$filled, count($along) - count($good)];
    }
}
