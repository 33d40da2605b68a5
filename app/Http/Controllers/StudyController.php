<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\NewStudyRequest;
use App\Http\Requests\StudyChangeRequest;
use App\Models\Study;
use App\Services\StudyKeeper;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use KnottyPrism\Core\Medium\PaperShelf;

/** Studies of the account: one picture each. */
final class StudyController extends Controller
{
    public function index(Request $request): JsonResponse
    {
        $studies = Study::query()->with('colourPhoto')->where('user_id', $this->user($request)->id)->orderByDesc('updated_at')->orderByDesc('id')->get();

        return new JsonResponse(['studies' => $studies->map(self::shown(...))->all(), 'papers' => PaperShelf::names()]);
    }

    public function store(NewStudyRequest $request, StudyKeeper $keeper): JsonResponse
    {
        $file = $request->photo();
        $study = $keeper->begin($this->user($request), $request->studyName(), $file->getRealPath(), $file->getClientOriginalName());

        return new JsonResponse(self::shown($study), 201);
    }

    public function show(Study $study): JsonResponse
    {
        Gate::authorize('own', $study);

        return new JsonResponse(self::shown($study));
    }

    public function update(StudyChangeRequest $request, Study $study): JsonResponse
    {
        Gate::authorize('own', $study);
        DB::transaction(static function () use ($request, $study): void {
            $study->fill($request->columns())->save();
            // The core says what is wrong with a drawing and its grid.
            $study->refresh()->frame()->grid($study->grid_mm);
        });

        return new JsonResponse(self::shown($study));
    }

    /** @return array<string, mixed> */
    private static function shown(Study $study): array
    {
        $photo = $study->photo();

        return ['id' => $study->id, 'name' => $study->name, 'paper' => $study->paper, 'paperHex' => PaperShelf::named($study->paper)->hex, 'photoId' => $photo->id, 'photoName' => $photo->name, 'photoWidth' => $photo->width, 'photoHeight' => $photo->height];
    }
}
