<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Check;

use KnottyPrism\Core\Error\OutOfRange;

/** How many passes of each zone are laid. */
final readonly class Progress
{
    public const MOST = 60;

    /**
     * @param  array<int, int>  $byZone  by the zone's number
     *
     * @throws OutOfRange
     */
    public function __construct(public int $everywhere, public array $byZone = [])
    {
        foreach ([$everywhere, ...$byZone] as $passes) {
            OutOfRange::check('the number of passes that are laid', $passes, 0, self::MOST);
        }
    }

    /** As it is when the whole plan is laid. */
    public static function whole(): self
    {
        return new self(self::MOST);
    }

    public function of(int $zone): int
    {
        return $this->byZone[$zone] ?? $this->everywhere;
    }
}
