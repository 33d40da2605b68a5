<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\NewStudyRequest;
use App\Models\Study;
use App\Photos\PhotoIntake;
use App\Photos\PhotoStore;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Medium\PaperShelf;

/** Studies of the account: one picture each. */
final class StudyController extends Controller
{
    public function index(Request $request): JsonResponse
    {
        $studies = Study::query()->where('user_id', $this->user($request)->id)->orderByDesc('updated_at')->orderByDesc('id')->get();

        return new JsonResponse(['studies' => $studies->map(self::shown(...))->all(), 'papers' => PaperShelf::names()]);
    }

    public function store(NewStudyRequest $request, PhotoIntake $intake, PhotoStore $store): JsonResponse
    {
        $file = $request->photo();
        $copy = $intake->take($file->getRealPath());
        $study = $this->user($request)->studies()->create([
            'name' => $request->studyName(),
            'paper' => 'white medium',
            'photo_key' => $store->keep($file->getRealPath(), $copy),
            'photo_name' => mb_substr($file->getClientOriginalName(), 0, 200),
            'photo_width' => $copy->width,
            'photo_height' => $copy->height,
        ]);

        return new JsonResponse(self::shown($study), 201);
    }

    public function show(Study $study): JsonResponse
    {
        Gate::authorize('own', $study);

        return new JsonResponse(self::shown($study));
    }

    public function update(Request $request, Study $study): JsonResponse
    {
        Gate::authorize('own', $study);
        $study->update($request->validate(['name' => ['sometimes', 'string', 'min:1', 'max:120'], 'paper' => ['sometimes', Rule::in(PaperShelf::names())]]));

        return new JsonResponse(self::shown($study));
    }

    /** @return array<string, mixed> */
    private static function shown(Study $study): array
    {
        return ['id' => $study->id, 'name' => $study->name, 'paper' => $study->paper, 'paperHex' => PaperShelf::named($study->paper)->hex, 'photoName' => $study->photo_name, 'photoWidth' => $study->photo_width, 'photoHeight' => $study->photo_height];
    }
}
