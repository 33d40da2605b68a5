<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Check;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Photo\Zones\Role;

/** One shade of a zone as it is planned. */
final readonly class CheckedShade
{
    /**
     * @param  Lab  $seen  in the photo
     * @param  Lab  $fitted  what the plan aims at
     * @param  list<int>  $laidAfter  how many steps of its stack are laid after so many passes of the zone, from none
     */
    public function __construct(public Role $role, public string $name, public Lab $seen, public Lab $fitted, public Stack $stack, private array $laidAfter)
    {
    }

    /**
     * @param  list<bool>  $marks  whether each pass of the zone goes over this shade
     * @return list<int> how many steps are laid after so many passes, from none
     */
    public static function laidAfter(array $marks): array
    {
        $laid = [0];
        foreach ($marks as $over) {
            $laid[] = $laid[count($laid) - 1] + ($over ? 1 : 0);
        }

        return $laid;
    }

    /** What of the stack is laid after so many passes of the zone. */
    public function done(int $passes): Stack
    {
        return new Stack(array_slice($this->stack->steps, 0, $this->laid($passes)));
    }

    /** What is still to come. */
    public function toCome(int $passes): Stack
    {
        return new Stack(array_slice($this->stack->steps, $this->laid($passes)));
    }

    private function laid(int $passes): int
    {
        return $this->laidAfter[max(0, min(count($this->laidAfter) - 1, $passes))] ?? 0;
    }
}
