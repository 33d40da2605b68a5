<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Drawer\Stock;

use KnottyPrism\Core\Error\OutOfRange;

/**
 * What is known of a pencil besides its colour: whether it is available, how much is left, whether it is still made, and what it was
 * called.
 */
final readonly class StockNote
{
    /** Length of a pencil that was never sharpened, millimetres. */
    public const FULL_MM = 175.0;

    /** From here on a pencil runs low: too short to hold without an extender soon. */
    public const LOW_MM = 60.0;

    /** @var ?float millimetres, 0 to {@see self::FULL_MM} */
    public ?float $lengthLeft;

    /** @param  list<string>  $formerly  numbers and names it had before */
    public function __construct(
        public Stock $state = Stock::Owned,
        ?float $lengthLeft = null,
        public bool $discontinued = false,
        public array $formerly = [],
        public string $notes = '',
    ) {
        $this->lengthLeft =
            $lengthLeft === null ? null : OutOfRange::check('the length left in millimetres', $lengthLeft, 0, self::FULL_MM);
    }

    /** A length that was measured says by itself whether the pencil runs low. */
    public function withLength(float $millimetres): self
    {
        return new self(
            $millimetres <= self::LOW_MM ? Stock::Low : Stock::Owned,
            $millimetres,
            $this->discontinued,
            $this->formerly,
            $this->notes,
        );
    }

    public function withState(Stock $state): self
    {
        return new self($state, $state->isOwned() ? $this->lengthLeft : null, $this->discontinued, $this->formerly, $this->notes);
    }

    /** "running low, 40 mm left; no longer made; used to be 12 and Old rust" */
    public function words(): string
    {
        $state = match ($this->state) {
            Stock::Owned => 'owned',
            Stock::Low => 'running low',
            Stock::Wanted => 'wanted',
            Stock::Absent => 'not owned',
        };

        return implode(
            '; ',
            array_filter([
                $state.($this->lengthLeft === null ? '' : sprintf(', %.0f mm left', $this->lengthLeft)),
                $this->discontinued ? 'no longer made' : '',
                $this->formerly === [] ? '' : 'used to be '.implode(' and ', $this->formerly),
            ]),
        );
    }
}
