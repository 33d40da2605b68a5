<?php

declare(strict_types=1);

namespace App\Cache;

use Illuminate\Contracts\Cache\Repository;
use KnottyPrism\Core\Recipe\Search\AtlasShelf;

/** The core's atlases in a cache store of their own. */
final class KeptAtlases implements AtlasShelf
{
    private const KEPT_SECONDS = 30 * 24 * 3600;

    public function __construct(private readonly Repository $cache)
    {
    }

    public function fetch(string $key): ?string
    {
        $packed = rescue(fn (): mixed => $this->cache->get(Build::core().'/'.$key));

        return is_string($packed) ? $packed : null;
    }

    public function keep(string $key, string $packed): void
    {
        rescue(fn (): bool => $this->cache->put(Build::core().'/'.$key, $packed, self::KEPT_SECONDS));
    }
}
