<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Adaptation;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Formats\Drawers\DrawerFormat;
use Symfony\Component\Process\Process;

/** A folder of its own, with the demo's drawer as measurement text in both kinds. */
function measurements(): string
{
    $folder = sys_get_temp_dir().'/kp-'.bin2hex(random_bytes(6));
    mkdir($folder);
    $rows = DrawerFile::rows((string) file_get_contents(dirname(__DIR__, 2).'/demo/drawer.csv'));
    file_put_contents("$folder/lab.txt", DrawerFormat::from('cgats')->write('drawer', $rows));
    file_put_contents("$folder/spectral.txt", DrawerFormat::from('spectral')->write('drawer', $rows));

    return $folder;
}

function ranIn(string $folder, string ...$command): string
{
    $process = new Process($command, $folder);
    $process->run();

    return $process->getOutput().$process->getErrorOutput();
}

it('writes measurement text that an independent reader reads, Lab and reflectances alike', function () {
    $said = ranIn(measurements(), 'colverify', '-v', 'lab.txt', 'spectral.txt');
    expect($said)->toContain('No of test patches = 24')->toContain('Verify results');
    preg_match('/Total errors:\s+peak = ([\d.]+), avg = ([\d.]+)/', $said, $m);
    // It works out the reflectances' colours under its own D50; that a spectrum shifts a little between lights is all that parts the two.
    expect((float) ($m[2] ?? 99))->toBeLessThan(2.0)->and((float) ($m[1] ?? 99))->toBeLessThan(4.0);
});

it('reads measurement text that an independent writer wrote', function () {
    $folder = measurements();
    ranIn($folder, 'targen', '-d3', '-f40', 'base');
    ranIn($folder, 'fakeread', '-l', '/usr/share/color/icc/sRGB.icc', 'base');
    $written = (string) file_get_contents("$folder/base.ti3");
    $rows = DrawerFile::reading($written)->rows;
    preg_match_all('/^(\d+) (?:[\d.]+ ){3}([\d.]+) (-?[\d.]+) (-?[\d.]+) *$/m', $written, $samples, PREG_SET_ORDER);
    expect($rows)->toHaveCount(40)->and($samples)->toHaveCount(40);
    $inside = 0;
    foreach (array_values($rows) as $i => $row) {
        [, $number, $l, $a, $b] = $samples[$i];
        expect($row->record->number)->toBe($number);
        [$readL, $readA, $readB] = Adaptation::toD50(Lab::ofHex($row->record->heavy));
        // Strong screen colours lie outside what #rrggbb can hold after the change of light, and are cut off at its ends.
        if (preg_match('/^#(?:(?!00|ff)..){3}$/', $row->record->heavy) === 1) {
            $inside++;
            expect(sqrt(($readL - $l) ** 2 + ($readA - $a) ** 2 + ($readB - $b) ** 2))->toBeLessThan(1.5);
        }
    }
    expect($inside)->toBeGreaterThan(5);
});
