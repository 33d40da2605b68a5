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
                if (count($candidate->passes) < $maxPasses && $candidate->sheet->toothUsed() < 1 - self::LEAST_ROOM) {
                    array_push($grown, ...$this->grow($candidate));
                }
            }
            $beam = $grown === [] ? [] : $this->select($grown, $width);
        }
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
        $share = 1 - $candidate->sheet->toothUsed();
        $try = [
            ...$this->moves->nearest($wanted, $share, 1.0, self::FINISHING_MOVES),
            ...$this->moves->nearest($wanted, $share, self::SHORT_OF, self::PARTIAL_MOVES),
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
     * @return list<Candidate>
     */
    private function select(array $grown, int $width): array
    {
        $promise = $closeness = [];
        foreach ($grown as $i => $candidate) {
            $promise[$i] = $this->moves->leastMiss($this->missing($candidate->look), 1 - $candidate->sheet->toothUsed());
            $closeness[$i] = $candidate->deltaE00;
        }
        asort($promise);
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
