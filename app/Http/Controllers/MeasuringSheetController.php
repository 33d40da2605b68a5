<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Drawers\MeasuringSheets;
use App\Http\Requests\Drawer\NewSheetRequest;
use App\Http\Requests\Drawer\SheetColourRequest;
use App\Http\Requests\Drawer\SheetPhotoRequest;
use App\Http\Requests\Drawer\SwatchPageRequest;
use App\Models\MeasuringSheet;
use App\Print\ChartPages;
use App\Resources\SheetResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use KnottyPrism\Core\Chart\Sheet\BoxKind;
use KnottyPrism\Core\Chart\Sheet\SheetPencil;
use KnottyPrism\Core\Medium\Paper\PaperShelf;

/** Measuring pencils with a camera: a sheet is written down, printed, photographed and looked over. */
final class MeasuringSheetController extends Controller
{
    public function __construct(private readonly MeasuringSheets $sheets)
    {
    }

    public function index(Request $request): JsonResponse
    {
        return new JsonResponse([
            'sheets' => array_map(self::shown(...), $this->sheets->of($this->user($request))),
            'papers' => PaperShelf::printable(),
        ]);
    }

    public function store(NewSheetRequest $request): JsonResponse
    {
        $pencils = $request->pencils();
        $id = $this->once(
            $request,
            fn (): int => $this->sheets->begin($this->user($request), $pencils, (string) $request->string('size'), $request->paper())->id,
        );

        return new JsonResponse(self::shown($this->sheets->sheet($this->user($request), (int) $id)), 201);
    }

    public function ownPage(SwatchPageRequest $request): JsonResponse
    {
        $id = $this->once(
            $request,
            fn (): int => $this->sheets->ownPage(
                $this->user($request),
                $request->pencils(),
                $request->photo()->getRealPath(),
                $request->corners() ?? [],
                $request->integer('rows'),
                $request->integer('columns'),
                $request->paper(),
            )->id,
        );

        return new JsonResponse(self::shown($this->sheets->sheet($this->user($request), (int) $id)), 201);
    }

    public function pdf(MeasuringSheet $sheet, ChartPages $pages): Response
    {
        $labels = array_map(static fn (SheetPencil $p): array => ['number' => $p->number, 'name' => $p->name], $sheet->byId());

        return new Response($pages->pdf($sheet->sheet(), $labels), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'inline; filename="pencils-to-measure.pdf"',
        ]);
    }

    public function photo(SheetPhotoRequest $request, MeasuringSheet $sheet): JsonResponse
    {
        $this->once($request, fn (): int => $this->sheets->read($sheet, $request->photo()->getRealPath())->id);

        return new JsonResponse(self::shown($sheet->refresh()));
    }

    public function madeUp(Request $request, MeasuringSheet $sheet): JsonResponse
    {
        $photo = '';
        $this->once($request, function () use ($sheet, &$photo): int {
            [$read, $photo] = $this->sheets->madeUp($sheet, random_int(1, 100_000));

            return $read->id;
        });

        // The photo itself is kept nowhere: asked for once more under the same key, what it said is there alone.
        return new JsonResponse([
            ...self::shown($sheet->refresh()),
            ...$photo === '' ? [] : ['photo' => 'data:image/jpeg;base64,'.base64_encode($photo)],
        ]);
    }

    public function correct(SheetColourRequest $request, MeasuringSheet $sheet): JsonResponse
    {
        $hex = $request->filled('hex') ? (string) $request->string('hex') : null;

        return new JsonResponse(
            self::shown(
                $this->sheets->correct(
                    $sheet,
                    (string) $request->string('pencil'),
                    BoxKind::from((string) $request->string('kind')),
                    $hex,
                ),
            ),
        );
    }

    public function csv(MeasuringSheet $sheet): Response
    {
        return new Response($this->sheets->csv($sheet), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="measured.csv"',
        ]);
    }

    /** @return array<string, mixed> */
    private static function shown(MeasuringSheet $sheet): array
    {
        return SheetResource::of($sheet->id, $sheet->size, $sheet->paper, $sheet->listed(), $sheet->pageCount(), $sheet->pages);
    }
}
