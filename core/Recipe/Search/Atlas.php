<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Search;

use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Sheet;

/**
 * How every single pass and every two passes of a drawer look on one paper, computed once for all targets, and what follows
 * from them for a pass on more than one other.
 *
 * A pass c on bare paper changes the log cone responses by its density d(c). On one pass a it changes them by
 * share·(d(c) + g(a, c)): the share of its film that the filled tooth still takes, and what the colour below makes of that film.
 * g is solved from the exact pair. The g of all passes beneath add up, by {@see self::BENEATH}, which predicts three passes to about
 * ΔE00 2 without laying them.
 *
 * Flat arrays, pair (a, b) at a·n + b: they are read some million times a second.
 */
final readonly class Atlas
{
    /** How much of g the pass right beneath, the one below it and all further ones contribute; fitted to random stacks. */
    public const BENEATH = [1.0, 0.5, 0.25];

    /** Where a pass lays next to nothing its effect says nothing either. */
    private const LEAST_SHARE = 0.05;

    /** @var int number of moves */
    public int $size;

    /** @var list<array{float, float, float}> log cone responses of each single pass */
    public array $singles;

    /** @var list<list<float>> per pressure: shares that remain on each single pass */
    public array $singleShares;

    /** @var list<list<float>> per cone: log responses of each pair */
    public array $pairs;

    /** @var list<list<float>> per pressure: shares that remain on each pair */
    public array $pairShares;

    /** @var list<list<float>> per cone: density d of each pass on bare paper, ≤ 0 where it darkens */
    public array $densities;

    /** @var list<list<float>> per cone: g of each pair */
    public array $interplay;

    /**
     * @param  list<array{float, float, float}>  $singles
     * @param  list<list<float>>  $singleShares
     * @param  list<list<float>>  $pairs
     * @param  list<list<float>>  $pairShares
     * @param  array{float, float, float}  $bare  log cone responses of the paper
     */
    private function __construct(array $singles, array $singleShares, array $pairs, array $pairShares, array $bare)
    {
        $this->size = count($singles);
        $this->singles = $singles;
        $this->singleShares = $singleShares;
        $this->pairs = $pairs;
        $this->pairShares = $pairShares;
        $this->densities = array_map(
            static fn (int $cone): array => array_map(static fn (array $logs): float => $logs[$cone] - $bare[$cone], $singles),
            [0, 1, 2],
        );
        $this->interplay = $this->solveInterplay();
    }

    /** @param  ?PairBook  $book  where pairs laid for other moves of the same pencils are remembered */
    public static function of(Moves $moves, ?PairBook $book = null): self
    {
        $bare = new Sheet($moves->paper);
        $pairs = [[], [], []];
        $singleShares = $pairShares = array_fill(0, Moves::PRESSURES, []);
        $looks = [];
        foreach ($moves->passes as $below => $first) {
            $one = clone $bare;
            LayPass::onto($one, $first->pencil, $first->pressure);
            $looks[] = Look::at($one)->logs;
            self::append($singleShares, $moves->shares($one));
            foreach ($moves->passes as $above => $second) {
                [$logs, $shares] = $book === null ? PairBook::laid($moves, $one, $second) : $book->look($moves, $one, $below, $above);
                self::append($pairs, $logs);
                self::append($pairShares, $shares);
            }
        }

        return new self($looks, $singleShares, $pairs, $pairShares, Look::at($bare)->logs);
    }

    /** The same for a whole drawer, which is worth keeping on a shelf: there it is found again, or else put. */
    public static function kept(Moves $moves, ?AtlasShelf $shelf): self
    {
        $key = 'atlas/'.$moves->fingerprint();
        $kept = $shelf?->fetch($key);
        $atlas = $kept === null ? null : self::unpack($kept, $moves);
        if ($atlas === null) {
            $atlas = self::of($moves);
            $shelf?->keep($key, $atlas->pack());
        }

        return $atlas;
    }

    /** As bytes, little-endian doubles, for {@see AtlasShelf}: exactly what was computed, so that a kept atlas changes no answer. */
    public function pack(): string
    {
        return pack('e*', ...array_merge(...$this->singles)).
            implode(
                '',
                array_map(static fn (array $row): string => pack('e*', ...$row), [
                    ...$this->singleShares,
                    ...$this->pairs,
                    ...$this->pairShares,
                ]),
            );
    }

    /** What {@see self::pack()} made of an atlas of the same moves, or null when it does not fit them. */
    public static function unpack(string $bytes, Moves $moves): ?self
    {
        $n = count($moves->passes);
        $rows = [...array_fill(0, 3 + Moves::PRESSURES, $n), ...array_fill(0, 3 + Moves::PRESSURES, $n * $n)];
        if (strlen($bytes) !== 8 * array_sum($rows)) {
            return null;
        }
        $singles = self::floats($bytes, 0, 3 * $n);
        $at = 3 * $n;
        $columns = [];
        foreach (array_slice($rows, 3) as $length) {
            $columns[] = self::floats($bytes, $at, $length);
            $at += $length;
        }
        /** @var list<array{float, float, float}> $looks */
        $looks = array_chunk($singles, 3);

        return new self(
            $looks,
            array_slice($columns, 0, Moves::PRESSURES),
            array_slice($columns, Moves::PRESSURES, 3),
            array_slice($columns, Moves::PRESSURES + 3),
            Look::at(new Sheet($moves->paper))->logs,
        );
    }

    /** @return list<float> */
    private static function floats(string $bytes, int $from, int $count): array
    {
        return array_values(unpack('e'.$count, $bytes, 8 * $from) ?: []);
    }

    /** @return list<list<float>> */
    private function solveInterplay(): array
    {
        $interplay = [];
        foreach ($this->pairs as $cone => $pairs) {
            $density = $this->densities[$cone];
            $row = [];
            foreach ($this->singles as $a => $single) {
                for ($c = 0; $c < $this->size; $c++) {
                    $share = max(self::LEAST_SHARE, $this->singleShares[$c % Moves::PRESSURES][$a]);
                    $row[] = ($pairs[$a * $this->size + $c] - $single[$cone]) / $share - $density[$c];
                }
            }
            $interplay[] = $row;
        }

        return $interplay;
    }

    /**
     * @param  list<list<float>>  $columns
     * @param  array<int, float>  $values
     */
    private static function append(array &$columns, array $values): void
    {
        foreach ($values as $i => $value) {
            $columns[$i][] = $value;
        }
    }
}
