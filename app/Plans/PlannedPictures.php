<?php

declare(strict_types=1);

namespace App\Plans;

use App\Drawers\DrawerKeeper;
use App\Models\Study;
use App\Models\User;
use App\Photos\SurveyRepository;
use KnottyPrism\Core\Picture\Palette\MadeArea;
use KnottyPrism\Core\Picture\PlannedZone;
use KnottyPrism\Core\Picture\ZoneShades;
use KnottyPrism\Core\Picture\ZoneWarnings;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Warnings\Warnings;

/** What is planned of a study's picture, zone by zone with what comes of it, and what follows from all of them together. */
final class PlannedPictures
{
    public function __construct(
        private readonly PlanRepository $plans,
        private readonly SurveyRepository $surveys,
        private readonly DrawerKeeper $drawers,
    ) {
    }

    /**
     * @param  list<PlannedZone>  $zones
     * @return array<int, Sequence> of those that are planned, by number
     */
    public static function inZones(array $zones): array
    {
        return array_filter(
            array_combine(
                array_map(static fn (PlannedZone $z): int => $z->zone, $zones),
                array_map(static fn (PlannedZone $z): ?Sequence => $z->sequence, $zones),
            ),
        );
    }

    public static function answer(PlanGround $ground, PlannedZone $zone, Sequence $sequence): SequenceAnswer
    {
        return SequenceAnswer::of(
            RecipeLabel::tryFrom($zone->label) ?? RecipeLabel::OtherPencils,
            $sequence,
            ZoneShades::worked($zone->shades),
            $ground->paper,
            $ground->sheet->settings->mode,
        );
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

    /** @return list<MadeArea> how each zone that is planned is worked; empty when none is */
    public function made(User $user, Study $study): array
    {
        if ($this->surveys->current($study)->zones === null || $this->drawers->drawerOf($user)->usable()->pencils === []) {
            return [];
        }
        $ground = $this->plans->ground($user, $study);

        return MadeArea::ofZones(self::sequences($ground, $this->plans->zones($ground)), $ground->sheet->settings);
    }

    /** A change of a zone's sequence that removes a warning of one of its shades, or one of the whole zone's; null when none was found. */
    public function remedy(PlanGround $ground, int $zone, string $shade, string $code): ?SequenceAnswer
    {
        $palette = $this->plans->palettePart($ground);
        $answers = self::sequences($ground, $this->plans->zones($ground));
        $at = ($answers[$zone] ?? null)?->shadeNamed($shade);
        if ($palette === null || $at === null) {
            return null;
        }
        foreach ([...ZoneWarnings::in($ground->map(), $answers), ...Warnings::in($answers[$zone])] as $warning) {
            if ($warning->kind->value === $code && ($warning->zones[0] ?? $zone) === $zone && in_array($at, $warning->shades, true)) {
                return $this->plans
                    ->planner($ground)
                    ->tried($warning, $warning->zones === [] ? [$zone => $answers[$zone]] : $answers, $palette)->remedied;
            }
        }

        return null;
    }
}
