<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk;

use App\Answers\DeskAnswers;
use App\Desk\DeskKeeper;
use App\Http\CannotBeShown;
use App\Http\Controllers\Controller;
use App\Http\Requests\Desk\HabitsRequest;
use App\Http\Requests\Desk\TickRequest;
use App\Http\Requests\UndoRequest;
use App\Models\Study;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The desk of a study. Every change answers with the whole of it. */
final class DeskController extends Controller
{
    public function __construct(private readonly DeskKeeper $keeper, private readonly DeskAnswers $answers)
    {
    }

    public function show(Request $request, Study $study): JsonResponse
    {
        return $this->whole($request, $study);
    }

    public function tick(TickRequest $request, Study $study): JsonResponse
    {
        $this->once(
            $request,
            fn (): int => $this->keeper->tick(
                $this->user($request),
                $study,
                $request->tickKind(),
                $request->integer('zone'),
                $request->integer('position'),
                $request->pass(),
                $request->integer('at'),
                $request->integer('coats', 1),
            ),
        );

        return $this->whole($request, $study);
    }

    public function takeBack(UndoRequest $request, Study $study): JsonResponse
    {
        $this->once($request, fn (): int => $this->keeper->takeBack($study, $request->meant()));

        return $this->whole($request, $study);
    }

    public function habits(HabitsRequest $request, Study $study): JsonResponse
    {
        $this->once($request, fn (): int => $this->keeper->change($study, $request->changed()));

        return $this->whole($request, $study);
    }

    public function finished(Request $request, Study $study): JsonResponse
    {
        return CannotBeShown::orAnswer(fn (): array => $this->answers->finished($this->user($request), $study));
    }

    private function whole(Request $request, Study $study): JsonResponse
    {
        return CannotBeShown::orAnswer(fn (): array => $this->answers->desk($this->user($request), $study));
    }
}
