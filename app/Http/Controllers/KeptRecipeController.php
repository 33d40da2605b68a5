<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Answers\KeptRecipeAnswers;
use App\Http\CannotBeShown;
use App\Http\Requests\Photo\KeptRecipeNameRequest;
use App\Http\Requests\Photo\KeptRecipeRequest;
use App\Http\Requests\UndoRequest;
use App\Models\KeptRecipe;
use App\Models\Study;
use App\Photos\SpotReader;
use App\Photos\SurveyRepository;
use App\Plans\KeptRecipes;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The recipes kept for spots of a study. Every answer is all of them. */
final class KeptRecipeController extends Controller
{
    public function __construct(private readonly KeptRecipes $kept, private readonly KeptRecipeAnswers $answers)
    {
    }

    public function index(Request $request, Study $study): JsonResponse
    {
        return $this->all($request, $study);
    }

    public function store(KeptRecipeRequest $request, Study $study, SpotReader $spots, SurveyRepository $surveys): JsonResponse
    {
        $photo = $request->photoOf($study);
        $place = $request->spot($photo);
        $stack = $request->stack($this->user($request));
        [$l, $a, $b] = $spots
            ->read($photo, ...[...$place, 'balance' => $surveys->current($study)->balanceOf($photo->id)])
            ->lab->toArray();
        $this->once(
            $request,
            fn (): int => $this->kept->add($study, [
                ...$place,
                'name' => $request->entryName(),
                'target_l' => $l,
                'target_a' => $a,
                'target_b' => $b,
                'label' => $request->label(),
                'stack' => $stack->text(),
                'paper' => $study->paper,
            ]),
        );

        return $this->all($request, $study, 201);
    }

    public function update(KeptRecipeNameRequest $request, Study $study, KeptRecipe $keptRecipe): JsonResponse
    {
        $this->once($request, fn (): int => $this->kept->rename($study, $keptRecipe, $request->entryName()));

        return $this->all($request, $study);
    }

    /** Sent again after it was removed, it is still the answer that it is not there any more. */
    public function destroy(Request $request, Study $study, int $entry): JsonResponse
    {
        $this->once(
            $request,
            fn (): int => $this->kept->remove($study, KeptRecipe::query()->where('study_id', $study->id)->findOrFail($entry)),
        );

        return $this->all($request, $study);
    }

    public function undo(UndoRequest $request, Study $study): JsonResponse
    {
        $this->once($request, fn (): int => $this->kept->undo($study, $request->meant()));

        return $this->all($request, $study);
    }

    private function all(Request $request, Study $study, int $status = 200): JsonResponse
    {
        return CannotBeShown::orAnswer(fn (): array => $this->answers->all($this->user($request), $study), $status);
    }
}
