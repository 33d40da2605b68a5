<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk;

use App\Http\Controllers\Controller;
use App\Http\Requests\Desk\OutlineRequest;
use App\Models\Study;
use App\Photos\BorderReader;
use App\Photos\SurveyRepository;
use App\Photos\ZoneReader;
use App\Print\OutlineSheet;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use KnottyPrism\Core\Desk\Transfer\InnerEdges;
use KnottyPrism\Core\Desk\Transfer\Tracing;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Photo\Borders\BorderLines;

/** What is transferred to the paper before the first pass: outlines at the drawing's real size. */
final class OutlineController extends Controller
{
    public function __invoke(
        OutlineRequest $request,
        Study $study,
        SurveyRepository $surveys,
        ZoneReader $reader,
        BorderReader $borders,
    ): Response {
        $survey = $surveys->current($study);
        $sheet = $survey->zones ?? throw ImpossibleChange::because('There are no zones yet; propose zones in “Photo” first.');
        $photo = $study->photo();
        $grid = $reader->grid($sheet, $survey, $photo);
        $lines = BorderLines::of($sheet->labels, $borders->graded($survey, $photo));
        $mirrored = $request->boolean('mirrored');
        $tracing = Tracing::of(
            $study->frame(),
            $lines,
            InnerEdges::of($sheet->labels, $grid, $reader->readings($survey, $photo)),
            $mirrored,
        );
        $pdf = OutlineSheet::pdf($study->name, $tracing, $request->size(), $request->boolean('grid') ? $study->grid_mm : null, $mirrored);

        return new Response($pdf, 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'inline; filename="'.Str::slug($study->name).'-outlines-'.$request->size().'.pdf"',
            'Cache-Control' => 'no-store',
        ]);
    }
}
