<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Preview;

use KnottyPrism\Core\Colour\Illuminant;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\PencilGrain;
use KnottyPrism\Core\Photo\Borders\FindGradedBorders;
use KnottyPrism\Core\Photo\Borders\GradedBands;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Zones\BetweenValues;
use KnottyPrism\Core\Picture\PassesLaid;

/**
 * The picture to come as pencil on paper, at its real size, after any pass: every pixel lies in a zone by the photo's own edges, takes what
 * is laid there at its own value, and shows the place of the tooth that it has. What the passes don't change is {@see Material}.
 */
final class Preview
{
    public const MOST_PIXELS = 2_000_000;

    /** What is a difference to be drawn, in CIELAB: of a touch from the run, of a light from what surrounds it. */
    private const CLEARLY = 2.0;

    /** Off by no more than this in a* and in b*, and by half a level in L*, a colour is not {@see self::CLEARLY} off. */
    private const NEARLY = 1.36;

    private const KEPT_PAPER = "\xff";

    /** @var list<list<DrawnShade>> by look: a zone's run, or a touch alone */
    private array $looks = [];

    /** @var array<int, PressedRun> by look */
    private array $pressed = [];

    /** @var list<int> by look: its zone */
    private array $zoneOf = [];

    /** @var array<int, array{int, list<array{int, Lab}>}> by zone: the look of its run, and of each touch with its colour */
    private array $ofZone = [];

    private readonly GradedBands $bands;

    /**
     * @param  list<DrawnZone>  $zones
     * @param  PixelGrid  $cells  the photo at the size of the labels
     * @param  ?string  $whites  a byte for every cell, 1 where the paper is kept white
     * @param  array<int, int>  $directions  that the artist wants, by zone, see {@see StrokeDirections}
     * @param  ?GradedBands  $bands  where zones grade into each other; as the photo has it where nothing is given
     */
    public function __construct(
        private readonly Paper $paper,
        private readonly LabelGrid $labels,
        private readonly PixelGrid $cells,
        array $zones,
        private readonly ?string $whites = null,
        private readonly array $directions = [],
        ?GradedBands $bands = null,
    ) {
        foreach ($zones as $zone) {
            $run = count($this->looks);
            $this->looks[] = $zone->run;
            $touches = [];
            foreach ($zone->touches as $touch) {
                $touches[] = [count($this->looks), $touch->seen];
                $this->looks[] = [$touch];
            }
            $this->ofZone[$zone->number] = [$run, $touches];
            array_push($this->zoneOf, ...array_fill(0, 1 + count($touches), $zone->number));
        }
        $this->bands = $bands ?? GradedBands::of($labels, FindGradedBorders::in($labels, $cells));
    }

    /** How many passes the longest zone takes. */
    public function passes(): int
    {
        return array_reduce(
            $this->looks,
            static fn (int $most, array $look): int => max($most, ...array_map(static fn (DrawnShade $s): int => count($s->steps), $look)),
            0,
        );
    }

    /** Names all that {@see Material} follows from besides the photo and its size; what is laid is no part of it. */
    public function ground(): string
    {
        $seen = array_map(
            static fn (array $look): array => array_map(
                static fn (DrawnShade $s): array => array_map(static fn (float $v): float => round($v, 3), $s->seen->toArray()),
                $look,
            ),
            $this->looks,
        );

        return md5(
            serialize([
                $this->labels->fingerprint(),
                $seen,
                array_keys($this->ofZone),
                $this->whites,
                $this->directions,
                $this->bands->fingerprint(),
            ]),
        );
    }

    /**
     * @param  PixelGrid  $photo  the window of the photo, as many pixels as are drawn
     * @param  float  $widthMm  of the whole drawing
     *
     * @throws OutOfRange for more pixels than can be drawn
     */
    public function material(PixelGrid $photo, float $widthMm, Window $window = new Window()): Material
    {
        OutOfRange::check('the number of pixels of a preview', $photo->count(), 1, self::MOST_PIXELS);
        $mm = ($widthMm * $window->width) / $photo->width;
        $columns = array_map(intval(...), $window->columns($photo->width, $this->labels->width));
        $rows = array_map(intval(...), $window->rows($photo->height, $this->labels->height));
        $zones = SharpZones::in($this->labels, $this->cells, $photo, $window);
        $levels = '';
        foreach ($photo->l as $l) {
            $levels .= chr((int) ($l + 0.5));
        }
        $heightMm = ($mm * $photo->height) / $window->height;
        $grain = PencilGrain::places(
            $mm,
            $window->left * $widthMm,
            $window->top * $heightMm,
            $columns,
            $rows,
            StrokeDirections::of($this->labels, $this->cells, $this->directions),
            $this->labels->width,
        );

        $looks = $this->lookOf($zones, $photo, $columns, $rows);

        return new Material(
            $photo->width,
            $photo->height,
            $looks,
            $levels,
            $grain,
            $mm,
            ...DrawnBands::in($this->bands, array_map(static fn (array $of): int => $of[0], $this->ofZone), $looks, $photo, $window, [
                $this->labels->width,
                $this->labels->height,
            ]),
        );
    }

