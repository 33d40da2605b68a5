<?php

declare(strict_types=1);

namespace Benchmarks;

use KnottyPrism\Core\Chart\BenchCamera\Chance;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Observer;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Film;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Swatches\Swatch;

/**
 * Pencil on paper as somebody else might tell it, to hold the product's model against: the tooth is a field of heights and not a few
 * strata, every stroke is drawn, and it takes up and mixes with a share of what lies there, so that two films and not all of them lie
 * above each other. Of the product's model it has the absorption and scattering of the pigments alone.
 */
final readonly class OtherOptics
{
    /** Cells each way of what is coloured in: a stroke of a sharp point is a cell wide, a box of a strip some 14 mm. */
    private const SIDE = 36;

    /** Film units that a valley as deep as the tooth holds. */
    private const HOLDS = 5.2;

    /** How deep a stroke at full pressure reaches into bare tooth, and how gradually it fades below. */
    private const REACH = 0.92;

    private const FADES = 0.16;

    /** Film of a full stroke where it touches. */
    private const LAYS = 1.7;

    /** Share of what lies uppermost that a stroke takes up: at no pressure, and more by pressure. */
    private const TAKES_UP = [0.15, 0.5];

    /** Light that enters one cell and leaves by another. */
    private const STRAYS = 0.35;

    /** @var list<float> 0 a peak, 1 the deepest valley */
    private array $depths;

    public function __construct(private Paper $paper, int $seed)
    {
        $chance = new Chance($seed);
        $n = self::SIDE;
        $noise = array_map(static fn (): float => $chance->between(0.0, 1.0), range(1, $n * $n));
        $smooth = [];
        foreach (array_keys($noise) as $at) {
            [$x, $y] = [$at % $n, intdiv($at, $n)];
            $sum = 0.0;
            foreach ([[0, 0, 2], [1, 0, 1], [-1, 0, 1], [0, 1, 1], [0, -1, 1]] as [$dx, $dy, $weight]) {
                $sum += $weight * $noise[(($y + $dy + $n) % $n) * $n + (($x + $dx + $n) % $n)];
            }
            $smooth[] = $sum / 6;
        }
        [$low, $high] = [min($smooth), max($smooth)];
        $this->depths = array_map(static fn (float $v): float => ($v - $low) / ($high - $low), $smooth);
    }

    /** What comes of a stack, and of printed black under it where that is said. */
    public function look(Stack $stack, int $seed, bool $overBlack = false): Lab
    {
        $chance = new Chance($seed);
        $cells = count($this->depths);
        // Of every cell two films, the lower first: K·t by band, and S·t, and t.
        $empty = [array_fill(0, Observer::BANDS, 0.0), 0.0, 0.0];
        $films = array_fill(0, $cells, [$empty, $empty]);
        foreach ($stack->passes() as $pass) {
            $films = $this->stroked($films, $pass, $chance);
        }

        return Lab::ofReflectance($this->seen($films, $overBlack));
    }

    /** What an artist would write down of a pencil by swatches on this paper. */
    public function record(Pencil $pencil, int $seed): PencilRecord
    {
        $hex = fn (Swatch $swatch): string => Srgb::ofXyz(
            $this->look(
                new Stack(array_map(static fn (float $p): Pass => new Pass($pencil, $p), $swatch->pressures())),
                $seed,
                $swatch === Swatch::OverBlack,
            )->xyz(),
        )->hex();
        $r = $pencil->record;

        return new PencilRecord(
            $r->line,
            $r->number,
            $r->name,
            $hex(Swatch::Heavy),
            $r->binder,
            $hex(Swatch::Light),
            $hex(Swatch::OverBlack),
        );
    }

    /**
     * @param  array<int, array{array{array<int, float>, float, float}, array{array<int, float>, float, float}}>  $films
     * @return array<int, array{array{array<int, float>, float, float}, array{array<int, float>, float, float}}>
     */
    private function stroked(array $films, Pass $pass, Chance $chance): array
    {
        [$pencil, $p] = [$pass->pencil, $pass->pressure];
        $takes = self::TAKES_UP[0] + self::TAKES_UP[1] * $p;
        // Strokes run along the rows: now and then one is left out, and each is pressed a little otherwise.
        $rows = array_map(
            static fn (): float => $chance->between(0.0, 1.0) < 0.75 + 0.25 * $p ? $chance->between(0.85, 1.15) : 0.0,
            range(1, self::SIDE),
        );
        foreach ($this->depths as $at => $depth) {
            [$lower, $upper] = $films[$at];
            $free = $depth - ($lower[2] + $upper[2]) / self::HOLDS;
            $touch = 1 / (1 + exp(($free - self::REACH * $p ** 0.6) / self::FADES));
            $room = max(0.0, 1 - ($lower[2] + $upper[2]) / (0.5 * self::HOLDS * (0.5 + $depth)));
            $t = self::LAYS * $pencil->laydown * $p ** 0.6 * $touch * $room * $rows[intdiv($at, self::SIDE)];
            if ($t <= 0.0) {
                continue;
            }
            $share = $takes * $touch;
            $stays = self::mixed($lower, $upper, 1.0, 1 - $share);
            $new = [array_map(static fn (float $k): float => $k * $t, $pencil->absorption), $pencil->scattering * $t, $t];
            $films[$at] = [$stays, self::mixed($new, $upper, 1.0, $share)];
        }

        return $films;
    }

    /**
     * @param  array{array<int, float>, float, float}  $one
     * @param  array{array<int, float>, float, float}  $other
     * @return array{array<int, float>, float, float}
     */
    private static function mixed(array $one, array $other, float $ofOne, float $ofOther): array
    {
        return [
            array_map(static fn (float $a, float $b): float => $ofOne * $a + $ofOther * $b, $one[0], $other[0]),
            $ofOne * $one[1] + $ofOther * $other[1],
            $ofOne * $one[2] + $ofOther * $other[2],
        ];
    }

    /**
     * @param  array<int, array{array{array<int, float>, float, float}, array{array<int, float>, float, float}}>  $films
     * @return list<float> reflectance by band
     */
    private function seen(array $films, bool $overBlack): array
    {
        $mean = $roots = array_fill(0, Observer::BANDS, 0.0);
        foreach ($films as $cell) {
            $r = $overBlack ? array_fill(0, Observer::BANDS, Swatch::INK_REFLECTANCE) : $this->paper->reflectance;
            foreach ($cell as [$k, $s, $t]) {
                if ($t > 0.0) {
                    [$a, $b] = Film::coefficients($k, $s);
                    foreach ($r as $band => $below) {
                        [$rf, $tf] = Film::reflectanceAndTransmittance($a[$band], $b[$band], $s);
                        $r[$band] = $rf + ($tf * $tf * $below) / (1 - $rf * $below);
                    }
                }
            }
            foreach ($r as $band => $v) {
                $mean[$band] += $v / count($films);
                $roots[$band] += sqrt($v) / count($films);
            }
        }

        // What strays passes a cell on the way in and another on the way out.
        return array_map(
            static fn (float $m, float $r): float => (1 - self::STRAYS) * $m + self::STRAYS * $r ** 2,
            array_values($mean),
            array_values($roots),
        );
    }
}
