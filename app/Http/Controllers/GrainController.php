<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\JsonResponse;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Paper\Grain;
use KnottyPrism\Core\Medium\Paper\Tooth;

/** The paper's grain, so that the screen can draw a dab from its strata; the same for everyone and for a long time. */
final class GrainController extends Controller
{
    public function __invoke(): JsonResponse
    {
        return new JsonResponse(
            [
                'side' => Grain::SIDE,
                'strata' => Tooth::STRATA,
                'tile' => implode('', Grain::tile()),
                'pressures' => array_map(
                    static fn (Pressure $m): array => ['word' => $m->value, 'pressure' => $m->share(), 'strokes' => $m->strokes()],
                    Pressure::cases(),
                ),
            ],
            200,
            ['Cache-Control' => 'private, max-age=86400'],
        );
    }
}
