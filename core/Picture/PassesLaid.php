<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

use KnottyPrism\Core\Error\OutOfRange;

/** How far a picture is laid: how many of each zone's passes lie. */
final readonly class PassesLaid
{
    /** More than any zone has. */
    public const MOST = 60;

    /**
     * @param  array<int, int>  $byZone  by the zone's number, where it is another number than everywhere
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

    /** Names it, for a key. */
    public function key(): string
    {
        $byZone = $this->byZone;
        ksort($byZone);

        return (string) json_encode([$this->everywhere, $byZone]);
    }
}
