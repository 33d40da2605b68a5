<?php

declare(strict_types=1);

namespace App\Answers;

use App\Cache\Computed;
use App\Plans\PlanGround;
use App\Plans\PlannedPictures;
use App\Resources\Figures;
use App\Resources\RecipeResource;
use App\Resources\SequenceResource;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Photo\Zones\Role;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;
use KnottyPrism\Core\Picture\PlannedWish;
use KnottyPrism\Core\Picture\PlannedZone;
use KnottyPrism\Core\Picture\Wish;
use KnottyPrism\Core\Recipe\Reasons;
use KnottyPrism\Core\Recipe\Recipe;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\Sequence\ShadeOutcome;

/** The zones of a plan as the page shows them: each with its sequence, and with what comes of it in every colour that the zone asks for. */
final class PlanZoneAnswers
{
    private const KEPT_SECONDS = 7 * 24 * 3600;

    /** @return array<string, mixed> one recipe for one wish, with its reasons */
    private function shown(PlanGround $ground, Wish $wish, Stack $stack, string $label, string $fingerprint): array
    {
        $key = md5(json_encode(['picture-target', $stack->text(), $wish->fitted->toArray(), $ground->paper->key(), $ground->sheet->settings->mode->value, $label, $wish->grainCounts, $fingerprint], JSON_THROW_ON_ERROR));

        /** @var array<string, mixed> */
        return Computed::kept($key, self::KEPT_SECONDS, fn (): array => [
            ...RecipeResource::recipe(PlannedPictures::recipe($ground, $wish, $stack, $label)), 'reasons' => Reasons::for($stack, $wish->fitted, $ground->paper),
            ...SequenceResource::outcome(ShadeOutcome::of(new Shade($wish->role->value, $wish->fitted, grainCounts: $wish->grainCounts), $stack, $ground->paper, $ground->sheet->settings->mode)),
        ]);
    }

    /** @return array<string, mixed> a zone's sequence with what comes of it in every shade */
    private function sequence(PlanGround $ground, PlannedZone $zone, Sequence $sequence, string $fingerprint): array
    {
        $shades = PlannedZone::shades($zone->wishes);
        $basis = array_map(static fn (Shade $s): array => [$s->name, $s->called(), $s->target->toArray(), round($s->weight, 5), $s->grainCounts], $shades);
        $key = md5(json_encode(['sequence', SequenceNote::of($sequence, PlannedZone::roles($zone->wishes))->toArray(), $basis, $ground->paper->key(), $ground->sheet->settings->mode->value, $zone->label, $fingerprint], JSON_THROW_ON_ERROR));

        /** @var array<string, mixed> */
        return Computed::kept($key, self::KEPT_SECONDS, static fn (): array => SequenceResource::answer(PlannedPictures::answer($ground, $zone, $sequence), $ground->paper));
    }

    /**
     * @param  list<PlannedZone>  $plannedZones
     * @param  list<PlannedWish>  $planned
     * @return list<array<string, mixed>>
     */
    public function zones(PlanGround $ground, array $plannedZones, array $planned, string $fingerprint): array
    {
        $sequences = [];
        foreach ($plannedZones as $zone) {
            if ($zone->sequence !== null) {
                $sequences[$zone->zone] = [...$this->sequence($ground, $zone, $zone->sequence, $fingerprint), 'label' => $zone->label, 'own' => $zone->own];
            }
        }
        $zones = [];
        foreach ($ground->readings as $number => $reading) {
            $note = $ground->zones->note($number);
            $targets = [];
            foreach ($planned as $p) {
                $wish = $p->wish;
                if ($wish->zone === $number) {
                    $targets[$wish->role->value] = [
                        'role' => $wish->role->value, 'name' => $wish->called(), 'seen' => RecipeResource::reading($wish->seen), 'aim' => RecipeResource::reading($wish->fitted),
                        'own' => $p->own, 'overruled' => (object) $ground->sheet->note($number, $wish->role)->overruled,
                        'recipe' => $p->stack === null ? null : [...$this->shown($ground, $wish, $p->stack, $p->label, $fingerprint), 'label' => $p->label],
                    ];
                }
            }
            $zones[] = [
                'number' => $number, 'name' => $note->name, 'area' => Figures::share($reading->zone->area), 'surface' => $note->surface->value, 'importance' => $note->importance->value,
                'school' => $ground->sheet->settings->schools[$number] ?? null, 'hue' => $ground->sheet->settings->hues[$number] ?? null, 'strokes' => $ground->sheet->settings->strokes[$number] ?? null,
                'sequence' => $sequences[$number] ?? null,
                'targets' => array_values(array_filter(array_map(static fn (Role $role): ?array => $targets[$role->value] ?? null, Role::cases()))),
            ];
        }

        return $zones;
    }
}
