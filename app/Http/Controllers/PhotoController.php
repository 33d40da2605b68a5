<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Answers\SurveyAnswers;
use App\Edits\Once;
use App\Http\CannotBeShown;
use App\Http\Requests\Photo\LookRequest;
use App\Http\Requests\Photo\PhotoNotesRequest;
use App\Http\Requests\Study\NewStudyRequest;
use App\Models\Photo;
use App\Models\Study;
use App\Photos\Looks;
use App\Photos\PhotoStore;
use App\Photos\SurveyRepository;
use App\Studies\StudyKeeper;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use KnottyPrism\Core\Photo\Viewing\Push;

/** The photos of a study, to its owner: never the file that came, always a copy that was encoded here. */
final class PhotoController extends Controller
{
    public function __construct(private readonly SurveyRepository $surveys, private readonly SurveyAnswers $answers)
    {
    }

    public function store(NewStudyRequest $request, Study $study, StudyKeeper $keeper): JsonResponse
    {
        $file = $request->photo();
        if (Once::madeBefore($request, $this->user($request)) === null) {
            $keeper->addPhoto(
                $study,
                $file->getRealPath(),
                $file->getClientOriginalName(),
                fn (\Closure $row): Photo => $study->photos()->findOrFail((int) $this->once($request, static fn (): int => $row()->id)),
            );
        }

        return $this->survey($request, $study, 201);
    }

    public function update(PhotoNotesRequest $request, Study $study, Photo $photo): JsonResponse
    {
        $columns = $request->columns();
        $this->once($request, static function () use ($photo, $columns): int {
            // Read again: tried again after a deadlock, it would be taken for saved already.
            $photo->refresh()->update($columns);

            return $photo->id;
        });

        return $this->survey($request, $study);
    }

    public function destroy(Request $request, Study $study, int $photo, StudyKeeper $keeper): JsonResponse
    {
        $this->once($request, static function () use ($study, $photo, $keeper): int {
            $keeper->removePhoto($study, $study->photos()->findOrFail($photo));

            return $photo;
        });

        return $this->survey($request, $study);
    }

    public function plain(Study $study, PhotoStore $store): Response
    {
        return self::picture('jpeg', $store->jpeg($study->photo()));
    }

    public function look(LookRequest $request, Study $study, Photo $photo, Looks $looks): Response
    {
        $survey = $this->surveys->current($study);
        $push = null;
        $pushed = '';
        if ($request->has('push')) {
            $by = ($request->integer('by', -1) * 100) / 9;
            $push = new Push($survey->sheet(), $request->integer('push'), $by);
            $pushed = sprintf('%s/%d/%.2f', $survey->sheet()->labels->fingerprint(), $request->integer('push'), $by);
        }
        ['kind' => $kind, 'bytes' => $bytes] = $looks->picture($photo, $request->way($survey->balanceOf($photo->id)), $push, $pushed);

        return self::picture($kind, $bytes);
    }

    public function values(LookRequest $request, Study $study, Photo $photo, Looks $looks): JsonResponse
    {
        $way = $request->way($this->surveys->current($study)->balanceOf($photo->id));
        $shares = array_map(static fn (float $share): float => round($share, 4), array_values($looks->shares($photo, $way)));

        return new JsonResponse([
            'steps' => $way->scale->steps,
            'fromLightest' => $way->scale->fromLightest,
            'shares' => $shares,
            'greys' => $this->answers->greys($way->scale),
        ]);
    }

    private function survey(Request $request, Study $study, int $status = 200): JsonResponse
    {
        return CannotBeShown::orAnswer(fn (): array => $this->answers->survey($this->user($request), $study->refresh()), $status);
    }

    private static function picture(string $kind, string $bytes): Response
    {
        return new Response($bytes, 200, [
            'Content-Type' => "image/$kind",
            'Cache-Control' => 'private, max-age=3600',
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }
}
