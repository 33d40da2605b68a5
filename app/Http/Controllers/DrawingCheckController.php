<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\Plan\DrawingPhotoRequest;
use App\Http\Requests\Plan\MadeUpDrawingRequest;
use App\Models\DrawingCheckRow;
use App\Models\Study;
use App\Plans\DrawingChecks;
use App\Plans\PlanRepository;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** A photo of the half-done drawing, held against the plan of its picture. */
final class DrawingCheckController extends Controller
{
    public function __construct(private readonly DrawingChecks $checks, private readonly PlanRepository $plans)
    {
    }

    public function index(Study $study): JsonResponse
    {
        return new JsonResponse(['checks' => array_map(self::shown(...), $this->checks->of($study))]);
    }

    public function store(DrawingPhotoRequest $request, Study $study): JsonResponse
    {
        $id = $this->once(
            $request,
            fn (): int => $this->checks->photographed(
                $this->plans->ground($this->user($request), $study),
                $request->progress(),
                $request->photo()->getRealPath(),
                $request->corners(),
            )->id,
        );

        return new JsonResponse(self::shown(self::checkOf($study, (int) $id)), 201);
    }

    public function madeUp(MadeUpDrawingRequest $request, Study $study): JsonResponse
    {
        $id = $this->once(
            $request,
            fn (): int => $this->checks->madeUp(
                $this->plans->ground($this->user($request), $study),
                $request->progress(),
                $request->seed(),
            )->id,
        );

        return new JsonResponse(self::shown(self::checkOf($study, (int) $id)), 201);
    }

    /** Sent again, it is still gone. */
    public function destroy(Request $request, Study $study, int $check): JsonResponse
    {
        $this->once($request, static function () use ($study, $check): int {
            DrawingCheckRow::query()->where('study_id', $study->id)->findOrFail($check)->delete();

            return $check;
        });

        return $this->index($study);
    }

    public function photo(Study $study, int $check): Response
    {
        return self::picture('jpeg', self::checkOf($study, $check)->photo);
    }

    public function map(Study $study, int $check): Response
    {
        return self::picture('png', self::checkOf($study, $check)->map);
    }

    private static function checkOf(Study $study, int $check): DrawingCheckRow
    {
        return DrawingCheckRow::query()->where('study_id', $study->id)->findOrFail($check);
    }

    private static function picture(string $kind, string $base64): Response
    {
        return new Response((string) base64_decode($base64, true), 200, [
            'Content-Type' => "image/$kind",
            'Cache-Control' => 'private, max-age=86400',
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }

    /** @return array<string, mixed> */
    private static function shown(DrawingCheckRow $row): array
    {
        return ['id' => $row->id, 'passes' => $row->passes, 'made' => $row->created_at->toIso8601String(), 'zones' => [], ...$row->said];
    }
}
