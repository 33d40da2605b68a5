<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Planning;

/** The best candidates met in a search, each stack once. */
final class Pool
{
    private const KEPT = 160;

    private const PRUNED_AT = 480;

    /** @var array<string, Candidate> */
    private array $candidates = [];

    private float $worstKept = INF;

    public function offer(Candidate $candidate): void
    {
        if ($candidate->deltaE00 >= $this->worstKept) {
            return;
        }
        $this->candidates[$candidate->key()] = $candidate;
        if (count($this->candidates) > self::PRUNED_AT) {
            $this->prune();
        }
    }

    /** @return list<Candidate> the cheapest first */
    public function cheapest(): array
    {
        return self::byPrice(array_values($this->candidates));
    }

    /**
     * The cheapest of each set of pencils, cheapest first.
     *
     * @return list<Candidate>
     */
    public function cheapestPerPencils(): array
    {
        $best = [];
        foreach ($this->cheapest() as $candidate) {
            $best[$candidate->pencilKey()] ??= $candidate;
        }

        return array_values($best);
    }

    /** Keeps the closest overall, and the closest of every number of pencils, which a crowd of fine mixtures would push out. */
    private function prune(): void
    {
        $all = array_values($this->candidates);
        usort($all, static fn (Candidate $a, Candidate $b): int => $a->deltaE00 <=> $b->deltaE00);
        $kept = array_slice($all, 0, self::KEPT);
        $this->worstKept = $kept[count($kept) - 1]->deltaE00 + 3.0;
        $perCount = [];
        foreach ($all as $candidate) {
            $n = $candidate->pencilCount();
            $perCount[$n] = ($perCount[$n] ?? 0) + 1;
            if ($perCount[$n] <= 12) {
                $kept[] = $candidate;
            }
        }
        $this->candidates = [];
        foreach ($kept as $candidate) {
            $this->candidates[$candidate->key()] = $candidate;
        }
    }

    /**
     * @param  list<Candidate>  $candidates
     * @return list<Candidate>
     */
    private static function byPrice(array $candidates): array
    {
        $prices = array_map(Objective::price(...), $candidates);
        array_multisort($prices, SORT_ASC, SORT_NUMERIC, $candidates);

        return $candidates;
    }
}
