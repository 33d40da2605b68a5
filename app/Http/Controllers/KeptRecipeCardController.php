<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Answers\KeptRecipeAnswers;
use App\Http\Requests\PrintRequest;
use App\Models\Study;
use App\Print\PaletteCard;
use Illuminate\Http\Response;

/** The palette card of a study, to print and keep beside the drawing. */
final class KeptRecipeCardController extends Controller
{
    public function __invoke(PrintRequest $request, Study $study, KeptRecipeAnswers $answers, PaletteCard $card): Response
    {
        $size = $request->size();
        $pdf = $card->pdf($study->name, $study->paper, $answers->outcomes($this->user($request), $study), $size);

        return new Response($pdf, 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'inline; filename="palette-card-'.$study->id.'-'.$size.'.pdf"',
            'Cache-Control' => 'no-store',
        ]);
    }
}
