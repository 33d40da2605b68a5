<?php

declare(strict_types=1);

namespace App\Print;

use Dompdf\Dompdf;
use Dompdf\Options;
use Illuminate\Support\Facades\View;
use KnottyPrism\Core\Chart\Sheet\ChartSheet;

/** A page to print, from one of the card templates; nothing is fetched from anywhere. */
final class PdfPage
{
    /** Name => width and height in millimetres. */
    public const SIZES = ChartSheet::SIZES;

    /** Points. */
    private const LEAST_TYPE = 6.5;

    private const POINTS_PER_MM = 72 / 25.4;

    /** @param  array<string, mixed>  $data  for the template; where it has a scale, sizes of type follow it */
    public static function of(string $view, array $data, string $size, bool $wide = false): string
    {
        [$width, $height] = $wide ? array_reverse(self::SIZES[$size]) : self::SIZES[$size];
        $options = new Options;
        $options->setIsRemoteEnabled(false);
        $options->setDefaultFont('DejaVu Sans');
        $options->setTempDir(storage_path('framework/cache'));
        $options->setFontCache(storage_path('framework/cache'));
        $pdf = new Dompdf($options);
        $pdf->setPaper([0, 0, $width * self::POINTS_PER_MM, $height * self::POINTS_PER_MM]);
        $scale = is_numeric($data['scale'] ?? null) ? (float) $data['scale'] : 1.0;
        // The palette card is made as small as one page asks for.
        $data['type'] = new TypeScale($scale, $view === 'cards.palette' ? 0.0 : self::LEAST_TYPE);
        $pdf->loadHtml(View::make($view, $data)->render());
        $pdf->render();

        return (string) $pdf->output();
    }
}
