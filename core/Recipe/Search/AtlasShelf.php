<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Search;

/** Where atlases are kept between questions: an atlas takes as long as a search, and serves every search with the same pencils. */
interface AtlasShelf
{
    /** The packed atlas kept under this key, if it still is. */
    public function fetch(string $key): ?string;

    public function keep(string $key, string $packed): void;
}
