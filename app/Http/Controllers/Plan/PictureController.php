<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Desk\DeskKeeper;
use App\Desk\StagesOfWork;
use App\Http\Controllers\Controller;
use App\Http\Requests\Plan\LightRequest;
use App\Http\Requests\Plan\LoupeRequest;
use App\Http\Requests\Plan\PictureRequest;
use App\Models\Study;
use App\Plans\PlanGround;
use App\Plans\PlanImages;
use App\Plans\PlanRepository;
use App\Plans\SeenAs;
use App\Plans\Stage;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The picture to come, as it is planned. */
final class PictureController extends Controller
{
    public function __construct(
        private readonly PlanRepository $plans,
        private readonly PlanImages $images,
        private readonly StagesOfWork $stages,
    ) {
    }

    /** The order in which it is laid, and what to make of it on the way. */
    public function work(Request $request, Study $study): JsonResponse
    {
        $ground = $this->plans->ground($this->user($request), $study);

        return new JsonResponse($this->stages->told($ground, $study, $this->plans->zones($ground)));
    }

    /** The picture as far as it is laid, or at "error" how far its end is from the photo. */
    public function image(PictureRequest $request, Study $study): Response
    {
        $ground = $this->plans->ground($this->user($request), $study);

        return self::png(
            $request->isError()
                ? $this->images->error($ground)
                : $this->images->after($ground, $this->stage($ground, $study, $request), $request->seenAs()),
        );
    }

    /** The drawing at the desk: as it lies "now", or "then", with what is left of this session laid too. */
    public function atDesk(Request $request, Study $study, DeskKeeper $desk, string $when): Response
    {
        $ground = $this->plans->ground($this->user($request), $study);
        $stage = $this->stages->atDesk($ground, $study, $desk->ticks($study), $when === 'then');

        return self::png($this->images->after($ground, $stage, new SeenAs()));
    }

    /** A piece of it from near. */
    public function loupe(LoupeRequest $request, Study $study): Response
    {
        $ground = $this->plans->ground($this->user($request), $study);

        return self::png($this->images->loupe($ground, $this->stage($ground, $study, $request), $request->place(), $request->seenAs()));
    }

    /** What was matched by daylight and parts under another light. */
    public function light(LightRequest $request, Study $study): JsonResponse
    {
        $light = $request->light();

        return new JsonResponse([
            'light' => $light->value,
            'words' => $light->words(),
            'parted' => $this->images->parted($this->plans->ground($this->user($request), $study), $light),
        ]);
    }

    public function values(Request $request, Study $study): JsonResponse
    {
        return new JsonResponse($this->images->valueRun($this->plans->ground($this->user($request), $study)));
    }

    private function stage(PlanGround $ground, Study $study, PictureRequest|LoupeRequest $request): Stage
    {
        $steps = $request->work();

        return $steps === null
            ? new Stage($request->passes())
            : $this->stages->after($ground, $study, $this->plans->zones($ground), $steps);
    }

    private static function png(string $bytes): Response
    {
        return new Response($bytes, 200, ['Content-Type' => 'image/png', 'Cache-Control' => 'private, max-age=3600']);
    }
}
