<?php

declare(strict_types=1);

namespace App\Plans;

use KnottyPrism\Core\Desk\Order\WorkPass;
use KnottyPrism\Core\Picture\PassesLaid;
use KnottyPrism\Core\Recipe\Sequence\Sequence;

/** How far a planned picture is laid, and in which order each zone is. */
final readonly class Stage
{
    /** @param  array<int, Sequence>  $inOrder  a zone's passes as they are laid, by zone; of others as their sequence has them */
    public function __construct(public PassesLaid $laid, public array $inOrder = [])
    {
    }

    /** Names it, for a key. */
    public function key(): string
    {
        return $this->laid->key().($this->inOrder === [] ? '' : '/'.md5(serialize(array_map(WorkPass::all(...), $this->inOrder))));
    }
}
