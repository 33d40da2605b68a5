<?php

declare(strict_types=1);

namespace Symfony\Component\Clock;

use Psr\Clock\ClockInterface as PsrClockInterface;

/** Stands in for symfony/clock: a clock that can also wait. */
interface ClockInterface extends PsrClockInterface
{
    /** @param float|int $seconds */
    public function sleep(float|int $seconds): void;

    public function withTimeZone(\DateTimeZone|string $timezone): static;
}
