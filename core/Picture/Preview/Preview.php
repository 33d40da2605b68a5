<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Preview;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Medium\Paper\Grain;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\Tooth;
use KnottyPrism\Core\Medium\Stack\LaidStack;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Photo\Zones\BetweenValues;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Picture\PlannedTarget;

/**
 * The picture as it will look after each step: every pixel takes its zone's recipes, blended by its own value between the two
 * targets it lies between, and shows the stratum that the paper's grain has there.
 */
final class Preview
{
    /** Values between two targets are told apart in so many steps of L*. */
    private const LEVELS = 101;

    public const MOST_PIXELS = 8_000_000;

    /** @var array<int, list<list<array{float, float, float}>>> by target's place in the plan: after each step, L*, a*, b* of each stratum */
    private array $strata = [];

    /**
     * @param  list<PlannedTarget>  $targets
     * @param  ?string  $whites  a byte for every pixel of the map, 1 where the paper is kept white
     */
    public function __construct(private readonly Paper $paper, private readonly ZoneMap $map, private readonly array $targets, private readonly ?string $whites = null)
    {
        foreach ($targets as $i => $target) {
            $this->strata[$i] = $this->afterEveryStep($target->recipe->stack);
        }
    }

    /**
     * @param  int  $step  after which step: 0 the bare paper; beyond the last the end
     * @param  array<int, float>  $lightness  the photo's L*, width × height, row after row
     * @return string sRGB, three bytes a pixel
     */
    public function after(int $step, int $width, int $height, array $lightness, bool $grey = false): string
    {
        OutOfRange::check('the number of pixels of a preview', $width * $height, 1, self::MOST_PIXELS);
        OutOfRange::check('the number of values', count($lightness), $width * $height, $width * $height);
        $colours = [];
        foreach (array_keys($this->map->zones) as $zone) {
            $colours[$zone] = $this->coloursOf($zone, $step, $grey);
        }
        [$labels, $mapWidth, $mapHeight] = [$this->map->labels->numbers(), $this->map->labels->width, $this->map->labels->height];
        $tile = Grain::tile();
        $side = Grain::SIDE;
        $whites = $this->whites ?? str_repeat("\0", $mapWidth * $mapHeight);
        $bare = self::bytesOf(Lab::ofReflectance($this->paper->reflectance), $grey);
        $columns = [];
        for ($x = 0; $x < $width; $x++) {
            $columns[] = (int) (($x + 0.5) * $mapWidth / $width);
        }
        $rows = [];
        for ($y = 0, $at = 0; $y < $height; $y++) {
            $mapRow = (int) (($y + 0.5) * $mapHeight / $height) * $mapWidth;
            $grainRow = ($y % $side) * $side;
            $row = '';
            foreach ($columns as $x => $column) {
                $row .= $whites[$mapRow + $column] === "\1" ? $bare : $colours[$labels[$mapRow + $column]][(int) $lightness[$at]][$tile[$grainRow + $x % $side]];
                $at++;
            }
            $rows[] = $row;
        }

        return implode('', $rows);
    }

    /**
     * Three bytes for every level of L* and every stratum of a zone.
     *
     * @return list<list<string>>
     */
    private function coloursOf(int $zone, int $step, bool $grey): array
    {
        $ends = [];
        foreach ($this->targets as $i => $target) {
            if ($target->zone === $zone && $target->role->isOfValueRun()) {
                $ends[] = [$target->seen->l, $this->strata[$i][min($step, count($this->strata[$i]) - 1)]];
            }
        }
        usort($ends, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $colours = [];
        for ($level = 0; $level < self::LEVELS; $level++) {
            [$from, $to, $share] = BetweenValues::of(array_column($ends, 0), $level);
            [$below, $above] = [$ends[$from][1], $ends[$to][1]];
            $row = [];
            for ($m = 0; $m < Tooth::STRATA; $m++) {
                $lab = new Lab(...array_map(static fn (float $u, float $v): float => $u + $share * ($v - $u), $below[$m], $above[$m]));
                $row[] = self::bytesOf($lab, $grey);
            }
            $colours[] = $row;
        }

        return $colours;
    }

    private static function bytesOf(Lab $lab, bool $grey): string
    {
        $srgb = Srgb::ofXyz(($grey ? new Lab($lab->l, 0, 0) : $lab)->xyz());

        return chr((int) round(255 * $srgb->red)).chr((int) round(255 * $srgb->green)).chr((int) round(255 * $srgb->blue));
    }

    /** @return list<list<array{float, float, float}>> by step, from the bare paper: L*, a*, b* of each stratum */
    private function afterEveryStep(Stack $stack): array
    {
        $laid = LaidStack::of($stack, $this->paper);

        return array_map(static fn (int $step): array => array_map(static fn (Lab $lab): array => $lab->toArray(), $laid->strata($step)), range(0, $laid->steps()));
    }
}
