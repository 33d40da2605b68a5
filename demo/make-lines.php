<?php

declare(strict_types=1);

// Makes the demo's drawer files from the two invented lines: the swatches an artist would record follow from each pencil's
// figures by the medium model, rounded to #rrggbb as an artist would read them. Run: php demo/make-lines.php

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Formats\RecordFields;
use KnottyPrism\Core\Medium\Binder;
use KnottyPrism\Core\Medium\PencilFit;
use KnottyPrism\Core\Medium\PencilRecord;
use KnottyPrism\Core\Medium\Swatch;

require __DIR__.'/../vendor/autoload.php';

const OWNED = [
    'Slipway' => ['604', '608', '617', '624', '628', '636', '653', '661', '668', '671', '678', '681', '688', '696', '703', '711', '721', '726', '728', '735', '741', '745'],
    'Foghorn' => ['F59', 'F90'],
];

/** @return list<list<string>> */
function rows(string $line, Binder $binder): array
{
    $rows = [];
    foreach (file(__DIR__.'/lines/'.strtolower($line).'.tsv', FILE_IGNORE_NEW_LINES) ?: [] as $text) {
        if ($text !== '' && $text[0] !== '#') {
            $rows[] = row($line, $binder, explode("\t", $text));
        }
    }

    return $rows;
}

/**
 * @param  list<string>  $f
 * @return list<string>
 */
function row(string $line, Binder $binder, array $f): array
{
    [$number, $name, $l, $c, $h, $s, $q, $lightfast] = $f;
    $hue = deg2rad((float) $h);
    $heavy = Srgb::ofXyz((new Lab((float) $l, (float) $c * cos($hue), (float) $c * sin($hue)))->xyz())->hex();
    $owned = in_array($number, OWNED[$line], true) ? 'yes' : 'no';
    if ((float) $s === 0.0) {
        return [$line, $number, $name, Binder::Blender->value, $heavy, '', '', '', '', $lightfast, $owned];
    }
    $pencil = PencilFit::withFigures(new PencilRecord($line, $number, $name, $heavy, $binder), (float) $s, (float) $q);
    $swatch = static fn (Swatch $w): string => Srgb::ofXyz($w->colourOf($pencil)->xyz())->hex();

    return [$line, $number, $name, $binder->value, $heavy, $swatch(Swatch::Light), $swatch(Swatch::OverBlack), '', '', $lightfast, $owned];
}

/** @param  list<list<string>>  $rows */
function write(string $file, array $rows): void
{
    $out = fopen(__DIR__.'/'.$file, 'w') ?: exit("can not write $file\n");
    fputcsv($out, RecordFields::COLUMNS, escape: '');
    foreach ($rows as $row) {
        fputcsv($out, $row, escape: '');
    }
    fclose($out);
}

$slipway = rows('Slipway', Binder::Oil);
$foghorn = rows('Foghorn', Binder::Wax);
write('lines/slipway.csv', $slipway);
write('lines/foghorn.csv', $foghorn);
write('drawer.csv', array_values(array_filter([...$slipway, ...$foghorn], static fn (array $r): bool => $r[10] === 'yes')));
