<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\SpotRequest;
use App\Models\Study;
use App\Presenters\RecipeAnswers;
use App\Presenters\RecipePresenter;
use App\Services\SpotDesk;
use App\Services\SurveyDesk;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;
use KnottyPrism\Core\Photo\Reading\Spot;

/** A spot of the photo: what colour it is, and how to make it. */
final class SpotController extends Controller
{
    public function __construct(private readonly SpotDesk $desk, private readonly SurveyDesk $surveys, private readonly RecipeAnswers $recipes)
    {
    }

    public function read(SpotRequest $request, Study $study): JsonResponse
    {
        Gate::authorize('own', $study);

        return new JsonResponse(RecipePresenter::spot($this->spot($request, $study), $request->scale()));
    }

    public function recipes(SpotRequest $request, Study $study): JsonResponse
    {
        Gate::authorize('own', $study);
        $spot = $this->spot($request, $study);

        return new JsonResponse(['target' => RecipePresenter::spot($spot), ...$this->recipes->recipes($this->user($request), $study, $spot->lab)]);
    }

    private function spot(SpotRequest $request, Study $study): Spot
    {
        $photo = $request->photoOf($study);

        return $this->desk->read($photo, ...$request->spot($photo), balance: $this->surveys->current($study)->balanceOf($photo->id));
    }
}
