<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Answers\RecipeAnswers;
use App\Http\Requests\Photo\SpotRequest;
use App\Models\Study;
use App\Photos\SpotReader;
use App\Photos\SurveyRepository;
use App\Resources\RecipeResource;
use Illuminate\Http\JsonResponse;
use KnottyPrism\Core\Photo\Reading\Spot;

/** A spot of the photo: what colour it is, and how to make it. */
final class SpotController extends Controller
{
    public function __construct(
        private readonly SpotReader $spots,
        private readonly SurveyRepository $surveys,
        private readonly RecipeAnswers $recipes,
    ) {
    }

    public function read(SpotRequest $request, Study $study): JsonResponse
    {
        return new JsonResponse(RecipeResource::spot($this->spot($request, $study), $request->scale()));
    }

    public function recipes(SpotRequest $request, Study $study): JsonResponse
    {
        $spot = $this->spot($request, $study);
        $photo = $request->photoOf($study);
        ['x' => $x, 'y' => $y] = $request->spot($photo);
        $surface = $this->surveys->current($study)->surfaceAt($x / $photo->width, $y / $photo->height);

        return new JsonResponse([
            'target' => RecipeResource::spot($spot),
            ...$this->recipes->recipes($this->user($request), $study, $spot->lab, $surface),
        ]);
    }

    private function spot(SpotRequest $request, Study $study): Spot
    {
        $photo = $request->photoOf($study);

        return $this->spots->read(
            $photo,
            ...[...$request->spot($photo), 'balance' => $this->surveys->current($study)->balanceOf($photo->id)],
        );
    }
}
