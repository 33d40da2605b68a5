<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

use KnottyPrism\Core\Recipe\Search\Atlas;
use KnottyPrism\Core\Recipe\Search\Moves;

/** How a stack would look after each of all passes: exactly for the first two, by what the atlas knows of pairs beyond. */
final class Outlook
{
    /** @var array<string, array{list<float>, list<float>, list<float>}> by stack */
    private array $known = [];

    private const MOST = 400;

    public function __construct(private readonly Atlas $atlas, private readonly LaidBook $book)
    {
    }

    /** @return array{list<float>, list<float>, list<float>} log cone responses by move, one list a cone */
    public function from(Laid $laid): array
    {
        if (count($this->known) >= self::MOST) {
            $this->known = [];
        }

        return $this->known[$laid->key] ??= match (count($laid->moves)) {
            0 => [array_column($this->atlas->singles, 0), array_column($this->atlas->singles, 1), array_column($this->atlas->singles, 2)],
            1 => $this->over($laid->moves[0]),
            default => $this->beyond($laid),
        };
    }

    /** @return array{list<float>, list<float>, list<float>} */
    private function over(int $below): array
    {
        [$long, $middle, $short] = array_map(
            fn (array $pairs): array => array_slice($pairs, $below * $this->atlas->size, $this->atlas->size),
            $this->atlas->pairs,
        );

        return [$long, $middle, $short];
    }

    /** @return array{list<float>, list<float>, list<float>} */
    private function beyond(Laid $laid): array
    {
        $shares = $this->book->shares($laid);
        $n = $this->atlas->size;
        $beneath = array_slice(array_reverse($laid->moves), 0, 4);
        $next = [];
        foreach ($this->atlas->interplay as $cone => $interplay) {
            $density = $this->atlas->densities[$cone];
            $at = $laid->look->logs[$cone];
            $row = [];
            for ($c = 0; $c < $n; $c++) {
                $effect = $density[$c];
                foreach ($beneath as $depth => $below) {
                    $effect += Atlas::BENEATH[min($depth, 2)] * $interplay[$below * $n + $c];
                }
                $row[] = $at + $shares[$c % Moves::PRESSURES] * $effect;
            }
            $next[] = $row;
        }

        /** @var array{list<float>, list<float>, list<float>} */
        return $next;
    }
}
