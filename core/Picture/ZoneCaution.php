<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Error\SchoolRefuses;
use KnottyPrism\Core\Photo\Zones\Role;
use KnottyPrism\Core\Recipe\Cautions\CautionCode;
use KnottyPrism\Core\Recipe\Recipe;
use KnottyPrism\Core\Recipe\RecipePlanner;

/** Something to mind between two zones or within one, and the other recipe for one of its targets that removes it. */
final readonly class ZoneCaution
{
    /** L* by which a twin is pushed, a little more than one value step of 9, and how near a push must come to what it aims at. */
    private const PUSH = 12.5;

    private const NEAR = 4.0;

    /** How much farther from its target a recipe may end that varies a flat light or dark, ΔE00. */
    private const MAY_COST = 3.0;

    /**
     * @param  list<int>  $zones
     * @param  int  $zone  the one to change
     * @param  Role  $role  and its target
     * @param  bool  $darker  for twins: whether that zone is pushed darker or lighter
     */
    public function __construct(
        public CautionCode $code,
        public array $zones,
        public string $text,
        public string $remedy,
        public int $zone,
        public Role $role,
        public bool $darker = false,
        public ?Recipe $remedied = null,
    ) {
    }

    /**
     * The caution with a recipe that was found to remove it, or as it is where none was.
     *
     * @param  list<PlannedTarget>  $targets
     */
    public function tried(RecipePlanner $planner, array $targets): self
    {
        foreach ($targets as $target) {
            if ($target->zone === $this->zone && $target->role === $this->role) {
                try {
                    $recipe = $this->code === CautionCode::Twins ? $this->pushed($planner, $target, $targets) : $this->varied($planner, $target);
                } catch (SchoolRefuses) {
                    return $this;
                }

                return $recipe === null ? $this : new self($this->code, $this->zones, $this->text, sprintf('%s Tried: %s, ΔE00 %.1f.', $this->remedy, $recipe->stack->text(), $recipe->comparison->deltaE00), $this->zone, $this->role, $this->darker, $recipe);
            }
        }

        return $this;
    }

    /** @param  list<PlannedTarget>  $targets */
    private function pushed(RecipePlanner $planner, PlannedTarget $target, array $targets): ?Recipe
    {
        $other = array_values(array_filter($targets, fn (PlannedTarget $t): bool => $t->role === $this->role && $t->zone !== $this->zone && in_array($t->zone, $this->zones, true)))[0] ?? null;
        if ($other === null) {
            return null;
        }
        $beside = $other->recipe->prediction->lab()->l;
        $aim = new Lab(max(0.0, min(100.0, $beside + ($this->darker ? -self::PUSH : self::PUSH))), $target->fitted->a, $target->fitted->b);
        $recipe = $planner->recipesFor($aim, RecipePlanner::MOST_PASSES, 1)[0];

        return $recipe->comparison->deltaE00 <= self::NEAR && abs($recipe->prediction->lab()->l - $beside) / 100 * 9 >= 1 ? $recipe : null;
    }

    private function varied(RecipePlanner $planner, PlannedTarget $target): ?Recipe
    {
        foreach ($planner->recipesFor($target->fitted) as $recipe) {
            if (count($recipe->stack->pencils()) > 1 && $recipe->comparison->deltaE00 <= $target->recipe->comparison->deltaE00 + self::MAY_COST) {
                return $recipe;
            }
        }

        return null;
    }
}
