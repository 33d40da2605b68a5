<?php

declare(strict_types=1);

namespace App\Answers;

use App\Cache\Computed;
use App\Plans\PlanGround;
use App\Plans\PlanRepository;
use App\Resources\SequenceResource;
use KnottyPrism\Core\Error\MethodRefuses;
use KnottyPrism\Core\Picture\Palette\PalettePart;
use KnottyPrism\Core\Recipe\Method\StartingPoint;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/**
 * What a method would make of a zone, before it is taken.
 *
 * @phpstan-import-type SequenceJson from \Described
 */
final class TriedMethods
{
    private const KEPT_SECONDS = 7 * 24 * 3600;

    public function __construct(private readonly PlanRepository $plans)
    {
    }

    /**
     * @return SequenceJson the surest sequence, with the pencils of the plan
     *
     * @throws MethodRefuses when it leaves nothing for a shade of the zone
     */
    public function in(PlanGround $ground, int $zone, PalettePart $palette, StartingPoint $start): array
    {
        $method = $start->method();
        $grain = $ground->readings[$zone]->zone->surface->grainCounts() * $method->grainCounts();
        $shades = array_map(static fn (Shade $s): Shade => $s->minding($grain), $ground->shades[$zone]);

        return Computed::kept(
            'tried-method/'.$start->value.'/'.$ground->zoneKey($zone, $palette),
            self::KEPT_SECONDS,
            fn (): array => SequenceResource::answer(
                $this->plans->planner($ground)->inMethod($method, $shades, $palette, 1)[0],
                $ground->paper,
            ),
        );
    }
}
