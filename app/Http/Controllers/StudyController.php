<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Answers\StudyOpening;
use App\Edits\Once;
use App\Hands\HandKeeper;
use App\Http\Requests\Study\NewStudyRequest;
use App\Http\Requests\Study\StudyChangeRequest;
use App\Http\Requests\Study\StudyFileRequest;
use App\Models\Study;
use App\Models\User;
use App\Studies\StudyFileReader;
use App\Studies\StudyFileWriter;
use App\Studies\StudyKeeper;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use KnottyPrism\Core\Medium\Paper\PaperShelf;

/** Studies of the account: one picture each. */
final class StudyController extends Controller
{
    public function __construct(private readonly HandKeeper $hands)
    {
    }

    /** An invented photo to begin with. */
    public function sample(): Response
    {
        return new Response((string) file_get_contents(base_path('demo/photos/low-water-morning.jpg')), 200, [
            'Content-Type' => 'image/jpeg',
        ]);
    }

    public function index(Request $request): JsonResponse
    {
        $studies = Study::query()
            ->with('colourPhoto')
            ->where('user_id', $this->user($request)->id)
            ->orderByDesc('updated_at')
            ->orderByDesc('id')
            ->get();

        $words = $this->hands->words($this->user($request));

        return new JsonResponse([
            'studies' => $studies->map(fn (Study $study): array => self::shown($study, $words))->all(),
            'papers' => PaperShelf::names(),
        ]);
    }

    public function store(NewStudyRequest $request, StudyKeeper $keeper): JsonResponse
    {
        $user = $this->user($request);
        $file = $request->photo();
        $before = Once::madeBefore($request, $user);
        $study =
            $before !== null
                ? self::studyOf($user, $before)
                : $keeper->begin(
                    $user,
                    $request->studyName(),
                    $file->getRealPath(),
                    $file->getClientOriginalName(),
                    $this->making($request),
                );

        return new JsonResponse($this->of($study), 201);
    }

    public function show(Study $study): JsonResponse
    {
        return new JsonResponse($this->of($study));
    }

    public function update(StudyChangeRequest $request, Study $study): JsonResponse
    {
        $this->once($request, static function () use ($request, $study): int {
            // Read again: tried again after a deadlock, it would be taken for saved already.
            $study->refresh()->fill($request->columns())->save();
            $study->refresh()->checkDrawing();

            return $study->id;
        });
        $study->refresh();

        return new JsonResponse($this->of($study));
    }

    /** The whole study as one file. */
    public function bundle(Request $request, Study $study, StudyFileWriter $bundles): Response
    {
        return new Response($bundles->write($this->user($request), $study), 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => 'attachment; filename="'.Str::slug($study->name).'.study.json"',
            'Cache-Control' => 'no-store',
        ]);
    }

    public function bringIn(StudyFileRequest $request, StudyFileReader $bundles, StudyOpening $opening): JsonResponse
    {
        $user = $this->user($request);
        $before = Once::madeBefore($request, $user);
        $study =
            $before !== null
                ? self::studyOf($user, $before)
                : $bundles->read(
                    $user,
                    $request->text(),
                    $this->making($request),
                    static fn (Study $taken) => $opening->check($user, $taken),
                );

        return new JsonResponse($this->of($study), 201);
    }

    /** With all that belongs to it; sent again, it is still gone. */
    public function destroy(Request $request, int $study, StudyKeeper $keeper): JsonResponse
    {
        $user = $this->user($request);
        $this->once($request, static function () use ($user, $study, $keeper): int {
            $keeper->remove(self::studyOf($user, $study));

            return $study;
        });

        return new JsonResponse(status: 204);
    }

    /** @return \Closure(\Closure(): Study): Study makes a study once, whatever its making is */
    private function making(Request $request): \Closure
    {
        return function (\Closure $rows) use ($request): Study {
            $id = $this->once($request, static fn (): int => $rows()->id);

            return self::studyOf($this->user($request), (int) $id);
        };
    }

    private static function studyOf(User $user, int $id): Study
    {
        return Study::query()->where('user_id', $user->id)->findOrFail($id);
    }

    /** @return array<string, mixed> */
    private function of(Study $study): array
    {
        return self::shown($study, $this->hands->words($study->user()->firstOrFail()));
    }

    /**
     * @param  array<string, string>  $hands  what is said of the artist's hand, by paper
     * @return array<string, mixed>
     */
    private static function shown(Study $study, array $hands): array
    {
        $photo = $study->photo();

        return [
            'id' => $study->id,
            'name' => $study->name,
            'paper' => $study->paper,
            'paperHex' => PaperShelf::named($study->paper)->hex,
            'hand' => $hands[$study->paper] ?? null,
            'photoId' => $photo->id,
            'photoName' => $photo->name,
            'photoWidth' => $photo->width,
            'photoHeight' => $photo->height,
            'pictureWidthMm' => round($study->frame()->wholeWidth(), 1),
        ];
    }
}
