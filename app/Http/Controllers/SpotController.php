<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\SpotRequest;
use App\Models\Study;
use App\Presenters\RecipePresenter;
use App\Services\SpotDesk;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;

/** A spot of the photo: what colour it is, and how to make it. */
final class SpotController extends Controller
{
    public function __construct(private readonly SpotDesk $desk)
    {
    }

    public function read(SpotRequest $request, Study $study): JsonResponse
    {
        Gate::authorize('own', $study);

        return new JsonResponse(RecipePresenter::spot($this->desk->read($study, ...$request->spot($study))));
    }

    public function recipes(SpotRequest $request, Study $study): JsonResponse
    {
        Gate::authorize('own', $study);
        $spot = $this->desk->read($study, ...$request->spot($study));

        return new JsonResponse(['target' => RecipePresenter::spot($spot), ...$this->desk->recipes($this->user($request), $study, $spot->lab)]);
    }
}
