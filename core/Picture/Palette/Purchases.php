<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Palette;

use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Drawer\Purchase;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Recipe\FindSequences;
use KnottyPrism\Core\Recipe\Sequence\Outcome;

/**
 * Which pencils not available would bring a picture nearest. Each is tried alone: worked into the sequence of every area that has a colour
 * out of reach, as an artist would who has just bought it, and judged by what comes nearer on paper.
 */
final readonly class Purchases
{
    /**
     * A colour that misses by less, ΔE00, is no reason to buy a pencil: sequences miss as much where pencils available would come nearer
     * and a hand would err more. A gain below the other is none either.
     */
    private const WELL_MADE = 4.0;

    private const WORTH_BUYING = 0.05;

    /** Pencils that sequences are searched with: those that promise most; */
    private const TRIED = 7;

    /** and areas that they are searched for, those that lose most. */
    private const AREAS = 4;

    /** What a pencil must bring an area, ΔE00 on paper, to be taken up there. */
    private const TAKEN_UP = 0.12;

    /**
     * @param  list<MadeArea>  $made
     * @param  list<Pencil>  $pencils  not available
     * @param  int  $mostPasses  of an area's value run
     * @return list<Purchase> by how much the mean error on paper falls, ΔE00, the most first
     */
    public static function for(array $made, array $pencils, Paper $paper, int $count, int $mostPasses = FindSequences::MOST_PASSES): array
    {
        $weight = array_sum(array_map(static fn (MadeArea $m): float => $m->weight(), $made));
        $poor = array_values(array_filter($made, static fn (MadeArea $m): bool => self::outOfReach($m) !== []));
        usort(
            $poor,
            static fn (MadeArea $a, MadeArea $b): int => $b->weight() * $b->answer->missed() <=> $a->weight() * $a->answer->missed(),
        );
        $poor = array_slice($poor, 0, self::AREAS);
        $hand = self::hand($made);
        $found = [];
        foreach (self::promising($poor, $hand, $pencils, $paper) as $pencil) {
            $gain = self::gain($poor, $hand, $pencil->asOwned(), $paper, $mostPasses) / $weight;
            if ($gain > self::WORTH_BUYING) {
                $found[] = new Purchase($pencil, $gain);
            }
        }
        usort($found, static fn (Purchase $a, Purchase $b): int => $b->gain <=> $a->gain);

        return array_slice($found, 0, $count);
    }

    /**
     * @param  list<MadeArea>  $made
     * @return list<Pencil> those that the picture is worked in: another will have to go with them
     */
    private static function hand(array $made): array
    {
        $hand = [];
        foreach ($made as $area) {
            foreach ($area->answer->sequence->pencils() as $pencil) {
                $hand[$pencil->id()] = $pencil->asOwned();
            }
        }

        return array_values($hand);
    }

    /** @return list<Outcome> */
    private static function outOfReach(MadeArea $area): array
    {
        return array_values(array_filter($area->answer->outcomes, static fn (Outcome $o): bool => $o->missed > self::WELL_MADE));
    }

    /**
     * @param  list<MadeArea>  $areas
     * @param  list<Pencil>  $hand
     * @return float how much nearer they come on paper with a pencil more, ΔE00 times their weight
     */
    private static function gain(array $areas, array $hand, Pencil $bought, Paper $paper, int $mostPasses): float
    {
        $finders = [];
        $gain = 0.0;
        foreach ($areas as $area) {
            $find = $finders[implode(',', $area->method->settings()).$area->mode->value] ??= new FindSequences(
                new Drawer([...$hand, $bought]),
                $paper,
                $area->method,
                mode: $area->mode,
            );
            $with = $find->atAGlance($area->answer->shades(), $mostPasses, [$bought->id() => self::TAKEN_UP]);
            // What comes nearer without it is no reason to buy it.
            $taken = $with !== null && in_array($bought->id(), Pencil::identifiers($with->sequence->pencils()), true);
            $gain += $taken ? $area->weight() * max(0.0, $area->answer->errorOnPaper() - $with->errorOnPaper()) : 0.0;
        }

        return $gain;
    }

    /**
     * @param  list<MadeArea>  $areas
     * @param  list<Pencil>  $hand
     * @param  list<Pencil>  $pencils
     * @return list<Pencil> the first few
     */
    private static function promising(array $areas, array $hand, array $pencils, Paper $paper): array
    {
        $wanted = array_merge(...array_map(static fn (MadeArea $m): array => $m->answer->outcomes, $areas));
        $promise = new Promise($wanted, $hand, $paper);
        $of = array_map($promise->of(...), $pencils);
        arsort($of);

        return array_map(static fn (int $i): Pencil => $pencils[$i], array_slice(array_keys(array_filter($of)), 0, self::TRIED));
    }
}
