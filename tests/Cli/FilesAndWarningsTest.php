<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

it('takes a new warning in by one file', function () {
    $project = projectWith([
        'core/Recipe/Warnings/Sharpen.php' => <<<'PHP'
        <?php

        declare(strict_types=1);

        namespace KnottyPrism\Core\Recipe\Warnings;

        /** A first pass wants a sharp point. */
        final class Sharpen extends WarningKind
        {
            public function __construct()
            {
                parent::__construct('sharpen', 15);
            }

            public function in(Laying $laying): array
            {
                return $laying->trace->steps === [] ? [] : [$this->at(0, $laying, 'Pass 1 wants a sharp point.', 'Sharpen first.')];
            }
        }
        PHP
        ,
    ]);
    $match = new Process(
        ["$project/prism", 'match', '--drawer', demoDrawer(), '--target', '#7a6a58', '--count', '1', '--max-passes', '2'],
        $project,
        timeout: 60,
    );
    $match->run();
    expect($match->getErrorOutput())->toBe('');
    $answer = json_decode($match->getOutput());
    expectSchema('match', $answer);
    expect(array_values(array_filter($answer->recipes[0]->warnings, static fn (stdClass $w): bool => $w->code === 'sharpen')))->toEqual([
        (object) [
            'code' => 'sharpen',
            'pass' => 1,
            'shades' => ['spot'],
            'where' => 'spot',
            'text' => 'Pass 1 wants a sharp point.',
            'remedy' => 'Sharpen first.',
        ],
    ]);
    // It can be overruled, and is told at the desk.
    $process = new Process(
        [
            'php',
            '-r',
            <<<'PHP'
            require 'vendor/autoload.php';
            use KnottyPrism\Core\Recipe\Warnings\WarningKind;
            echo json_encode([
                'door' => (string) App\Edits\PlanEdits::rules('overrule')['code'][1],
                'desk' => WarningKind::from('sharpen')->ofPasses,
            ]);
            PHP
            ,
        ],
        $project,
    );
    $process->run();
    $told = json_decode($process->getOutput(), true);
    expect($process->getErrorOutput())->toBe('')->and($told['door'])->toContain('"sharpen"')->and($told['desk'])->toBeTrue();
});

it('takes a new format in by one file', function () {
    $project = projectWith([
        'core/Formats/Drawers/Words.php' => <<<'PHP'
        <?php

        declare(strict_types=1);

        namespace KnottyPrism\Core\Formats\Drawers;

        use KnottyPrism\Core\Drawer\Stock\ShelfRow;

        /** A pencil a line: its colour, then its number. */
        final class Words extends DrawerFormat
        {
            public function __construct()
            {
                parent::__construct('words', 6, 'words', 'text/plain', 'a plain list', 'number and colour');
            }

            public function isOne(string $start): bool
            {
                return str_starts_with($start, '#');
            }

            public function read(string $text): DrawerReading
            {
                $lines = array_map(static fn (string $l): string => substr($l, 8).','.substr($l, 0, 7), explode("\n", trim($text)));

                return Csv::it()->read("number,heavy\n".implode("\n", $lines));
            }

            public function write(string $title, array $rows): string
            {
                return implode("\n", array_map(static fn (ShelfRow $r): string => "{$r->record->heavy} {$r->record->number}", $rows));
            }
        }
        PHP
        ,
    ]);
    $convert = static function (string ...$call) use ($project): Process {
        $process = new Process(["$project/prism", 'convert', ...$call], $project, timeout: 60);
        $process->run();

        return $process;
    };
    // Written, read again, and named in the sentence that says what there is.
    $written = $convert('--from', demoDrawer(), '--to', 'words');
    expect($written->getErrorOutput())->toBe('')->and($written->getOutput())->toStartWith('#');
    $file = temporaryFile($written->getOutput());
    expect(substr_count($convert('--from', $file, '--to', 'csv')->getOutput(), "\r\n"))
        ->toBe(25)
        ->and($convert('--from', $file, '--to', 'song')->getErrorOutput())
        ->toContain('spectral, words');
    // The page offers what is found.
    $process = new Process(
        ['php', '-r', "require 'vendor/autoload.php'; echo json_encode(KnottyPrism\\Core\\Formats\\Drawers\\DrawerFormat::values());"],
        $project,
    );
    $process->run();
    expect(json_decode($process->getOutput(), true))->toBe(['csv', 'json', 'gpl', 'cgats', 'spectral', 'words']);
});
