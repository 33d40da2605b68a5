<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Finish;

use KnottyPrism\Core\Colour\Lab;

/** A shade as it lies by now. */
final readonly class LaidShade
{
    /**
     * @param  string  $called "the dark", "the rust"
     * @param  Lab  $target  what the paper can reach of the photo
     * @param  Lab  $now  what the model says lies there
     * @param  bool  $touch  whether it stands beside the value run
     */
    public function __construct(public string $called, public Lab $target, public Lab $now, public bool $touch = false)
    {
    }
}
