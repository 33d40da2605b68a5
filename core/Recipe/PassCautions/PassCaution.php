<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\PassCautions;

use KnottyPrism\Core\Recipe\Cautions\CautionCode;

/** Something to mind in a sequence: the pass that causes it (1 the first; 0 all of them together), and in which shades. */
final readonly class PassCaution
{
    /** @param  non-empty-list<int>  $shades  by their place */
    public function __construct(public CautionCode $code, public int $pass, public array $shades, public string $text, public string $remedy)
    {
    }
}
