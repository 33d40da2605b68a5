<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Answers\SurveyAnswers;
use App\Edits\SurveyEdits;
use App\Http\CannotBeShown;
use App\Http\Requests\Photo\ComparisonRequest;
use App\Http\Requests\Photo\SurveyChangeRequest;
use App\Http\Requests\UndoRequest;
use App\Jobs\ChoosePencils;
use App\Models\Study;
use App\Photos\SurveyRepository;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use KnottyPrism\Core\Photo\Notes\Survey;

/** What is found out about a study's photos. Every answer is the whole survey. */
final class SurveyController extends Controller
{
    private const KINDS = ['gpl' => 'text/plain; charset=utf-8', 'csv' => 'text/csv; charset=utf-8', 'json' => 'application/json'];

    public function __construct(private readonly SurveyRepository $surveys, private readonly SurveyAnswers $answers)
    {
    }

    public function show(Request $request, Study $study): JsonResponse
    {
        return $this->survey($request, $study);
    }

    public function change(SurveyChangeRequest $request, Study $study, SurveyEdits $changes): JsonResponse
    {
        $this->once(
            $request,
            fn (): int => $this->surveys->change(
                $study,
                static fn (Survey $survey): array => $changes->made($study, $survey, $request->change()),
            ),
        );
        if ($request->proposesZones()) {
            ChoosePencils::ahead($study->id);
        }

        return $this->survey($request, $study);
    }

    public function undo(UndoRequest $request, Study $study): JsonResponse
    {
        $this->once($request, fn (): int => $this->surveys->move($study, -1, $request->meant()));

        return $this->survey($request, $study);
    }

    public function redo(UndoRequest $request, Study $study): JsonResponse
    {
        $this->once($request, fn (): int => $this->surveys->move($study, 1, $request->meant()));

        return $this->survey($request, $study);
    }

    public function spots(Request $request, Study $study, string $kind): Response
    {
        $list = $this->answers->spotList($this->user($request), $study);
        $text = match ($kind) {
            'gpl' => $list->gpl(),
            'csv' => $list->csv(),
            'json' => $list->json(),
            default => throw new \LogicException('the route knows the kinds'),
        };

        return new Response($text, 200, [
            'Content-Type' => self::KINDS[$kind],
            'Content-Disposition' => sprintf('attachment; filename="%s-spots.%s"', Str::slug($study->name) ?: 'study', $kind),
        ]);
    }

    public function comparison(ComparisonRequest $request, Study $study): JsonResponse
    {
        return new JsonResponse($this->answers->comparison($study, $request->one($study), $request->other($study)));
    }

    private function survey(Request $request, Study $study): JsonResponse
    {
        return CannotBeShown::orAnswer(fn (): array => $this->answers->survey($this->user($request), $study));
    }
}
