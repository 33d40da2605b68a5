<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

use KnottyPrism\Core\Recipe\Search\Moves;

/**
 * The best pressures for a given order of pencils, of several passes at once. What lies in one shade does not depend on another, so that
 * every shade is worked out by itself, and only their best are put together to passes that rise or fall.
 */
final class Pressing
{
    /** Ways of pressing one shade that are put together with those of others. */
    private const KEPT = 24;

    /** @var array<string, list<array{float, list<int>}>> by shade, pencils and pressures that stay */
    private array $known = [];

    public function __construct(private readonly Ground $ground)
    {
    }

    /**
     * @param  Run  $run  whose pencils are kept, in their order
     * @param  list<int>  $free  passes to be pressed again; the others keep their pressures
     * @param  float  $limit  a cost to be below
     * @return array{Run, float}|null the run as pressed, and what it costs
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
     * @return list<array{float, list<int>}> what it costs at least, and the pressures of the passes; the cheapest first
     */
    private function waysIn(int $shade, Run $run, array $free): array
    {
        $may = array_map(static fn (array $pressures): array => [$pressures[$shade]], $run->pressures);
        foreach ($free as $at) {
            $may[$at] = in_array($shade, $this->ground->craft->worked, true) ? range(0, Craft::FULL) : [0];
        }
        $key =
            $shade.
            ':'.
            implode(',', $run->pencils).
            ':'.
            implode(',', array_map(static fn (array $pressures): string => implode($pressures), $may));
        if (! isset($this->known[$key])) {
            $found = [];
            $this->pressure($shade, $run->pencils, $may, [], $this->ground->book->bare, $found);
            usort($found, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
            $this->known[$key] = array_slice($found, 0, self::KEPT);
        }

        return $this->known[$key];
    }

    /**
     * @param  list<int>  $pencils
     * @param  list<list<int>>  $may  pressures that each pass may have here, 0 for left out
     * @param  list<int>  $pressures  so far
     * @param  list<array{float, list<int>}>  $found
     */
    private function pressure(int $shade, array $pencils, array $may, array $pressures, Laid $laid, array &$found): void
    {
        $at = count($pressures);
        if ($at === count($pencils)) {
            $found[] = [
                $this->ground->weights[$shade] *
                ($this->ground->aims[$shade]->leastError($laid) + $this->ground->prices->ofTooth($laid->toothUsed)),
                $pressures,
            ];

            return;
        }
        $uses = $this->ground->craft->uses($shade, $pencils[$at], $laid->moves === []);
        foreach ($may[$at] as $pressure) {
            if ($pressure === 0) {
                $this->pressure($shade, $pencils, $may, [...$pressures, 0], $laid, $found);
            } elseif ($uses && $this->ground->craft->follows($shade, $laid->pressures, $pressure)) {
                $this->pressure(
                    $shade,
                    $pencils,
                    $may,
                    [...$pressures, $pressure],
                    $this->ground->book->onto($laid, $pencils[$at] * Moves::PRESSURES + $pressure - 1),
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
        foreach ($this->joined($ways, $limit - $this->ground->prices->ofPasses($pencils)) as $pressures) {
            $run = new Run($pencils, array_map(static fn (int $at): array => array_column($pressures, $at), array_keys($pencils)));
            $cost = $this->ground->craft->keeps($run) ? $this->ground->cost($run, $limit) : INF;
            if ($cost < $limit) {
                [$limit, $best] = [$cost, [$run, $cost]];
            }
        }

        return $best;
    }

    /**
     * @param  list<list<array{float, list<int>}>>  $ways
     * @return list<list<list<int>>> pressures by shade and pass, the cheapest first
     */
    private function joined(array $ways, float $limit): array
    {
        $joined = [[0.0, []]];
        foreach ($ways as $of) {
            $longer = [];
            foreach ($joined as [$sum, $pressures]) {
                foreach ($of as [$cost, $own]) {
                    if ($sum + $cost < $limit) {
                        $longer[] = [$sum + $cost, [...$pressures, $own]];
                    }
                }
            }
            usort($longer, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
            $joined = array_slice($longer, 0, self::KEPT * self::KEPT);
        }

        return array_column($joined, 1);
    }
}
