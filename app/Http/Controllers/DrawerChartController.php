<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Answers\ChartAnswers;
use App\Http\Requests\Drawer\DrawerMapRequest;
use App\Http\Requests\Drawer\EquivalentsRequest;
use App\Http\Requests\Drawer\GamutRequest;
use App\Http\Requests\Drawer\MixingChartRequest;
use App\Http\Requests\Drawer\PencilRequest;
use App\Models\Study;
use App\Print\DrawerSheets;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What is worked out of a whole drawer, on screen and to print. */
final class DrawerChartController extends Controller
{
    public function __construct(private readonly ChartAnswers $charts)
    {
    }

    public function reach(GamutRequest $request): JsonResponse
    {
        return new JsonResponse($this->charts->reach($this->user($request), $request->paper()));
    }

    public function purchases(Request $request, Study $study): JsonResponse
    {
        return new JsonResponse($this->charts->purchasesFor($this->user($request), $study));
    }

    public function equivalents(EquivalentsRequest $request): JsonResponse
    {
        return new JsonResponse($this->table($request));
    }

    public function mix(PencilRequest $request): JsonResponse
    {
        return new JsonResponse($this->charts->mix($this->user($request), $request->pencil(), $request->paper()));
    }

    public function chart(MixingChartRequest $request): JsonResponse
    {
        return new JsonResponse($this->mixed($request));
    }

    public function chartSheet(MixingChartRequest $request, DrawerSheets $sheets): Response
    {
        return self::pdf($sheets->chart($this->mixed($request), $request->size()), 'mixing-chart');
    }

    public function map(DrawerMapRequest $request, DrawerSheets $sheets): Response
    {
        $order = $request->order();

        return self::pdf(
            $sheets->map(
                $this->charts->map($this->user($request), $order, $request->integer('rows'), $request->integer('slots')),
                $order,
                $request->size(),
            ),
            'drawer-map',
        );
    }

    public function equivalentsSheet(EquivalentsRequest $request, DrawerSheets $sheets): Response
    {
        return self::pdf($sheets->equivalents($this->table($request), $request->size()), 'lines-side-by-side');
    }

    /** @return array<string, mixed> */
    private function table(EquivalentsRequest $request): array
    {
        return $this->charts->equivalents($this->user($request), $request->from(), $request->to());
    }

    /** @return array<string, mixed> */
    private function mixed(MixingChartRequest $request): array
    {
        return $this->charts->chart(
            $this->user($request),
            $request->pencils(),
            $request->paper(),
            $request->beneath(),
            $request->above(),
        );
    }

    private static function pdf(string $content, string $name): Response
    {
        return new Response($content, 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'inline; filename="'.$name.'.pdf"',
            'Cache-Control' => 'no-store',
        ]);
    }
}
