<?php

declare(strict_types=1);

namespace App\Http\Controllers\Book;

use App\Answers\Book\BookAnswers;
use App\Book\BookSearch;
use App\Book\RecipeBook;
use App\Book\RecipeFromPlan;
use App\Http\Controllers\Controller;
use App\Http\Requests\Book\BookSearchRequest;
use App\Http\Requests\Book\KeepRecipeRequest;
use App\Http\Requests\Book\RecipeWordsRequest;
use App\Http\Requests\OnPaperRequest;
use App\Models\KeptRecipe;
use App\Models\Study;
use App\Print\PaletteCard;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use KnottyPrism\Core\Error\ImpossibleChange;

/** The book of recipes. */
final class BookController extends Controller
{
    public function __construct(private readonly RecipeBook $book, private readonly BookAnswers $answers)
    {
    }

    public function index(BookSearchRequest $request): JsonResponse
    {
        return new JsonResponse($this->answers->find($this->user($request), $request->search()));
    }

    public function keep(KeepRecipeRequest $request, Study $study, RecipeFromPlan $plan): JsonResponse
    {
        $user = $this->user($request);
        $this->once($request, function () use ($request, $user, $study, $plan): int {
            $spot = $request->has('spot')
                ? KeptRecipe::query()->where('study_id', $study->id)->find($request->integer('spot')) ??
                    throw ImpossibleChange::unknown('spot')
                : null;
            [$recipe, $name, $outcome, $cutout] =
                $spot === null ? $plan->zone($user, $study, $request->integer('zone')) : $plan->spot($user, $study, $spot);

            return $this->book->keep($user, $recipe, [
                'study_id' => $study->id,
                'name' => $name,
                'words' => '',
                'outcome' => $outcome,
                'paper' => $spot->paper ?? $study->paper,
                'cutout' => $cutout,
                ...array_filter($request->said(), static fn (string $t): bool => $t !== ''),
            ]);
        });

        return new JsonResponse($this->answers->find($user, new BookSearch()), 201);
    }

    public function change(RecipeWordsRequest $request, int $recipe): JsonResponse
    {
        $user = $this->user($request);
        $this->once($request, fn (): int => $this->book->change($user, $recipe, $request->said()));

        return new JsonResponse($this->answers->find($user, new BookSearch()));
    }

    public function remove(Request $request, int $recipe): JsonResponse
    {
        $user = $this->user($request);
        $this->once($request, fn (): int => $this->book->remove($user, $recipe));

        return new JsonResponse($this->answers->find($user, new BookSearch()));
    }

    public function restore(Request $request, int $recipe): JsonResponse
    {
        $user = $this->user($request);
        $this->once($request, fn (): int => $this->book->restore($user, $recipe));

        return new JsonResponse($this->answers->find($user, new BookSearch()));
    }

    public function laid(OnPaperRequest $request, int $recipe): JsonResponse
    {
        return new JsonResponse($this->answers->laid($this->user($request), $recipe, $request->paper()));
    }

    public function swatches(BookSearchRequest $request, PaletteCard $card): Response
    {
        $pdf = $card->pdf(
            'From the book',
            (string) $request->string('paper'),
            $this->answers->swatches($this->user($request), $request->search()),
            $request->size(),
        );

        return new Response($pdf, 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'inline; filename="swatches.pdf"',
            'Cache-Control' => 'no-store',
        ]);
    }
}
