<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Recipe\Search\Look;

/** A stack as laid while sequences are searched. It is the same wherever it lies; what it is worth in a shade {@see ShadeAim} says. */
final class Laid
{
    /**
     * The same stack as laid by hands that each err in one of its passes; worked out by {@see LaidBook::erring()} when asked for.
     *
     * @var list<Sheet>|null
     */
    public ?array $erring = null;

    /** What an ordinary hand adds, ΔE00 squared; worked out when asked for. */
    public ?float $sway = null;

    /** L*; worked out when asked for. */
    public ?float $grain = null;

    /**
     * Of the film on bare paper, by pressure; worked out when asked for.
     *
     * @var list<float>|null
     */
    public ?array $shares = null;

    /**
     * @param  ?self  $before  without its last pass
     * @param  list<int>  $moves  see {@see \KnottyPrism\Core\Recipe\Search\Moves}
     * @param  list<int>  $pressures  1 whisper to 5 full, of each of them
     * @param  Sheet  $sheet  not to be changed
     * @param  float  $doubt  ΔE00, see {@see \KnottyPrism\Core\Medium\Stack\Doubt}
     * @param  int  $firm  firm and full passes
     * @param  string  $key  names the moves
     */
    public function __construct(
        public readonly ?self $before,
        public readonly array $moves,
        public readonly array $pressures,
        public readonly Sheet $sheet,
        public readonly Look $look,
        public readonly float $doubt,
        public readonly int $firm,
        public readonly float $toothUsed,
        public readonly string $key,
    ) {
    }
}
