<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Answers\PlanAnswers;
use App\Answers\RampAnswers;
use App\Answers\TriedMethods;
use App\Edits\PlanEdits;
use App\Http\CannotBeShown;
use App\Http\Requests\Plan\PlanChangeRequest;
use App\Http\Requests\Plan\RampRequest;
use App\Http\Requests\Plan\VersionRequest;
use App\Http\Requests\Plan\ZoneRequest;
use App\Http\Requests\UndoRequest;
use App\Jobs\ChoosePencils;
use App\Jobs\TakePlanTurn;
use App\Models\PlanRun;
use App\Models\Study;
use App\Plans\PlanRepository;
use App\Plans\PlanRunner;
use App\Plans\PlanTurns;
use App\Resources\SequenceResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Picture\Decisions\PlanSheet;
use KnottyPrism\Core\Picture\PlannedZone;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;

/** The plan of a study's picture. Every change answers with the whole of it. */
final class PlanController extends Controller
{
    private const ANSWERS = 3;

    /** Seconds that an answer is held back for what is likely to be ready by then. */
    private const WAITED = 0.9;

    public function __construct(
        private readonly PlanRepository $plans,
        private readonly PlanAnswers $answers,
        private readonly PlanRunner $runner,
    ) {
    }

    public function show(Request $request, Study $study): JsonResponse
    {
        return $this->whole($request, $study);
    }

    /** Begins to plan, or goes on. */
    public function plan(Request $request, Study $study): JsonResponse
    {
        // What can't be planned is refused here, where it is asked for, and not by the queue.
        $ground = $this->plans->ground($this->user($request), $study);
        $this->plans->planner($ground)->hand();
        $open = count(array_filter($this->plans->zones($ground), static fn (PlannedZone $z): bool => $z->sequence === null));
        // A few zones whose pencils are to be chosen first are no short work.
        $short = $open <= PlanTurns::SHORT && $this->plans->palettePart($ground) !== null;
        $run = $this->runner->begin($study, $short ? $open : PlanTurns::long($open), static function (PlanRun $run): void {
            TakePlanTurn::dispatch($run->zones_open <= PlanTurns::SHORT);
        });
        // One zone is mostly there within the second: the answer brings it, and nobody needs to ask again.
        if ($open === 1) {
            $this->runner->await($run, self::WAITED);
        }

        return $this->whole($request, $study, 202);
    }

    /** How far the planner is, in one row: asked again and again, where the whole plan would be read each time. */
    public function progress(Study $study): JsonResponse
    {
        $run = PlanRun::query()
            ->where('study_id', $study->id)
            ->orderByDesc('id')
            ->first(['state', 'what', 'done', 'total']);

        return self::passing(
            new JsonResponse(['run' => $run?->only(['state', 'what', 'done', 'total'])]),
            $run?->state->isUnderWay() === true,
        );
    }

    /** Somebody looks at a plan that is not there yet: its pencils may be chosen meanwhile. */
    public function prepare(Study $study): Response
    {
        ChoosePencils::ahead($study->id);

        return new Response(status: 204);
    }

    public function cancel(Request $request, Study $study): JsonResponse
    {
        $this->runner->cancel($study);

        return $this->whole($request, $study);
    }

    public function change(PlanChangeRequest $request, Study $study, PlanEdits $changes): JsonResponse
    {
        $user = $this->user($request);
        $this->once(
            $request,
            fn (): int => $this->plans->change(
                $study,
                static fn (PlanSheet $sheet): array => $changes->made($user, $study, $sheet, $request->change()),
            ),
        );

        return $this->whole($request, $study);
    }

    public function undo(UndoRequest $request, Study $study): JsonResponse
    {
        $this->once($request, fn (): int => $this->plans->versions->move($study, -1, $request->meant()));

        return $this->whole($request, $study);
    }

    public function redo(UndoRequest $request, Study $study): JsonResponse
    {
        $this->once($request, fn (): int => $this->plans->versions->move($study, 1, $request->meant()));

        return $this->whole($request, $study);
    }

    /** Gives the present version a name, or goes to a version that has one. */
    public function version(VersionRequest $request, Study $study): JsonResponse
    {
        $this->once($request, function () use ($request, $study): int {
            $number = $request->number();
            if ($number !== null) {
                return $this->plans->versions->go($study, $number);
            }
            $current =
                $this->plans->versions->current($study) ??
                throw ImpossibleChange::because(
                    'You haven’t changed anything in this plan yet. Change something before you name a version.',
                );
            $current->update(['name' => $request->versionName()]);

            return $current->id;
        });

        return $this->whole($request, $study);
    }

    /** Up to three sequences for a zone, or the one in which a method would work it. */
    public function answers(ZoneRequest $request, Study $study, TriedMethods $tried): JsonResponse
    {
        $ground = $this->plans->ground($this->user($request), $study);
        $zone = $this->plans->zone($ground, $request->zone());
        $palette =
            $this->plans->palettePart($ground) ?? throw ImpossibleChange::because('The picture is not planned yet; plan it first.');
        $start = $request->start();
        if ($start !== null) {
            return new JsonResponse(['answers' => [$tried->in($ground, $zone->zone, $palette, $start)]]);
        }

        return new JsonResponse([
            'answers' => array_map(
                fn (SequenceAnswer $a): array => SequenceResource::answer($a, $ground->paper),
                $this->plans->planner($ground)->sequences($zone->zone, $zone->shades, $palette, self::ANSWERS),
            ),
        ]);
    }

    /** An even fade along a line across a zone. */
    public function ramp(RampRequest $request, Study $study, RampAnswers $ramps): JsonResponse
    {
        return new JsonResponse($ramps->across($this->plans->ground($this->user($request), $study), $request->from(), $request->to()));
    }

    private function whole(Request $request, Study $study, int $status = 200): JsonResponse
    {
        return CannotBeShown::orAnswer(fn (): array => $this->answers->plan($this->user($request), $study->refresh()), $status);
    }
}
