<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Swatches;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Observer;
use KnottyPrism\Core\Colour\SmoothestReflectance;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Binder;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;

/**
 * Finds K, S and q of a pencil from the swatches recorded of it.
 *
 * For any S and q the absorption follows from the heavy swatch, band by band: the one K whose simulated swatch has the
 * recorded reflectance (a film is never infinitely thick, so the swatch is not R∞). S is then searched for the swatch over
 * black and q for the light swatch, in turns. What has no swatch keeps the binder's usual figure and is named in `assumed`.
 */
final class PencilFit
{
    private const SCATTERING_RANGE = [0.03, 3.0];

    private const LAYDOWN_RANGE = [0.35, 1.6];

    /** ln(K/S) from a film that absorbs nothing to one that no light survives. */
    private const LOG_RATIO_RANGE = [-14.0, 11.0];

    private const MOST_TRIES = 60;

    /** Of the square root of a reflectance; far below what an eye sees. */
    private const ROOT_PRECISION = 1e-6;

    /** A blender's film is all but invisible. */
    private const BLENDER_ABSORPTION = 1e-4;

    /** Turns of searching S and q while both swatches are known: the first over the whole range, the others near the last find. */
    private const TURNS = 4;

    private const NEAR = 1.5;

    /** Relative precision of the first turn and of the later ones. */
    private const COARSE = 0.06;

    private const FINE = 0.015;

    /** @param  ?Paper  $paper  on which the swatches lie; white medium where nothing is said */
    public static function of(PencilRecord $record, ?Paper $paper = null): Pencil
    {
        $paper ??= Paper::whiteMedium();
        $binder = $record->binder ?? Binder::Wax;
        if ($binder === Binder::Blender) {
            return new Pencil(
                $record,
                array_fill(0, Observer::BANDS, self::BLENDER_ABSORPTION),
                $binder->scattering(),
                $binder->laydown(),
                $binder->slickness(),
                [],
            );
        }
        $wanted = SmoothestReflectance::ofHex($record->heavy);
        // How much film is laid follows from the laydown alone, and the search for S asks a hundred times for the same one.
        $laid = [];
        $build = static function (float $s, float $q) use ($record, $binder, $wanted, $paper, &$laid): Pencil {
            $fill = $laid[(string) $q] ??= self::heavyFill($record, $binder, $q, $paper);

            return self::withHeavySwatch($record, $binder, $wanted, $s, $q, $fill, $paper);
        };
        [$s, $q] = self::searchBoth($record, $binder, $build, $paper);

        return $build($s, $q);
    }

    /** A pencil of which scattering and laydown are known already; only the absorption follows from its heavy swatch. */
    public static function withFigures(PencilRecord $record, float $scattering, float $laydown): Pencil
    {
        $binder = $record->binder ?? Binder::Wax;

        return self::withHeavySwatch(
            $record,
            $binder,
            SmoothestReflectance::ofHex($record->heavy),
            $scattering,
            $laydown,
            self::heavyFill($record, $binder, $laydown, Paper::whiteMedium()),
            Paper::whiteMedium(),
        );
    }

    /**
     * @param  \Closure(float, float): Pencil  $build
     * @return array{float, float} S and q
     */
    private static function searchBoth(PencilRecord $record, Binder $binder, \Closure $build, Paper $paper): array
    {
        $s = $record->opacity?->scattering() ?? $binder->scattering();
        $q = $record->laydown ?? $binder->laydown();
        $searchQ = $record->light !== null && $record->laydown === null;
        $turns = $searchQ && $record->overBlack !== null ? self::TURNS : 1;
        for ($turn = 0; $turn < $turns; $turn++) {
            if ($record->overBlack !== null) {
                $aim = Lab::ofHex($record->overBlack);
                $s = self::golden(
                    self::range(self::SCATTERING_RANGE, $s, $turn),
                    $turns === 1 || $turn > 0 ? self::FINE : self::COARSE,
                    static fn (float $try): float => Swatch::OverBlack->colourOf($build($try, $q), $paper)->deltaE00($aim),
                );
            }
            if ($searchQ) {
                $aim = Lab::ofHex((string) $record->light);
                $q = self::golden(
                    self::range(self::LAYDOWN_RANGE, $q, $turn),
                    $turns === 1 || $turn > 0 ? self::FINE : self::COARSE,
                    static fn (float $try): float => Swatch::Light->colourOf($build($s, $try), $paper)->deltaE00($aim),
                );
            }
        }

        return [$s, $q];
    }

    /**
     * @param  array{float, float}  $whole
     * @return array{float, float}
     */
    private static function range(array $whole, float $last, int $turn): array
    {
        return $turn === 0 ? $whole : [max($whole[0], $last / self::NEAR), min($whole[1], $last * self::NEAR)];
    }

