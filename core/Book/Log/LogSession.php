<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Log;

/** What was worked on one study without getting up for long. */
final readonly class LogSession
{
    /** @param  non-empty-list<LoggedPass>  $passes  the earliest first, those left out among them */
    public function __construct(public array $passes)
    {
    }

    public function study(): int
    {
        return $this->passes[0]->study;
    }

    /** Seconds since 1970: the first tick was made when its pass was done. */
    public function began(): int
    {
        return $this->passes[0]->at - ($this->passes[0]->skipped ? 0 : (int) round(60 * $this->passes[0]->minutes));
    }

    public function ended(): int
    {
        return $this->passes[count($this->passes) - 1]->at;
    }

    public function minutes(): float
    {
        return ($this->ended() - $this->began()) / 60;
    }

    /** @return list<LoggedPass> what was laid */
    public function laid(): array
    {
        return array_values(array_filter($this->passes, static fn (LoggedPass $p): bool => ! $p->skipped));
    }
}
