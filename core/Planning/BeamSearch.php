<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Planning;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\LayPass;
use KnottyPrism\Core\Medium\Pass;

/**
 * Searches stacks pass by pass. From every stack in the beam only the moves that densities promise are laid: those that might
 * finish the colour, and those that go part of the way without overshooting. Half of the next beam is chosen for how near one
 * more pass could come, half for how near it is; stacks of nearly the same colour count once.
 */
final class BeamSearch
{
    private const FINISHING_MOVES = 20;

    private const PARTIAL_MOVES = 20;

    /** Stacks that are tried with a last pass at every level, and how many passes each. */
    private const FINISHED = 160;

    private const LAST_MOVES = 6;

    /** Weight of falling short for a pass that others follow. */
    private const SHORT_OF = 0.12;

    /** Stacks closer than this in L*, a* and b* compete for one place. */
    private const CELL = 3.0;

    /** A sheet with less room than this takes no further pass. */
    private const LEAST_ROOM = 0.04;

    /** @var array{float, float, float} */
    private array $targetLogs;

    public function __construct(private readonly Moves $moves, private readonly Lab $target, private readonly Pool $pool)
    {
        $this->targetLogs = Look::ofXyz($target->xyz())->logs;
    }

    /** @param  list<Candidate>  $beam where to start */
    public function run(array $beam, int $maxPasses, int $width): void
    {
        while ($beam !== []) {
            $grown = [];
            foreach ($beam as $candidate) {
                if ($candidate->sheet->toothUsed() < 1 - self::LEAST_ROOM) {
                    array_push($grown, ...$this->grow($candidate));
                }
            }
            // Stacks of full length are in the pool already; nothing follows them.
            $grown = array_values(array_filter($grown, static fn (Candidate $c): bool => count($c->passes) < $maxPasses));
            if ($grown === []) {
                return;
            }
            $promise = $this->promises($grown);
            $this->finish($grown, $promise);
            $beam = $this->select($grown, $promise, $width);
        }
    }

    /**
     * Lays the last pass that densities promise on the most promising stacks, whether or not they stay in the beam: what a crowded
     * beam would lose is often one pass from the answer.
     *
     * @param  list<Candidate>  $grown
     * @param  array<int, float>  $promise
     */
    private function finish(array $grown, array $promise): void
    {
        foreach (array_slice(array_keys($promise), 0, self::FINISHED) as $i) {
            $candidate = $grown[$i];
            foreach ($this->moves->nearest($this->missing($candidate->look), $this->moves->shares($candidate->sheet), 1.0, self::LAST_MOVES) as $move) {
                $this->pool->offer($this->extend($candidate, $this->moves->passes[$move]));
            }
        }
    }

    /**
     * How near one more pass could bring each stack, the most promising first.
     *
     * @param  list<Candidate>  $grown
     * @return array<int, float>
     */
    private function promises(array $grown): array
    {
        $promise = [];
        foreach ($grown as $i => $candidate) {
            $promise[$i] = $this->moves->leastMiss($this->missing($candidate->look), $this->moves->shares($candidate->sheet));
        }
        asort($promise);

        return $promise;
    }

    public function extend(Candidate $from, Pass $pass): Candidate
    {
        $sheet = clone $from->sheet;
        LayPass::onto($sheet, $pass->pencil, $pass->pressure);
        $look = Look::at($sheet);

        return new Candidate([...$from->passes, $pass], $sheet, $look, $look->lab->deltaE00($this->target));
    }

    /** @return list<Candidate> */
    private function grow(Candidate $candidate): array
    {
        $wanted = $this->missing($candidate->look);
        $shares = $this->moves->shares($candidate->sheet);
        $try = [
            ...$this->moves->nearest($wanted, $shares, 1.0, self::FINISHING_MOVES),
            ...$this->moves->nearest($wanted, $shares, self::SHORT_OF, self::PARTIAL_MOVES),
        ];
        $grown = [];
        foreach (array_unique($try) as $move) {
            $next = $this->extend($candidate, $this->moves->passes[$move]);
            $this->pool->offer($next);
            $grown[] = $next;
        }

        return $grown;
    }

    /**
     * @param  list<Candidate>  $grown
     * @param  array<int, float>  $promise  the most promising first
     * @return list<Candidate>
     */
    private function select(array $grown, array $promise, int $width): array
    {
        $closeness = array_map(static fn (Candidate $c): float => $c->deltaE00, $grown);
        asort($closeness);
        $chosen = $cells = [];
        foreach ([[$promise, intdiv($width, 2)], [$closeness, $width]] as [$order, $until]) {
            foreach (array_keys($order) as $i) {
                if (count($chosen) >= $until) {
                    break;
                }
                $lab = $grown[$i]->look->lab;
                $cell = round($lab->l / self::CELL).','.round($lab->a / self::CELL).','.round($lab->b / self::CELL);
                if (! isset($cells[$cell])) {
                    $cells[$cell] = true;
                    $chosen[] = $grown[$i];
                }
            }
        }

        return $chosen;
    }

    /** @return array{float, float, float} */
    private function missing(Look $look): array
    {
        [$r, $g, $b] = $look->logs;
        [$tr, $tg, $tb] = $this->targetLogs;

        return [$r - $tr, $g - $tg, $b - $tb];
    }
}