    /** @return list<string> */
    private static function assumptions(PencilRecord $record): array
    {
        return array_keys(
            array_filter([
                'binder' => $record->binder === null,
                'hiding power' => $record->overBlack === null && $record->opacity === null,
                'laydown' => $record->light === null && $record->laydown === null,
            ]),
        );
    }

    /**
     * Film that the heavy swatch leaves in each stratum. It does not depend on the film's colour, so any absorption will do to find out.
     *
     * @return array<int, float> film units
     */
    private static function heavyFill(PencilRecord $record, Binder $binder, float $laydown, Paper $paper): array
    {
        $any = new Pencil($record, array_fill(0, Observer::BANDS, 1.0), 1.0, $laydown, $binder->slickness(), []);

        return Swatch::Heavy->lay($any, $paper)->fill;
    }

    /**
     * @param  array<int, float>  $wanted  reflectance of the heavy swatch
     * @param  array<int, float>  $fill  film units per stratum
     */
    private static function withHeavySwatch(
        PencilRecord $record,
        Binder $binder,
        array $wanted,
        float $scattering,
        float $laydown,
        array $fill,
        Paper $paper,
    ): Pencil {
        $film = array_map(static fn (float $t): float => $t * $scattering, $fill);
        $absorption = [];
        foreach ($wanted as $i => $r) {
            $absorption[] = $scattering * self::ratioFor($r, $paper->reflectance[$i], $film);
        }

        return new Pencil($record, $absorption, $scattering, $laydown, $binder->slickness(), self::assumptions($record));
    }

    /**
     * K/S at which films of these optical thicknesses over paper show the wanted mean reflectance: false position with the
     * Illinois rule on ln(K/S), in which the reflectance falls steadily.
     *
     * @param  array<int, float>  $film  S·t per stratum
     */
    private static function ratioFor(float $wanted, float $paper, array $film): float
    {
        [$low, $high] = self::LOG_RATIO_RANGE;
        $root = sqrt($wanted);
        [$atLow, $atHigh] = [self::meanRoot($low, $paper, $film) - $root, self::meanRoot($high, $paper, $film) - $root];
        if ($atLow <= 0 || $atHigh >= 0) {
            return exp($atLow <= 0 ? $low : $high);
        }
        $side = 0;
        for ($n = 0; $n < self::MOST_TRIES; $n++) {
            $try = ($low * $atHigh - $high * $atLow) / ($atHigh - $atLow);
            $at = self::meanRoot($try, $paper, $film) - $root;
            if (abs($at) < self::ROOT_PRECISION) {
                return exp($try);
            }
            if ($at > 0) {
                [$low, $atLow] = [$try, $at];
                $atHigh = $side === 1 ? $atHigh / 2 : $atHigh;
                $side = 1;
            } else {
                [$high, $atHigh] = [$try, $at];
                $atLow = $side === -1 ? $atLow / 2 : $atLow;
                $side = -1;
            }
        }

        return exp(($low + $high) / 2);
    }

    /** @param  array<int, float>  $film */
    private static function meanRoot(float $logRatio, float $paper, array $film): float
    {
        $ratio = exp($logRatio);
        $a = 1 + $ratio;
        $b = sqrt($ratio * ($ratio + 2));
        $sum = 0.0;
        foreach ($film as $thickness) {
            // Film::reflectanceAndTransmittance(), written out: this runs a hundred thousand times a fit.
            $e = exp(-$b * $thickness);
            $e2 = $e * $e;
            $n = 1 / ($a * (1 - $e2) + $b * (1 + $e2));
            $rf = (1 - $e2) * $n;
            $t = 2 * $b * $e * $n;
            $sum += sqrt($rf + ($t * $t * $paper) / (1 - $rf * $paper));
        }

        return $sum / count($film);
    }

    /**
     * The least of a function with one valley, searched on a logarithmic scale by golden sections.
     *
     * @param  array{float, float}  $range
     * @param  \Closure(float): float  $f
     */
    private static function golden(array $range, float $precision, \Closure $f): float
    {
        $g = (sqrt(5) - 1) / 2;
        [$low, $high] = [log($range[0]), log($range[1])];
        [$x1, $x2] = [$high - $g * ($high - $low), $low + $g * ($high - $low)];
        [$f1, $f2] = [$f(exp($x1)), $f(exp($x2))];
        while ($high - $low > $precision) {
            if ($f1 <= $f2) {
                [$high, $x2, $f2] = [$x2, $x1, $f1];
                $x1 = $high - $g * ($high - $low);
                $f1 = $f(exp($x1));
            } else {
                [$low, $x1, $f1] = [$x1, $x2, $f2];
                $x2 = $low + $g * ($high - $low);
                $f2 = $f(exp($x2));
            }
        }

        return exp(($low + $high) / 2);
    }
}
