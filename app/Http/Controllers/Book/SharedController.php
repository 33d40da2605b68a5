<?php

declare(strict_types=1);

namespace App\Http\Controllers\Book;

use App\Answers\Book\SharedAnswers;
use App\Book\SharedPlans;
use App\Http\Controllers\Controller;
use App\Http\Requests\Book\SharedNoteRequest;
use App\Http\Requests\Plan\PictureRequest;
use App\Models\Photo;
use App\Models\SharedPlan;
use App\Photos\PhotoStore;
use App\Plans\PlanImages;
use App\Plans\PlanRepository;
use App\Plans\Stage;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** What whoever has the link of a plan may see, signed in or not, and the one thing that may be said. */
final class SharedController extends Controller
{
    public function __construct(private readonly SharedPlans $shared, private readonly SharedAnswers $answers)
    {
    }

    public function show(string $token): JsonResponse
    {
        return $this->whole($this->shared->named($token));
    }

    public function photo(string $token, int $photo, PhotoStore $store): Response
    {
        return self::picture('jpeg', $store->jpeg($this->photoOf($this->shared->named($token), $photo)));
    }

    public function drawn(PictureRequest $request, string $token, PlanImages $images, PlanRepository $plans): Response
    {
        $study = $this->shared->named($token)->study;

        return self::picture(
            'png',
            $images->after($plans->ground($study->user()->firstOrFail(), $study), new Stage($request->passes()), $request->seenAs()),
        );
    }

    public function note(SharedNoteRequest $request, string $token): JsonResponse
    {
        $shared = $this->shared->named($token);
        $photo = $request->input('photo') === null ? null : $this->photoOf($shared, $request->integer('photo'))->id;
        $this->shared->note($shared, $photo, trim((string) $request->string('note')));

        return $this->whole($shared);
    }

    private function whole(SharedPlan $shared): JsonResponse
    {
        return (new JsonResponse($this->answers->plan($shared)))->header('Cache-Control', 'no-store');
    }

    private function photoOf(SharedPlan $shared, int $photo): Photo
    {
        return $shared->study->photos->firstWhere('id', $photo) ?? throw new ModelNotFoundException();
    }

    /** Kept for the visit alone: withdrawn, it is to be gone. */
    private static function picture(string $kind, string $bytes): Response
    {
        return new Response($bytes, 200, ['Content-Type' => "image/$kind", 'Cache-Control' => 'private, no-store']);
    }
}
