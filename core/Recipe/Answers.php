<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe;

use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Recipe\Cautions\Caution;
use KnottyPrism\Core\Recipe\Cautions\CautionCode;
use KnottyPrism\Core\Recipe\Search\Candidate;
use KnottyPrism\Core\Recipe\Search\Moves;
use KnottyPrism\Core\Recipe\Search\Pool;
use KnottyPrism\Core\Recipe\Search\Rules;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;

/**
 * Chooses clearly different answers out of what a search has laid: no two with the same set of pencils, but for a steadiest that
 * needs the closest's own pencils, laid in other passes.
 */
final class Answers
{
    /** A price this much higher is a colour that no eye tells from the cheapest, ΔE00. */
    private const AS_CLOSE = 0.08;

    /** How much worse than the closest a recipe with fewer pencils may be, ΔE00. */
    private const FEWER_MAY_COST = 1.5;

    /** A recipe this close is close enough to save a pencil, whatever the closest reaches. */
    private const CLOSE_ENOUGH = 2.5;

    /** What a steadier recipe may cost, ΔE00: first a little, then more if nothing steadier was found. */
    public const STEADIER_MAY_COST = [1.2, 3.0, 6.0, 12.0];

    /** Stacks offered in place of one with a caution. */
    private const LOOKED_AT = 60;

    /** A hand tells two recipes apart when one sways by less than this share of the other. */
    private const CLEARLY = 0.92;

    /** @var array<string, Candidate> by label */
    private array $chosen = [];

    private readonly Swings $swings;

    public function __construct(Moves $moves, Rules $rules, private readonly Pool $pool)
    {
        $this->swings = new Swings($moves, $rules);
    }

    /** @return array<string, Candidate> up to three, by label, the closest first; empty when nothing was laid */
    public function distinct(int $count): array
    {
        $perPencils = $this->pool->cheapestPerPencils();
        if ($perPencils === []) {
            return [];
        }
        $closest = $this->closest($perPencils);
        $this->chosen = [RecipeLabel::Closest->value => $closest];
        $fewest = $count > 1 ? $this->fewest($closest, array_values(array_filter($perPencils, static fn (Candidate $c): bool => $c !== $closest))) : null;
        if ($fewest !== null) {
            $this->chosen[RecipeLabel::FewestPencils->value] = $fewest;
        }
        if ($count > 2) {
            $this->addSteadiest($closest);
        }

        return $this->chosen;
    }

    /**
     * With a recipe that begins with a complement. Where it is steadier than what is called the steadiest, it is called that, and the
     * other is what it still is: one of other pencils.
     *
     * @param  non-empty-array<string, Candidate>  $answers
     * @return non-empty-array<string, Candidate>
     */
    public function withBeneath(array $answers, Candidate $beneath): array
    {
        $steadiest = $answers[RecipeLabel::Steadiest->value] ?? null;
        if ($steadiest === null || $this->swings->of($beneath) >= $this->swings->of($steadiest)) {
            return [...$answers, RecipeLabel::ComplementBeneath->value => $beneath];
        }

        return [...$answers, RecipeLabel::Steadiest->value => $beneath, RecipeLabel::OtherPencils->value => $steadiest];
    }

    /** @return list<Stack> of what was laid up to some ΔE00, the likeliest to be free of a caution first: the steadiest, or the nearest */
    public function likelyFreeOf(CautionCode $code, float $deltaE00): array
    {
        $likely = $code === CautionCode::Unsteady ? $this->pool->steadiestPerPencils($deltaE00) : $this->pool->cheapestPerPencils();

        return array_map($this->swings->stackOf(...), array_slice($likely, 0, self::LOOKED_AT));
    }

    /**
     * A further answer where one of the others has nothing to say: what shares least with the closest, and of that the cheapest.
     *
     * @param  non-empty-array<string, Candidate>  $taken
     */
    public function otherPencils(array $taken): ?Candidate
    {
        $this->chosen = $taken;
        $known = explode('+', $taken[array_key_first($taken)]->pencilKey());
        $best = null;
        $fewest = PHP_INT_MAX;
        foreach ($this->pool->cheapestPerPencils() as $candidate) {
            $shared = count(array_intersect($known, explode('+', $candidate->pencilKey())));
            if ($shared < $fewest && ! $this->isTaken($candidate) && $candidate->deltaE00 <= Caution::OUT_OF_REACH + $taken[array_key_first($taken)]->deltaE00) {
                [$best, $fewest] = [$candidate, $shared];
            }
        }

        return $best;
    }

