<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Search;

use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Sheet;

/** Lays passes, and remembers sheets of one and two: what comes next is laid on the same few thousand of them for every target. */
final class LaidSheets
{
    /** Sheets remembered, of some 5 kB each; then it starts anew. */
    private const MOST = 6000;

    /** @var array<int, array{Sheet, Look}> by the moves, as a number */
    private array $laid = [];

    public function __construct(private readonly Moves $moves)
    {
    }

    /**
     * @param  list<int>  $before  the moves that made the sheet
     * @return array{Sheet, Look} a sheet with one more pass, not to be changed
     */
    public function onto(Sheet $sheet, array $before, int $move): array
    {
        if (count($before) > 1) {
            return $this->lay($sheet, $move);
        }
        $key = ($before === [] ? 0 : ($before[0] + 1) * count($this->moves->passes)) + $move;
        if (! isset($this->laid[$key]) && count($this->laid) >= self::MOST) {
            $this->laid = [];
        }

        return $this->laid[$key] ??= $this->lay($sheet, $move);
    }

    /** @return array{Sheet, Look} */
    private function lay(Sheet $sheet, int $move): array
    {
        $pass = $this->moves->passes[$move];
        $next = clone $sheet;
        LayPass::onto($next, $pass->pencil, $pass->pressure);

        return [$next, Look::at($next)];
    }
}
