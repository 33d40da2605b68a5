<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe;

use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Swatches\Swatch;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Search\AtlasShelf;

/** What stands in for a pencil that is not available: the nearest single one, and mixes that make its heavy and its light swatch. */
final readonly class Substitute
{
    private function __construct(
        public Pencil $missing,
        public Pencil $nearest,
        public float $nearestHeavy,
        public float $nearestLight,
        public Recipe $heavy,
        public Recipe $light,
    ) {
    }

    /** @throws OutOfRange when nothing else is available */
    public static function for(Pencil $missing, Drawer $drawer, Paper $paper, ?AtlasShelf $shelf = null): self
    {
        $hand = $drawer->usable()->without([$missing->id()]);
        $planner = new RecipePlanner($hand, $paper, Method::free(), $shelf);
        [$heavy, $light] = [Swatch::Heavy->colourOf($missing), Swatch::Light->colourOf($missing)];
        // A pencil used for a light swatch is the same pencil as for the heavy one: both must be near.
        $apart = array_map(
            static fn (Pencil $p): float => Swatch::Heavy->colourOf($p)->deltaE00($heavy) + Swatch::Light->colourOf($p)->deltaE00($light),
            $hand->pencils,
        );
        asort($apart);
        $nearest = $hand->pencils[(int) array_key_first($apart)];

        return new self(
            $missing,
            $nearest,
            Swatch::Heavy->colourOf($nearest)->deltaE00($heavy),
            Swatch::Light->colourOf($nearest)->deltaE00($light),
            $planner->recipesFor($heavy, RecipePlanner::MOST_PASSES, 1)[0],
            $planner->recipesFor($light, RecipePlanner::MOST_PASSES, 1)[0],
        );
    }
}
