<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

use KnottyPrism\Core\Recipe\Search\Moves;

/**
 * The best marks for a given order of pencils, of several passes at once. What lies in one shade does not depend on another, so that
 * every shade is worked out by itself, and only their best are put together to passes that rise or fall.
 */
final class Marking
{
    /** Ways of marking one shade that are put together with those of others. */
    private const KEPT = 24;

    /** @var array<string, list<array{float, list<int>}>> by shade, pencils and marks that stay */
    private array $known = [];

    public function __construct(private readonly Ground $ground)
    {
    }

    /**
     * @param  Run  $run  whose pencils are kept, in their order
     * @param  list<int>  $free  passes to be marked again; the others keep their marks
     * @param  float  $limit  a cost to be below
     * @return array{Run, float}|null the run as marked, and what it costs
     */
    public function of(Run $run, array $free, float $limit): ?array
    {
        $price = $this->ground->prices->ofPasses($run->pencils);
        $ways = [];
        foreach (array_keys($this->ground->aims) as $shade) {
            $ways[] = $of = $this->waysIn($shade, $run, $free);
            $price += $of[0][0] ?? INF;
            if ($price >= $limit) {
                return null;
            }
        }

        return $this->together($run->pencils, $ways, $limit);
    }

    /**
     * @param  list<int>  $free
     * @return list<array{float, list<int>}> what it costs at least, and the marks of the passes; the cheapest first
     */
    private function waysIn(int $shade, Run $run, array $free): array
    {
        $may = array_map(static fn (array $marks): array => [$marks[$shade]], $run->marks);
        foreach ($free as $at) {
            $may[$at] = in_array($shade, $this->ground->craft->worked, true) ? range(0, Craft::FULL) : [0];
        }
        $key =
            $shade.
            ':'.
            implode(',', $run->pencils).
            ':'.
            implode(',', array_map(static fn (array $marks): string => implode($marks), $may));
        if (! isset($this->known[$key])) {
            $found = [];
            $this->mark($shade, $run->pencils, $may, [], $this->ground->book->bare, $found);
            usort($found, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
            $this->known[$key] = array_slice($found, 0, self::KEPT);
        }

        return $this->known[$key];
    }

    /**
     * @param  list<int>  $pencils
     * @param  list<list<int>>  $may  marks that each pass may have here, 0 for left out
     * @param  list<int>  $marks  so far
     * @param  list<array{float, list<int>}>  $found
     */
    private function mark(int $shade, array $pencils, array $may, array $marks, Laid $laid, array &$found): void
    {
        $at = count($marks);
        if ($at === count($pencils)) {
            $found[] = [
                $this->ground->weights[$shade] *
                ($this->ground->aims[$shade]->leastError($laid) + $this->ground->prices->ofTooth($laid->toothUsed)),
                $marks,
            ];

            return;
        }
        $uses = $this->ground->craft->uses($shade, $pencils[$at], $laid->moves === []);
        foreach ($may[$at] as $mark) {
            if ($mark === 0) {
                $this->mark($shade, $pencils, $may, [...$marks, 0], $laid, $found);
            } elseif ($uses && $this->ground->craft->follows($shade, $laid->marks, $mark)) {
                $this->mark(
                    $shade,
                    $pencils,
                    $may,
                    [...$marks, $mark],
                    $this->ground->book->onto($laid, $pencils[$at] * Moves::MARKS + $mark - 1),
                    $found,
                );
            }
        }
    }

    /**
     * @param  list<int>  $pencils
     * @param  list<list<array{float, list<int>}>>  $ways  by shade, the cheapest first
     * @return array{Run, float}|null
     */
    private function together(array $pencils, array $ways, float $limit): ?array
    {
        $best = null;
        foreach ($this->joined($ways, $limit - $this->ground->prices->ofPasses($pencils)) as $marks) {
            $run = new Run($pencils, array_map(static fn (int $at): array => array_column($marks, $at), array_keys($pencils)));
            $cost = $this->ground->craft->keeps($run) ? $this->ground->cost($run, $limit) : INF;
            if ($cost < $limit) {
                [$limit, $best] = [$cost, [$run, $cost]];
            }
        }

        return $best;
    }

    /**
     * @param  list<list<array{float, list<int>}>>  $ways
     * @return list<list<list<int>>> marks by shade and pass, the cheapest first
     */
    private function joined(array $ways, float $limit): array
    {
        $joined = [[0.0, []]];
        foreach ($ways as $of) {
            $longer = [];
            foreach ($joined as [$sum, $marks]) {
                foreach ($of as [$cost, $own]) {
                    if ($sum + $cost < $limit) {
                        $longer[] = [$sum + $cost, [...$marks, $own]];
                    }
                }
            }
            usort($longer, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
            $joined = array_slice($longer, 0, self::KEPT * self::KEPT);
        }

        return array_column($joined, 1);
    }
}
