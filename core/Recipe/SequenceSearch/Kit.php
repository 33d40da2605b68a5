<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

use KnottyPrism\Core\Recipe\Search\Atlas;
use KnottyPrism\Core\Recipe\Search\Moves;

/** The pencils that a search takes, with all that was laid of them so far: it serves every area and every shade. */
final readonly class Kit
{
    public LaidBook $book;

    public Outlook $outlook;

    public function __construct(public Moves $moves, public Atlas $atlas)
    {
        $this->book = new LaidBook($moves);
        $this->outlook = new Outlook($atlas, $this->book);
    }
}
