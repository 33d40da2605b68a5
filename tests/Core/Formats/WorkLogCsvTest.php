<?php

declare(strict_types=1);

use KnottyPrism\Core\Book\Log\LoggedPass;
use KnottyPrism\Core\Book\Log\Wear;
use KnottyPrism\Core\Book\Log\WorkLog;
use KnottyPrism\Core\Formats\Tables\CsvCell;
use KnottyPrism\Core\Formats\Tables\WorkLogCsv;

it('writes a row a pass, read back as it was, with nothing that a spreadsheet would take for a formula', function () {
    $at = strtotime('2026-03-01 18:00 UTC');
    $log = new WorkLog([
        new LoggedPass(1, 7, $at, 'sea', 'Slipway/741', false, 4.25, 900.0),
        new LoggedPass(2, 7, $at + 600, '-rope, "lit"', 'Slipway/711', true, 2.0, 0.0),
        new LoggedPass(3, 8, $at + 90_000, 'sky', 'solvent', false, 3.0, 0.0),
        new LoggedPass(4, 8, $at + 90_060, "line\nbroken", 'Slipway/999', false, 3.0, null),
    ]);
    $text = WorkLogCsv::of(
        $log,
        [7 => 'Low water', 8 => '@home'],
        ['Slipway/741' => '741 Slate step', 'Slipway/711' => '711 Dry reed'],
        Wear::ordinary(),
    );
    $stream = fopen('php://memory', 'r+');
    fwrite($stream, $text);
    rewind($stream);
    $rows = [];
    while (is_array($row = fgetcsv($stream, escape: ''))) {
        $rows[] = $row;
    }
    expect(array_shift($rows))
        ->toBe(['session', 'study', 'done_at', 'zone', 'tool', 'left_out', 'minutes_reckoned', 'millimetres_used'])
        ->and($rows)
        ->toBe([
            [
                '1',
                'Low water',
                '2026-03-01T18:00:00Z',
                'sea',
                '741 Slate step',
                'no',
                '4.25',
                (string) round(Wear::ordinary()->millimetres(900), 2),
            ],
            ['1', 'Low water', '2026-03-01T18:10:00Z', "'-rope, \"lit\"", '711 Dry reed', 'yes', '2', ''],
            ['2', "'@home", '2026-03-02T19:00:00Z', 'sky', 'solvent', 'no', '3', '0'],
            // What was ticked before film was reckoned says nothing of it; a pencil that has left the shelf keeps its number.
            ['2', "'@home", '2026-03-02T19:01:00Z', "line\nbroken", 'Slipway/999', 'no', '3', ''],
        ]);
    expect(WorkLogCsv::of(new WorkLog([]), [], [], Wear::ordinary()))->toBe(
        "session,study,done_at,zone,tool,left_out,minutes_reckoned,millimetres_used\r\n",
    );
});

it('marks as text what would be a formula, and leaves figures alone', function () {
    expect(array_map(CsvCell::of(...), ['=1+1', '+x', '-x', '@x', "\tx", 'a=b', -3.5, null, 'a,"b"']))->toBe([
        "'=1+1",
        "'+x",
        "'-x",
        "'@x",
        "'\tx",
        'a=b',
        '-3.5',
        '',
        '"a,""b"""',
    ]);
});
