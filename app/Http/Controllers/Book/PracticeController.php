<?php

declare(strict_types=1);

namespace App\Http\Controllers\Book;

use App\Book\PracticeRoom;
use App\Http\CannotBeShown;
use App\Http\Controllers\Controller;
use App\Http\Requests\Book\AnswerRequest;
use App\Http\Requests\Book\PracticeRequest;
use App\Models\Study;
use App\Resources\PracticeResource;
use Illuminate\Http\JsonResponse;

/** Practice on one's own photo and pencils. */
final class PracticeController extends Controller
{
    public function __construct(private readonly PracticeRoom $room)
    {
    }

    public function show(PracticeRequest $request, Study $study): JsonResponse
    {
        return CannotBeShown::orAnswer(function () use ($request, $study): array {
            $user = $this->user($request);
            $training = $this->room->training($user);
            $asked = $this->room->next($user, $study, $training, $request->skill());

            return [
                ...PracticeResource::training($training),
                'drill' => $asked === null
                        ? null
                        : [
                            'skill' => $asked->skill->value,
                            'difficulty' => $asked->difficulty,
                            'seed' => $asked->seed,
                            'again' => $asked->again,
                            ...PracticeResource::question($asked->drill),
                        ],
            ];
        });
    }

    /** Answers at once; the next question is asked for when it is wanted. */
    public function answer(AnswerRequest $request, Study $study): JsonResponse
    {
        $user = $this->user($request);
        $drill = $this->room->asked($user, $study, $request->skill(), $request->integer('difficulty'), $request->integer('seed'));
        $chosen = $request->integer('choice');
        $this->once(
            $request,
            fn (): int => $this->room->answered(
                $user,
                $study,
                $request->skill(),
                $request->integer('difficulty'),
                $request->integer('seed'),
                $chosen === $drill->answer,
            ),
        );

        return new JsonResponse([
            ...PracticeResource::answer($drill, $chosen),
            ...PracticeResource::training($this->room->training($user)),
        ]);
    }
}
