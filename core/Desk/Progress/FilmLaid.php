<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Progress;

use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\Tooth;
use KnottyPrism\Core\Recipe\Sequence\Sequence;

/** How much of a pencil a pass leaves on the paper. */
final class FilmLaid
{
    /**
     * @param  int  $at  the pass in the chain
     * @param  list<float>  $areas  mm², by shade
     * @return float film units · mm²; a finish leaves none
     */
    public static function by(Sequence $chain, int $at, array $areas, Paper $paper): float
    {
        $pass = $chain->passes[$at];
        if ($pass->tool instanceof Finish || $pass->tool->isBlender()) {
            return 0.0;
        }
        $film = 0.0;
        foreach (array_keys(array_filter($pass->pressures, static fn (?\UnitEnum $m): bool => $m !== null)) as $shade) {
            $fill = static fn (int $passes): float => array_sum(
                (new Sequence(array_slice($chain->passes, 0, $passes)))->stackIn($shade)->on($paper)->fill,
            ) / Tooth::STRATA;
            $film += max(0.0, $fill($at + 1) - $fill($at)) * $areas[$shade];
        }

        return $film;
    }
}
