<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Answers\ChartAnswers;
use App\Models\Study;
use App\Print\DrawerSheets;
use App\Print\PdfPage;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Drawer\DrawerOrder;
use KnottyPrism\Core\Medium\Laying\PressureMark;
use KnottyPrism\Core\Medium\Paper\PaperShelf;

/** What is worked out of a whole drawer, on screen and to print. */
final class DrawerChartController extends Controller
{
    private const ID = ['required', 'string', 'max:130'];

    public function __construct(private readonly ChartAnswers $charts)
    {
    }

    public function reach(Request $request): JsonResponse
    {
        return new JsonResponse($this->charts->reach($this->user($request), $this->paper($request)));
    }

    public function purchases(Request $request, Study $study): JsonResponse
    {
        return new JsonResponse($this->charts->purchasesFor($this->user($request), $study));
    }

    public function equivalents(Request $request): JsonResponse
    {
        return new JsonResponse($this->table($request));
    }

    public function mix(Request $request): JsonResponse
    {
        $request->validate(['id' => self::ID]);

        return new JsonResponse($this->charts->mix($this->user($request), (string) $request->string('id'), $this->paper($request)));
    }

    public function chart(Request $request): JsonResponse
    {
        return new JsonResponse($this->mixed($request));
    }

    public function chartSheet(Request $request, DrawerSheets $sheets): Response
    {
        return self::pdf($sheets->chart($this->mixed($request), $this->size($request)), 'mixing-chart');
    }

    public function map(Request $request, DrawerSheets $sheets): Response
    {
        $request->validate(['order' => ['sometimes', Rule::in(DrawerOrder::KINDS)], 'rows' => ['required', 'integer'], 'slots' => ['required', 'integer']]);
        $order = (string) $request->string('order', 'gradual');

        return self::pdf($sheets->map($this->charts->map($this->user($request), $order, $request->integer('rows'), $request->integer('slots')), $order, $this->size($request)), 'drawer-map');
    }

    public function equivalentsSheet(Request $request, DrawerSheets $sheets): Response
    {
        return self::pdf($sheets->equivalents($this->table($request), $this->size($request)), 'lines-side-by-side');
    }

    /** @return array<string, mixed> */
    private function table(Request $request): array
    {
        $request->validate(['from' => ['present', 'nullable', 'string', 'max:80'], 'to' => ['present', 'nullable', 'string', 'max:80']]);

        return $this->charts->equivalents($this->user($request), (string) $request->string('from'), (string) $request->string('to'));
    }

    /** @return array<string, mixed> */
    private function mixed(Request $request): array
    {
        $request->validate(['ids' => ['required', 'array', 'max:40'], 'ids.*' => self::ID, 'beneath' => ['sometimes', Rule::enum(PressureMark::class)], 'above' => ['sometimes', Rule::enum(PressureMark::class)]]);
        /** @var list<string> $ids */
        $ids = $request->input('ids');
        $mark = static fn (string $which): PressureMark => PressureMark::from((string) $request->string($which, PressureMark::Medium->value));

        return $this->charts->chart($this->user($request), $ids, $this->paper($request), $mark('beneath'), $mark('above'));
    }

    private function paper(Request $request): string
    {
        $request->validate(['paper' => ['sometimes', Rule::in(PaperShelf::names())]]);

        return (string) $request->string('paper', 'white medium');
    }

    private function size(Request $request): string
    {
        $request->validate(['size' => ['sometimes', Rule::in(array_keys(PdfPage::SIZES))]]);

        return (string) $request->string('size', 'a4');
    }

    private static function pdf(string $content, string $name): Response
    {
        return new Response($content, 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'inline; filename="'.$name.'.pdf"', 'Cache-Control' => 'no-store']);
    }
}
