<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Palette;

use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Search\Atlas;
use KnottyPrism\Core\Recipe\Search\AtlasShelf;
use KnottyPrism\Core\Recipe\Search\Moves;
use KnottyPrism\Core\Recipe\Search\Shortlist;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/**
 * What a palette for a whole picture is chosen from: the pencils that promise most, and the forecast of every set of them for every colour.
 */
final readonly class PaletteGround
{
    /** Targets closer than this, ΔE00, count once when pencils are chosen. */
    private const ALIKE = 2.5;

    /** One that weighs less than this of all joins one that is farther off: it decides nothing. */
    private const LITTLE = 0.03;

    private const NEARLY_ALIKE = 8.0;

    /** Pencils that take part in the choice of a palette: those of a large drawer that the free plan uses, and no more. */
    private const CHOSEN_FROM = 24;

    /**
     * @param  list<Pencil>  $pencils  in the order of the search's places
     * @param  list<int>  $clusterOf  for each wanted colour the place of its target in the search
     */
    private function __construct(public PaletteSearch $search, public array $pencils, public array $clusterOf)
    {
    }

    /**
     * @param  list<Shade>  $wanted
     * @param  list<string>  $lockedIn  identifiers of pencils that must take part
     * @param  ?\Closure(int, int): void  $progress  told how far, of how much
     */
    public static function for(
        Drawer $hand,
        Paper $paper,
        array $wanted,
        array $lockedIn,
        Mode $mode,
        ?AtlasShelf $shelf,
        ?\Closure $progress = null,
    ): self {
        [$clusters, $clusterOf] = self::clusters($wanted);
        $pencils = count($hand->pencils) <= self::CHOSEN_FROM ? $hand->pencils : self::promising($hand, $paper, $clusters, $lockedIn);
        $moves = new Moves(new Drawer($pencils), $paper);
        $atlas = Atlas::kept($moves, $shelf);
        $costs = new SetCosts();
        foreach ($clusters as $i => $cluster) {
            if ($progress !== null) {
                $progress($i, count($clusters));
            }
            $costs->add(new SetForecast($moves, $atlas, $cluster->target, $mode, $cluster->grainCounts), $cluster->weight);
        }
        if ($progress !== null) {
            $progress(count($clusters), count($clusters));
        }

        return new self(new PaletteSearch($costs, count($pencils)), $pencils, $clusterOf);
    }

    /**
     * @param  list<string>  $ids
     * @return list<int> places of those of them that take part
     */
    public function placesOf(array $ids): array
    {
        return array_values(array_filter(array_keys($this->pencils), fn (int $p): bool => in_array($this->pencils[$p]->id(), $ids, true)));
    }

    /**
     * Of a large drawer, those that most often are among the first for a target.
     *
     * @param  list<Shade>  $clusters
     * @param  list<string>  $lockedIn
     * @return list<Pencil>
     */
    private static function promising(Drawer $hand, Paper $paper, array $clusters, array $lockedIn): array
    {
        $shortlist = new Shortlist(new Moves($hand, $paper));
        $score = array_fill_keys($lockedIn, INF);
        $byId = [];
        foreach ($lockedIn as $id) {
            $byId[$id] = $hand->pencil($id);
        }
        foreach ($clusters as $cluster) {
            foreach ($shortlist->for($cluster->target)->pencils as $rank => $pencil) {
                $byId[$pencil->id()] = $pencil;
                $score[$pencil->id()] = ($score[$pencil->id()] ?? 0.0) + sqrt($cluster->weight) / ($rank + 3);
            }
        }
        arsort($score);

        return array_map(static fn (string|int $id): Pencil => $byId[$id], array_slice(array_keys($score), 0, self::CHOSEN_FROM));
    }

    /**
     * @param  list<Shade>  $wanted
     * @return array{list<Shade>, list<int>}
     */
    private static function clusters(array $wanted): array
    {
        $clusters = $clusterOf = [];
        $whole = array_sum(array_map(static fn (Shade $w): float => $w->weight, $wanted));
        uasort($wanted, static fn (Shade $a, Shade $b): int => $b->weight <=> $a->weight);
        foreach ($wanted as $i => $one) {
            foreach ($clusters as $k => $cluster) {
                if (
                    $cluster->target->deltaE00($one->target) < ($one->weight < self::LITTLE * $whole ? self::NEARLY_ALIKE : self::ALIKE)
                ) {
                    $clusters[$k] = self::joined($cluster, $one);
                    $clusterOf[$i] = $k;

                    continue 2;
                }
            }
            $clusterOf[$i] = count($clusters);
            $clusters[] = $one;
        }
        ksort($clusterOf);

        return [$clusters, array_values($clusterOf)];
    }

    /** The first for both of two that are nearly alike: what both weigh, and of grain what counts in the mean. */
    private static function joined(Shade $one, Shade $other): Shade
    {
        $weight = $one->weight + $other->weight;

        return $one
            ->weighing($weight)
            ->minding(
                $weight > 0 ? ($one->weight * $one->grainCounts + $other->weight * $other->grainCounts) / $weight : $one->grainCounts,
            );
    }
}
