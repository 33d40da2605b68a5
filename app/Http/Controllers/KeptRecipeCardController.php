<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Answers\KeptRecipeAnswers;
use App\Models\Study;
use App\Print\PaletteCard;
use App\Print\PdfPage;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;

/** The palette card of a study, to print and keep beside the drawing. */
final class KeptRecipeCardController extends Controller
{
    public function __invoke(Request $request, Study $study, KeptRecipeAnswers $answers, PaletteCard $card): Response
    {
        $request->validate(['size' => ['sometimes', Rule::in(array_keys(PdfPage::SIZES))]]);
        $size = (string) $request->string('size', 'a4');
        $pdf = $card->pdf($study->name, $study->paper, $answers->recipes($this->user($request), $study), $size);

        return new Response($pdf, 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'inline; filename="palette-card-'.$study->id.'-'.$size.'.pdf"', 'Cache-Control' => 'no-store']);
    }
}
