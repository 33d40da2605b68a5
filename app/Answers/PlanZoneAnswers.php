<?php

declare(strict_types=1);

namespace App\Answers;

use App\Cache\Computed;
use App\Plans\PlanGround;
use App\Plans\PlannedPictures;
use App\Resources\Figures;
use App\Resources\RecipeResource;
use App\Resources\SequenceResource;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;
use KnottyPrism\Core\Picture\PlannedZone;
use KnottyPrism\Core\Picture\ZoneShades;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/**
 * The zones of a plan as the page shows them: what each asks for, and its sequence with what comes of it in every shade.
 *
 * @phpstan-import-type PlanZoneJson from \Described
 * @phpstan-import-type SequenceJson from \Described
 */
final class PlanZoneAnswers
{
    private const KEPT_SECONDS = 7 * 24 * 3600;

    /**
     * @param  list<PlannedZone>  $planned
     * @return list<PlanZoneJson>
     */
    public function zones(PlanGround $ground, array $planned, string $fingerprint): array
    {
        return array_map(fn (PlannedZone $z): array => $this->zone($ground, $z, $fingerprint), $planned);
    }

    /** @return PlanZoneJson */
    private function zone(PlanGround $ground, PlannedZone $zone, string $fingerprint): array
    {
        $note = $ground->zones->note($zone->zone);
        $settings = $ground->sheet->settings;

        return [
            'number' => $zone->zone,
            'name' => $note->name,
            'area' => Figures::share($ground->readings[$zone->zone]->zone->area),
            'surface' => $note->surface->value,
            'importance' => $note->importance->value,
            'method' => $settings->methods[$zone->zone] ?? null,
            'hue' => $settings->hues[$zone->zone] ?? null,
            'strokes' => $settings->strokes[$zone->zone] ?? null,
            'sequence' => $zone->sequence === null
                    ? null
                    : [...$this->sequence($ground, $zone, $zone->sequence, $fingerprint), 'label' => $zone->label, 'own' => $zone->own],
            'shades' => array_map(
                static fn (Shade $s): array => [
                    'shade' => $s->name,
                    'name' => $s->called(),
                    'seen' => RecipeResource::reading($s->seen),
                    'aim' => RecipeResource::reading($s->target),
                    'overruled' => (object) $ground->sheet->overruled($zone->zone, $s->name),
                ],
                $zone->shades,
            ),
        ];
    }

    /** @return SequenceJson a zone's sequence with what comes of it in every shade */
    private function sequence(PlanGround $ground, PlannedZone $zone, Sequence $sequence, string $fingerprint): array
    {
        $basis = array_map(
            static fn (Shade $s): array => [$s->name, $s->called(), $s->target->toArray(), round($s->weight, 5), $s->grainCounts],
            ZoneShades::worked($zone->shades),
        );
        $key = md5(
            json_encode(
                [
                    'sequence',
                    SequenceNote::of($sequence, $zone->shades)->toArray(),
                    $basis,
                    $ground->paper->key(),
                    $ground->sheet->settings->mode->value,
                    $zone->label,
                    $fingerprint,
                ],
                JSON_THROW_ON_ERROR,
            ),
        );

        return Computed::kept(
            $key,
            self::KEPT_SECONDS,
            static fn (): array => SequenceResource::answer(PlannedPictures::answer($ground, $zone, $sequence), $ground->paper),
        );
    }
}
