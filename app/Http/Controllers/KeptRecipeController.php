<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Answers\KeptRecipeAnswers;
use App\Http\CannotBeShown;
use App\Http\Requests\KeptRecipeRequest;
use App\Models\KeptRecipe;
use App\Models\Study;
use App\Photos\SpotReader;
use App\Photos\SurveyRepository;
use App\Plans\KeptRecipes;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** The plan of a study: spots with the recipe chosen for each. Every answer is the whole plan. */
final class KeptRecipeController extends Controller
{
    public function __construct(private readonly KeptRecipes $desk, private readonly KeptRecipeAnswers $presenter)
    {
    }

    public function index(Request $request, Study $study): JsonResponse
    {
        Gate::authorize('own', $study);

        return $this->plan($request, $study);
    }

    public function store(KeptRecipeRequest $request, Study $study, SpotReader $spots, SurveyRepository $surveys): JsonResponse
    {
        Gate::authorize('own', $study);
        $photo = $request->photoOf($study);
        $place = $request->spot($photo);
        $stack = $request->stack($this->user($request));
        [$l, $a, $b] = $spots->read($photo, ...$place, balance: $surveys->current($study)->balanceOf($photo->id))->lab->toArray();
        $this->once($request, fn (): int => $this->desk->add($study, [
            ...$place, 'name' => $request->entryName(), 'target_l' => $l, 'target_a' => $a, 'target_b' => $b,
            'label' => $request->label(), 'stack' => $stack->text(), 'paper' => $study->paper,
        ]));

        return $this->plan($request, $study, 201);
    }

    public function update(Request $request, Study $study, KeptRecipe $entry): JsonResponse
    {
        Gate::authorize('own', $study);
        $request->validate(['name' => ['required', 'string', 'max:120']]);
        $this->once($request, fn (): int => $this->desk->rename($study, $entry, trim((string) $request->string('name'))));

        return $this->plan($request, $study);
    }

    /** Sent again after it was removed, it is still the answer that it is not there any more. */
    public function destroy(Request $request, Study $study, int $entry): JsonResponse
    {
        Gate::authorize('own', $study);
        $this->once($request, fn (): int => $this->desk->remove($study, KeptRecipe::query()->where('study_id', $study->id)->findOrFail($entry)));

        return $this->plan($request, $study);
    }

    public function undo(Request $request, Study $study): JsonResponse
    {
        Gate::authorize('own', $study);
        $this->once($request, fn (): int => $this->desk->undo($study, self::meant($request)));

        return $this->plan($request, $study);
    }

    private function plan(Request $request, Study $study, int $status = 200): JsonResponse
    {
        return CannotBeShown::orAnswer(fn (): array => $this->presenter->plan($this->user($request), $study), $status);
    }
}
