<?php

declare(strict_types=1);

namespace App\Plans;

use App\Drawers\DrawerKeeper;
use App\Models\Study;
use App\Models\User;
use App\Photos\SurveyRepository;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Photo\Zones\Role;
use KnottyPrism\Core\Picture\Palette\MadeArea;
use KnottyPrism\Core\Picture\PlannedTarget;
use KnottyPrism\Core\Picture\PlannedWish;
use KnottyPrism\Core\Picture\PlannedZone;
use KnottyPrism\Core\Picture\Wish;
use KnottyPrism\Core\Picture\ZoneCautions;
use KnottyPrism\Core\Recipe\Cautions\CautionCode;
use KnottyPrism\Core\Recipe\PassCautions\SequenceCautions;
use KnottyPrism\Core\Recipe\Recipe;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;

/** What is planned of a study's picture, as targets with their recipes, and what follows from all of them together. */
final class PlannedPictures
{
    public function __construct(private readonly PlanRepository $plans, private readonly SurveyRepository $surveys, private readonly DrawerKeeper $drawers)
    {
    }

    /**
     * What is planned so far, for previews and cards;
     *
     * @param  list<PlannedWish>  $planned
     * @return list<PlannedTarget>
     */
    public static function targets(PlanGround $ground, array $planned): array
    {
        $targets = [];
        foreach ($planned as $p) {
            if ($p->stack !== null) {
                $targets[] = new PlannedTarget($p->wish->zone, $p->wish->role, $p->wish->seen, $p->wish->fitted, $p->wish->weight, self::recipe($ground, $p->wish, $p->stack, $p->label));
            }
        }

        return $targets;
    }

    public static function answer(PlanGround $ground, PlannedZone $zone, Sequence $sequence): SequenceAnswer
    {
        return SequenceAnswer::of(RecipeLabel::tryFrom($zone->label) ?? RecipeLabel::OtherPencils, $sequence, PlannedZone::shades($zone->wishes), $ground->paper, $ground->sheet->settings->mode);
    }

    /**
     * @param  list<PlannedZone>  $zones
     * @return array<int, SequenceAnswer> of those that are planned, by number
     */
    public static function sequences(PlanGround $ground, array $zones): array
    {
        $answers = [];
        foreach ($zones as $zone) {
            if ($zone->sequence !== null) {
                $answers[$zone->zone] = self::answer($ground, $zone, $zone->sequence);
            }
        }

        return $answers;
    }

    /** @return list<MadeArea> how each zone that is planned is worked; nothing where none is */
    public function made(User $user, Study $study): array
    {
        if ($this->surveys->current($study)->zones === null || $this->drawers->drawerOf($user)->usable()->pencils === []) {
            return [];
        }
        $ground = $this->plans->ground($user, $study);

        $answers = self::sequences($ground, $this->plans->zones($ground));
        $settings = $ground->sheet->settings;

        return array_map(static fn (SequenceAnswer $a, int $zone): MadeArea => new MadeArea($a, $settings->schoolOf($zone), $settings->mode), $answers, array_keys($answers));
    }

    /** A change of a zone's sequence that parts it from one that ends alike, varies a flat form, or removes what is to mind in a shade; nothing where none was found. */
    public function remedy(PlanGround $ground, int $zone, Role $role, CautionCode $code): ?SequenceAnswer
    {
        $palette = $this->plans->palettePart($ground);
        $answers = self::sequences($ground, $this->plans->zones($ground));
        if ($palette === null || ! isset($answers[$zone])) {
            return null;
        }
        $planner = $this->plans->planner($ground);
        foreach (ZoneCautions::in($ground->map(), self::targets($ground, $this->plans->planned($ground))) as $caution) {
            if ($caution->code === $code && $caution->zone === $zone && $caution->role === $role) {
                return $planner->tried($caution, $answers, $palette)->remedied;
            }
        }
        $shade = $answers[$zone]->shadeNamed($role->value);
        foreach (SequenceCautions::in($answers[$zone], $ground->paper) as $caution) {
            if ($caution->code === $code && in_array($shade, $caution->shades, true)) {
                return $planner->remedy($zone, $caution, $answers[$zone], $palette)?->answer;
            }
        }

        return null;
    }

    public static function recipe(PlanGround $ground, Wish $wish, Stack $stack, string $label): Recipe
    {
        return Recipe::of(RecipeLabel::tryFrom($label) ?? RecipeLabel::OtherPencils, $wish->fitted, $stack, $ground->paper, grainCounts: $wish->grainCounts);
    }
}