    /**
     * @param  list<int>  $columns
     * @param  list<int>  $rows
     */
    private function lookOf(string $zones, PixelGrid $photo, array $columns, array $rows): string
    {
        $runs = array_fill(0, 256, self::KEPT_PAPER);
        $touched = [];
        foreach ($this->ofZone as $zone => [$run, $touches]) {
            $runs[$zone] = chr($run);
            if ($touches !== []) {
                $touched[chr($zone)] = array_map(
                    fn (int $level): Lab => self::seen($this->looks[$run], $level),
                    range(0, LaidTones::LEVELS - 1),
                );
            }
        }
        $looks = strtr($zones, implode('', array_map(chr(...), range(0, 255))), implode('', $runs));
        [$lightness, $reds, $blues] = [$photo->l, $photo->a, $photo->b];
        $at = 0;
        foreach ($rows as $row) {
            $from = $row * $this->labels->width;
            foreach ($columns as $column) {
                // Within a cell that is kept white what is clearly darker than the cell lies beyond the light's edge.
                if (
                    $this->whites !== null &&
                    $this->whites[$from + $column] === "\1" &&
                    $lightness[$at] > $this->cells->l[$from + $column] - self::CLEARLY
                ) {
                    $looks[$at] = self::KEPT_PAPER;
                } elseif (isset($touched[$zones[$at]])) {
                    $run = $touched[$zones[$at]][(int) ($lightness[$at] + 0.5)];
                    // Most pixels have the run's colour, and no touch is looked for.
                    if (abs($run->a - $reds[$at]) > self::NEARLY || abs($run->b - $blues[$at]) > self::NEARLY) {
                        $looks[$at] = chr($this->nearest(ord($zones[$at]), $run, $lightness[$at], $reds[$at], $blues[$at]));
                    }
                }
                $at++;
            }
        }

        return $looks;
    }

    /** The look of the run, or of the touch that a colour is clearly nearer to. */
    private function nearest(int $zone, Lab $run, float $l, float $a, float $b): int
    {
        [$best, $touches] = $this->ofZone[$zone];
        $least = max(0.0, sqrt(($run->l - $l) ** 2 + ($run->a - $a) ** 2 + ($run->b - $b) ** 2) - self::CLEARLY) ** 2;
        foreach ($touches as [$look, $seen]) {
            $apart = ($seen->l - $l) ** 2 + ($seen->a - $a) ** 2 + ($seen->b - $b) ** 2;
            if ($apart < $least) {
                [$best, $least] = [$look, $apart];
            }
        }

        return $best;
    }

    /**
     * The colour that a run has in the photo at a value.
     *
     * @param  list<DrawnShade>  $run
     */
    private static function seen(array $run, int $level): Lab
    {
        [$from, $to, $share] = BetweenValues::of(array_map(static fn (DrawnShade $s): float => $s->seen->l, $run), $level);
        [$below, $above] = [$run[$from]->seen, $run[$to]->seen];

        return new Lab((float) $level, $below->a + $share * ($above->a - $below->a), $below->b + $share * ($above->b - $below->b));
    }

    /** @return string sRGB, three bytes a pixel */
    public function after(PassesLaid $passes, Material $material, Illuminant $light = Illuminant::D65, bool $grey = false): string
    {
        $contrast = PencilGrain::contrast($material->mmPerPixel);
        $tones = new LaidTones($this->paper, $light);
        $colours = array_map(
            fn (int $look, int $zone): array => PixelBytes::coloured(
                $tones->over($this->pressed($look), $passes->of($zone)),
                $contrast,
                $grey,
            ),
            array_keys($this->looks),
            $this->zoneOf,
        );
        $colours[255] = array_fill(
            0,
            LaidTones::LEVELS,
            array_fill(0, PencilGrain::PLACES, PixelBytes::of($tones->laid([], 0)->mean, $grey)),
        );
        [$looks, $levels, $grain] = [$material->looks, $material->levels, $material->grain];
        $drawn = '';
        $count = $material->width * $material->height;
        for ($at = 0; $at < $count; $at++) {
            $drawn .= $colours[ord($looks[$at])][ord($levels[$at])][ord($grain[$at])];
        }

        return DrawnBands::over(
            $drawn,
            $material,
            function (array $looks) use ($tones, $passes): RunningOut {
                [$one, $other] = $looks;

                return new RunningOut($tones, $this->paper, $this->pressed($one), $this->pressed($other), [
                    $passes->of($this->zoneOf[$one]),
                    $passes->of($this->zoneOf[$other]),
                ]);
            },
            static fn (Tone $tone): array => PixelBytes::coloured([$tone], $contrast, $grey)[0],
        );
    }

    private function pressed(int $look): PressedRun
    {
        return $this->pressed[$look] ??= new PressedRun($this->looks[$look], $this->paper);
    }
}
