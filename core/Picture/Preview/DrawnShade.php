<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Preview;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pass;

/** One shade of a zone as it is drawn: where the photo has it, and what each pass of the zone lays there. */
final readonly class DrawnShade
{
    /**
     * @param  Lab  $seen  in the photo
     * @param  list<Pass|Finish|null>  $steps  of the zone's passes in order, null when the shade is left out
     */
    public function __construct(public Lab $seen, public array $steps)
    {
    }

    /** Whether every pass of both is of the same pencil or finish, or left out in one of them: then what lies between them can be laid. */
    public function goesWith(self $other): bool
    {
        if (count($this->steps) !== count($other->steps)) {
            return false;
        }
        foreach ($this->steps as $i => $step) {
            $there = $other->steps[$i];
            $alike =
                $step === null ||
                $there === null ||
                ($step instanceof Finish
                    ? $there instanceof Finish && $step->value === $there->value
                    : $there instanceof Pass && $step->pencil->id() === $there->pencil->id());
            if (! $alike) {
                return false;
            }
        }

        return true;
    }
}
