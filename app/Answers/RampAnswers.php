<?php

declare(strict_types=1);

namespace App\Answers;

use App\Plans\PlanGround;
use App\Plans\PlanRepository;
use App\Resources\ChartResource;
use App\Resources\Figures;
use App\Resources\RecipeResource;
use KnottyPrism\Core\Colour\ColourReading;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Swatches\Coat;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Picture\Fade\Joining;
use KnottyPrism\Core\Picture\Fade\RampAcross;

/**
 * Fades across the zones of a planned picture.
 *
 * @phpstan-import-type PlanRampJson from \Described
 */
final class RampAnswers
{
    /** Places read along the line. */
    private const PLACES = 9;

    /** Steps, as shares of the line, in which the zone's edge is looked for. */
    private const FINE = 0.02;

    /** A place is the mean of a square of this side, pixels of the grid: strokes don't follow single pixels. */
    private const SQUARE = 3;

    public function __construct(private readonly PlanRepository $plans)
    {
    }

    /**
     * @param  array{float, float}  $from  shares of the picture
     * @param  array{float, float}  $to
     * @return PlanRampJson
     */
    public function across(PlanGround $ground, array $from, array $to): array
    {
        $grid = $ground->grid();
        $point = static fn (float $t): array => [$from[0] + $t * ($to[0] - $from[0]), $from[1] + $t * ($to[1] - $from[1])];
        $zoneAt = static fn (array $p): int => $ground->zones->labels->at($p[0], $p[1]);
        $zone = $zoneAt($point(0.5));
        // Only the stretch within the zone counts: a hand draws a little beyond it.
        [$begin, $end] = [0.5, 0.5];
        while ($begin > 0 && $zoneAt($point(max(0.0, $begin - self::FINE))) === $zone) {
            $begin = max(0.0, $begin - self::FINE);
        }
        while ($end < 1 && $zoneAt($point(min(1.0, $end + self::FINE))) === $zone) {
            $end = min(1.0, $end + self::FINE);
        }
        $along = array_map(
            static fn (int $i): Lab => $ground->tone->fitted(
                self::at($grid, ...$point($begin + (($end - $begin) * $i) / (self::PLACES - 1))),
            ),
            range(0, self::PLACES - 1),
        );
        $note = $ground->zones->note($zone);
        $planned = $this->plans->zone($ground, $zone);
        if ($planned->sequence === null) {
            throw ImpossibleChange::because(sprintf('"%s" is not planned yet; plan the picture first.', $note->name));
        }
        $stacks = array_map($planned->sequence->stackIn(...), array_keys($planned->shades));
        $across = RampAcross::of($along, $stacks, $ground->paper);
        $joining = Joining::for($note->surface, $ground->paper);

        return [
            'zone' => $note->name,
            'joining' => $joining->value,
            'joiningWords' => $joining->words($note->surface),
            'pencils' => array_map(
                static fn (array $r): array => [
                    ...RecipeResource::pencil($r['pencil']),
                    'from' => Figures::share($r['from']),
                    'to' => Figures::share($r['to']),
                ],
                $across->ramp->reaches,
            ),
            'overlaps' => array_map(static fn (array $o): array => array_map(Figures::share(...), $o), $across->ramp->overlaps()),
            'unevenness' => round($across->ramp->unevenness(), 2),
            'steps' => array_map(
                static fn (array $step): array => [
                    'share' => Figures::share($step['share']),
                    'words' => (new ColourReading($step['lab']))->words(),
                    'strata' => self::strata($step['coats'], $ground),
                    'passes' => array_map(
                        static fn (Coat $c): array => [
                            'number' => $c->pass->pencil->record->number,
                            'pressureWord' => $c->coverage < 0.99
                                ? 'whisper, strokes apart'
                                : Pressure::nearest($c->pass->pressure)->value,
                            'pressure' => round($c->pass->pressure * $c->coverage, 2),
                        ],
                        $step['coats'],
                    ),
                ],
                $across->ramp->steps,
            ),
            'photo' => array_map(static fn (Lab $lab): string => (string) Figures::colour($lab)['hex'], $along),
        ];
    }

    /**
     * In grain: strokes that stand apart lay less film on the whole.
     *
     * @param  list<Coat>  $coats
     * @return list<string>
     */
    private static function strata(array $coats, PlanGround $ground): array
    {
        $sheet = new Sheet($ground->paper);
        foreach ($coats as $coat) {
            Stack::apply($coat->pass, $sheet, $coat->coverage);
        }

        return ChartResource::strata($sheet);
    }

    private static function at(PixelGrid $grid, float $x, float $y): Lab
    {
        $half = intdiv(self::SQUARE, 2);
        $l = $a = $b = 0.0;
        $n = 0;
        $cx = (int) round($x * ($grid->width - 1));
        $cy = (int) round($y * ($grid->height - 1));
        for ($dy = -$half; $dy <= $half; $dy++) {
            for ($dx = -$half; $dx <= $half; $dx++) {
                $at = max(0, min($grid->height - 1, $cy + $dy)) * $grid->width + max(0, min($grid->width - 1, $cx + $dx));
                $l += $grid->l[$at];
                $a += $grid->a[$at];
                $b += $grid->b[$at];
                $n++;
            }
        }

        return new Lab($l / $n, $a / $n, $b / $n);
    }
}
