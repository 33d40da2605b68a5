<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Search;

/** Every stack laid in a search, each once: some thousand. */
final class Pool
{
    /** @var array<string, Candidate> */
    private array $candidates = [];

    public function __construct(public readonly Objective $objective = new Objective)
    {
    }

    public function offer(Candidate $candidate): void
    {
        $this->candidates[$candidate->key()] = $candidate;
    }

    public function isEmpty(): bool
    {
        return $this->candidates === [];
    }

    /** @return list<Candidate> the cheapest first */
    public function cheapest(): array
    {
        $candidates = array_values($this->candidates);
        $prices = array_map($this->objective->price(...), $candidates);
        array_multisort($prices, SORT_ASC, SORT_NUMERIC, $candidates);

        return $candidates;
    }

    /**
     * The cheapest of each set of pencils, cheapest first.
     *
     * @return list<Candidate>
     */
    public function cheapestPerPencils(): array
    {
        return self::firstPerPencils($this->cheapest());
    }

    /**
     * Of each set of pencils the stack that a hand sways least by estimate, among those up to some ΔE00; least swayed first.
     *
     * @return list<Candidate>
     */
    public function steadiestPerPencils(float $deltaE00): array
    {
        return self::firstPerPencils($this->steadiest($deltaE00));
    }

    /** @return list<Candidate> up to some ΔE00, by estimate the least swayed first */
    public function steadiest(float $deltaE00): array
    {
        $near = array_values(array_filter($this->candidates, static fn (Candidate $c): bool => $c->deltaE00 <= $deltaE00));
        usort($near, static fn (Candidate $a, Candidate $b): int => $a->sway <=> $b->sway);

        return $near;
    }

    /**
     * @param  list<Candidate>  $ordered
     * @return list<Candidate>
     */
    private static function firstPerPencils(array $ordered): array
    {
        $first = [];
        foreach ($ordered as $candidate) {
            $first[$candidate->pencilKey()] ??= $candidate;
        }

        return array_values($first);
    }
}
