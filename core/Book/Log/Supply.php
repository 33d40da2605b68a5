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
                'Your %s will not last for what is planned: about %d mm are wanting. Get another before its last passes.',
                $pencil,
                (int) ceil($this->short()),
            ),
            $this->runsLow() => sprintf('Your %s runs low: about %d mm are left.', $pencil, (int) round($this->left ?? 0.0)),
            default => '',
        };
    }
}
