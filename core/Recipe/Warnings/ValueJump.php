<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Warnings;

use KnottyPrism\Core\Drawer\Character;
use KnottyPrism\Core\Medium\Laying\Pass;

/** A very light pencil straight onto a dark. */
final class ValueJump extends WarningKind
{
    /** L* between a pencil and what it is laid on from which the result hangs on the hand. */
    private const JUMP = 48.0;

    /** L* that such a pass must raise to matter. */
    private const LIFTS = 3.0;

    public function __construct()
    {
        parent::__construct('value jump', 5);
    }

    public function in(Laying $laying): array
    {
        foreach ($laying->trace->passes() as $i => $pass) {
            $jump = Character::of($pass->pencil)->heavy->l - $laying->trace->before($i)->l;
            if ($i > 0 && $jump > self::JUMP && $laying->trace->labs[$i]->l - $laying->trace->before($i)->l > self::LIFTS) {
                return [
                    $this->at(
                        $i,
                        $laying,
                        sprintf(
                            'Pass %d puts a very light pencil straight onto a dark: the result varies a lot with the hand.',
                            $laying->trace->number($i),
                        ),
                        'Go there through a middle value.',
                    ),
                ];
            }
        }

        return [];
    }
}
