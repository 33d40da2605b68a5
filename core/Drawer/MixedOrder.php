<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Drawer;

use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Pencil\Pencil;

/** Three pencils over one another in one order. */
final readonly class MixedOrder
{
    /** @param  list<Pencil>  $pencils  from the paper up */
    public function __construct(public array $pencils, public Sheet $sheet)
    {
    }
}
