<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Cautions;

/** One thing to mind, looked for in what the simulated passes do; nothing is warned of because of a pencil's name alone. */
interface CautionCheck
{
    /** @return list<Caution> its remedy still general advice; empty where there is nothing to mind */
    public function in(Laying $laying): array;
}
