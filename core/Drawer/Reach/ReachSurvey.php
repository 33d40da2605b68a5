<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Drawer\Reach;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Purchase;
use KnottyPrism\Core\Drawer\Selection;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;

/**
 * What a drawer reaches on a paper beside all that is known: every pencil alone at every pressure, and every two of them both ways round,
 * laid and measured. Of a very large stock of pencils not owned, those that lie farthest apart stand for all.
 */
final class ReachSurvey
{
    /** Pressures of two passes: tints, an even mix, a rich one, and a glaze. */
    private const PAIRS = [[0.35, 0.35], [0.55, 0.8], [0.8, 0.8], [1.0, 0.55]];

    private const PURCHASES = 3;

    /** Pencils not owned that are tried, and owned ones that take part: enough to fill every corner, and a matter of seconds. */
    private const MOST_TRIED = 80;

    private const MOST_OWNED = 80;

    public readonly Reach $owned;

    public readonly Reach $all;

    /** @var list<Purchase> the best next, then the best beside it, and so on; the gain as a share of all that is reached */
    public readonly array $purchases;

    /** @var array<string, Sheet> the first of two passes, by pencil and pressure */
    private array $firsts = [];

    /**
     * @param  list<Pencil>  $known  owned or not, blenders left out
     * @param  ?\Closure(int, int): void  $progress  told how far, of how much
     */
    public function __construct(array $known, private readonly Paper $paper, private readonly ?\Closure $progress = null)
    {
        $owned = Selection::spread(array_values(array_filter($known, static fn (Pencil $p): bool => $p->record->owned)), self::MOST_OWNED);
        $others = Selection::spread(
            array_values(array_filter($known, static fn (Pencil $p): bool => ! $p->record->owned)),
            self::MOST_TRIED,
        );
        $this->owned = new Reach();
        $all = new Reach();
        $with = array_map(static fn (): Reach => new Reach(), $others);
        $pencils = [...$owned, ...$others];
        $mine = count($owned);
        foreach ($pencils as $i => $one) {
            if ($this->progress !== null) {
                ($this->progress)($i, count($pencils));
            }
            $alone = $this->alone($one);
            foreach ($alone as $lab) {
                ($i < $mine ? $this->owned : $with[$i - $mine])->add($lab);
            }
            for ($j = 0; $j < $i; $j++) {
                // Two owned, one of them owned, or two that are both to be bought: only these last belong to nobody's next purchase.
                $reach = $i < $mine ? $this->owned : ($j < $mine ? $with[$i - $mine] : $all);
                foreach ($this->mixes($one, $pencils[$j]) as $lab) {
                    $reach->add($lab);
                }
            }
        }
        $this->all = array_reduce([$this->owned, ...$with], static fn (Reach $sum, Reach $r): Reach => $sum->with($r), $all);
        $this->purchases = $this->best($others, $with);
    }

    /** Of all that the known pencils reach together, 0–1. */
    public function share(): float
    {
        $all = $this->all->volume();

        return $all > 0 ? $this->owned->volume() / $all : 0.0;
    }

    /**
     * @param  list<Pencil>  $others
     * @param  array<int, Reach>  $with  what each of them adds to the owned ones
     * @return list<Purchase>
     */
    private function best(array $others, array $with): array
    {
        $all = $this->all->volume();
        $have = $this->owned;
        $found = [];
        while (count($found) < self::PURCHASES && $with !== []) {
            $volumes = array_map(static fn (Reach $r): float => $have->with($r)->volume(), $with);
            arsort($volumes);
            $at = (int) array_key_first($volumes);
            $gain = $all > 0 ? ($volumes[$at] - $have->volume()) / $all : 0.0;
            if ($gain <= 0.0) {
                break;
            }
            $found[] = new Purchase($others[$at], $gain);
            $have = $have->with($with[$at]);
            unset($with[$at]);
            foreach ($with as $k => $reach) {
                foreach ($this->mixes($others[$k], $others[$at]) as $lab) {
                    $reach->add($lab);
                }
            }
        }

        return $found;
    }

    /** @return list<Lab> */
    private function alone(Pencil $pencil): array
    {
        $seen = [];
        foreach (Pressure::shares() as $pressure) {
            $sheet = clone $this->first($pencil, $pressure);
            $seen[] = Lab::ofReflectance($sheet->meanReflectance());
            LayPass::onto($sheet, $pencil, $pressure);
            $seen[] = Lab::ofReflectance($sheet->meanReflectance());
        }

        return $seen;
    }

    /** @return list<Lab> of two pencils, both ways round */
    private function mixes(Pencil $one, Pencil $other): array
    {
        $seen = [];
        foreach ([[$one, $other], [$other, $one]] as [$below, $above]) {
            foreach (self::PAIRS as [$first, $second]) {
                $sheet = clone $this->first($below, $first);
                LayPass::onto($sheet, $above, $second);
                $seen[] = Lab::ofReflectance($sheet->meanReflectance());
            }
        }

        return $seen;
    }

    private function first(Pencil $pencil, float $pressure): Sheet
    {
        $key = $pencil->id().'@'.$pressure;
        if (! isset($this->firsts[$key])) {
            $this->firsts[$key] = new Sheet($this->paper);
            LayPass::onto($this->firsts[$key], $pencil, $pressure);
        }

        return $this->firsts[$key];
    }
}
