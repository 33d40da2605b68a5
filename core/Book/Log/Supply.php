<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Log;

use KnottyPrism\Core\Drawer\Stock\StockNote;

/** Whether a pencil lasts for what is planned. */
final readonly class Supply
{
    /**
     * @param  float  $used  so far, mm
     * @param  ?float  $left  by what was noted last and what was laid since, mm; null when its length was never noted
     * @param  float  $needed  for what is to come, mm
     */
    public function __construct(public float $used, public ?float $left, public float $needed)
    {
    }

    /** What it falls short by, mm; of a pencil that nobody measured it is said as if it had been whole when the log began. */
    public function short(): float
    {
        return max(0.0, $this->needed - max(0.0, ($this->left ?? StockNote::FULL_MM - $this->used) - Wear::STUB));
    }

    public function runsLow(): bool
    {
        return $this->short() > 0 || ($this->left !== null && $this->left <= StockNote::LOW_MM);
    }

    /** As one would say it of a pencil; empty when there is enough of it. */
    public function words(string $pencil): string
    {
        return match (true) {
            $this->short() > 0 => sprintf(
                '%s may run out: this plan needs about %d mm more than you have left. Get another before the last passes.',
                $pencil,
                (int) ceil($this->short()),
            ),
            $this->runsLow() => sprintf('%s is running low: about %d mm left.', $pencil, (int) round($this->left ?? 0.0)),
            default => '',
        };
    }
}
