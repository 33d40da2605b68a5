<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Answers\HandAnswers;
use App\Drawers\DrawerKeeper;
use App\Hands\HandKeeper;
use App\Http\Requests\Hand\HandRequest;
use App\Http\Requests\Hand\HandVersionRequest;
use App\Http\Requests\Hand\StripPhotoRequest;
use App\Http\Requests\Hand\StripsRequest;
use App\Photos\Raster;
use App\Plans\StripSheet;
use App\Print\ChartPages;
use App\Resources\HandResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** An artist's hand on a paper: strips are asked for, laid, judged by a ladder, a colour or a photo, and learned from. */
final class HandController extends Controller
{
    public function __construct(
        private readonly HandKeeper $hands,
        private readonly StripSheet $sheet,
        private readonly HandAnswers $answers,
    ) {
    }

    public function show(HandRequest $request): JsonResponse
    {
        return new JsonResponse($this->answers->hand($this->user($request), $request->paper(), $request->asked()));
    }

    public function learn(StripsRequest $request, DrawerKeeper $drawers): JsonResponse
    {
        $user = $this->user($request);
        $shelf = $drawers->shelfOf($user);
        $strips = $request->strips($shelf);
        $this->once($request, fn (): int => $this->hands->learn($user, $request->paper(), $strips, $shelf)->id);

        return new JsonResponse($this->answers->hand($user, $request->paper(), $request->asked()), 201);
    }

    public function use(HandVersionRequest $request): JsonResponse
    {
        $user = $this->user($request);
        $this->once($request, function () use ($user, $request): int {
            $this->hands->use($user, $request->paper(), $request->number());

            return $request->number();
        });

        return new JsonResponse($this->answers->hand($user, $request->paper(), $request->asked()));
    }

    public function pdf(HandRequest $request, ChartPages $pages): Response
    {
        $strips = $this->sheet->strips($this->user($request), $request->asked());

        return new Response($pages->ofStrips($this->sheet->sheet($strips), $strips), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'inline; filename="strips.pdf"',
            'Cache-Control' => 'no-store',
        ]);
    }

    public function photo(StripPhotoRequest $request): JsonResponse
    {
        $strips = $this->sheet->strips($this->user($request), $request->asked());

        return new JsonResponse([
            'boxes' => HandResource::read($this->sheet->read($strips, $request->paper(), $request->photo()->getRealPath())),
        ]);
    }

    public function madeUp(HandRequest $request): JsonResponse
    {
        $strips = $this->sheet->strips($this->user($request), $request->asked());
        $photo = $this->sheet->madeUp($strips, $request->paper(), random_int(1, 100_000));

        return new JsonResponse([
            'boxes' => HandResource::read($this->sheet->readFrom($strips, $request->paper(), $photo)),
            'photo' => 'data:image/jpeg;base64,'.base64_encode(Raster::encoded($photo->width, $photo->height, 3, $photo->pixels, 'jpeg')),
        ]);
    }
}