    /**
     * Of those that no eye tells from the cheapest, the one that a hand sways least.
     *
     * @param  non-empty-list<Candidate>  $perPencils  cheapest first
     */
    private function closest(array $perPencils): Candidate
    {
        $closest = $perPencils[0];
        $limit = $this->pool->objective->price($closest) + self::AS_CLOSE;
        foreach ($perPencils as $candidate) {
            if ($this->pool->objective->price($candidate) <= $limit && $candidate->sway < $closest->sway) {
                $closest = $candidate;
            }
        }

        return $closest;
    }

    /** @param  list<Candidate>  $others  cheapest first */
    private function fewest(Candidate $closest, array $others): ?Candidate
    {
        $few = array_filter($others, static fn (Candidate $c): bool => $c->pencilCount() <= $closest->pencilCount());
        $enough = max($closest->deltaE00 + self::FEWER_MAY_COST, self::CLOSE_ENOUGH);
        $near = array_values(array_filter($few, static fn (Candidate $c): bool => $c->deltaE00 <= $enough));
        usort($near, fn (Candidate $a, Candidate $b): int => [$a->pencilCount(), $this->pool->objective->price($a)] <=> [$b->pencilCount(), $this->pool->objective->price($b)]);

        return $near[0] ?? array_values($few)[0] ?? null;
    }

    private function addSteadiest(Candidate $closest): void
    {
        $steadiest = $this->steadier($closest);
        if ($steadiest === null && ($asClose = $this->asClose($closest)) !== null) {
            $this->chosen[RecipeLabel::Closest->value] = $asClose;
            $steadiest = $closest;
        }
        $steadiest = $this->fewestIfSteadier($closest, $this->swings->of($steadiest ?? $closest)) ?? $steadiest ?? $this->inOtherPasses($closest);
        if ($steadiest !== null) {
            $this->chosen[RecipeLabel::Steadiest->value] = $steadiest;
        }
    }

    /** The recipe of fewest pencils, when a hand sways it less than this and another of as few pencils can take its place. */
    private function fewestIfSteadier(Candidate $closest, float $swing): ?Candidate
    {
        $fewest = $this->chosen[RecipeLabel::FewestPencils->value] ?? null;
        if ($fewest === null || $this->swings->of($fewest) >= $swing) {
            return null;
        }
        $limit = max($closest->deltaE00 + self::FEWER_MAY_COST, self::CLOSE_ENOUGH);
        foreach ($this->pool->cheapestPerPencils() as $candidate) {
            if ($candidate->pencilCount() === $fewest->pencilCount() && $candidate->deltaE00 <= $limit && ! $this->isTaken($candidate)) {
                $this->chosen[RecipeLabel::FewestPencils->value] = $candidate;

                return $fewest;
            }
        }

        return null;
    }

    /** The closest's own pencils where no others are steadier: several light passes err less than a firm one, as their errings cancel. */
    private function inOtherPasses(Candidate $closest): ?Candidate
    {
        foreach (self::STEADIER_MAY_COST as $cost) {
            $near = array_filter($this->pool->steadiest($closest->deltaE00 + $cost), static fn (Candidate $c): bool => $c->pencilKey() === $closest->pencilKey());
            [$best, $least] = $this->swings->least($near);
            if ($best !== null && $least < $this->swings->of($closest) * self::CLEARLY) {
                return $best;
            }
        }

        return null;
    }

    /** The steadiest of the near stacks that use other pencils, if it is steadier than the closest; clearly so where that can be had. */
    private function steadier(Candidate $closest): ?Candidate
    {
        $least = $this->swings->of($closest);
        $hardly = null;
        foreach (self::STEADIER_MAY_COST as $cost) {
            [$best, $swing] = $this->swings->least(array_filter($this->pool->steadiestPerPencils($closest->deltaE00 + $cost), fn (Candidate $c): bool => ! $this->isTaken($c)));
            if ($best !== null && $swing < $least && ! $this->isTaken($best)) {
                if ($swing < $least * self::CLEARLY) {
                    return $best;
                }
                $hardly ??= $best;
            }
        }

        return $hardly;
    }

    /** A stack of other pencils as close as the one chosen for its price, which is the steadiest of all near ones itself: this one sways more. */
    private function asClose(Candidate $closest): ?Candidate
    {
        foreach ($this->pool->cheapest() as $candidate) {
            if ($candidate->deltaE00 <= $closest->deltaE00 && ! $this->isTaken($candidate) && $this->swings->of($candidate) > $this->swings->of($closest)) {
                return $candidate;
            }
        }

        return null;
    }

    public function stackOf(Candidate $candidate): Stack
    {
        return $this->swings->stackOf($candidate);
    }

    private function isTaken(Candidate $candidate): bool
    {
        $key = $candidate->pencilKey();
        foreach ($this->chosen as $other) {
            if ($other->pencilKey() === $key) {
                return true;
            }
        }

        return false;
    }
}
