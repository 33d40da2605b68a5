<?php

declare(strict_types=1);

// The book of somebody who has drawn for years: ten thousand passes in the log, five thousand recipes. In a transaction that is not kept,
// in the database of the application that was started last. ./bench --book runs it.

use App\Answers\Book\BookAnswers;
use App\Answers\Book\LogAnswers;
use App\Book\BookSearch;
use App\Models\BookRecipeRow;
use App\Models\Study;
use App\Models\User;
use Benchmarks\Table;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use KnottyPrism\Core\Colour\Lab;

require __DIR__.'/../../vendor/autoload.php';

const PASSES = 10_000;

const RECIPES = 5_000;

$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
$milliseconds = static fn (array $seconds): array => array_map(static fn (float $s): float => 1000 * $s, $seconds);

DB::beginTransaction();
$user = User::query()->orderBy('id')->firstOrFail();
$study = Study::query()->where('user_id', $user->id)->firstOrFail();
mt_srand(5);
$tools = $user->pencils()->where('owned', true)->get()->map(static fn ($p): string => $p->identifier())->all();
$at = strtotime('2020-01-01');
foreach (array_chunk(range(1, PASSES), 1000) as $chunk) {
    DB::table('ticks')->insert(
        array_map(static function () use (&$at, $study, $tools): array {
            $at += mt_rand(0, 20) === 0 ? 86_400 : mt_rand(60, 900);

            return [
                'study_id' => $study->id,
                'kind' => 'done',
                'zone' => mt_rand(1, 12),
                'zone_name' => 'zone '.mt_rand(1, 12),
                'pass' => json_encode(['tool' => $tools[array_rand($tools)], 'pressures' => ['mid' => 'light']]),
                'plan' => 'x',
                'minutes' => 4.0,
                'film' => mt_rand(10, 900),
                'made_at' => $at,
            ];
        }, $chunk),
    );
}
foreach (array_chunk(range(1, RECIPES), 250) as $chunk) {
    foreach ($chunk as $i) {
        $shades = array_map(
            static fn (string $shade): array => [
                'shade' => $shade,
                'name' => '',
                'lab' => [mt_rand(50, 950) / 10, mt_rand(-500, 500) / 10, mt_rand(-500, 600) / 10],
                'weight' => 1.0,
                'strata' => array_fill(0, 6, '#808080'),
            ],
            ['light', 'mid', 'dark'],
        );
        $row = BookRecipeRow::query()->create([
            'user_id' => $user->id,
            'study_id' => $study->id,
            'name' => "recipe $i",
            'words' => ['sky', 'rust', 'stone', 'skin'][$i % 4].' subject',
            'paper' => $study->paper,
            'shades' => $shades,
            'passes' => [['tool' => $tools[$i % count($tools)], 'pressures' => ['mid' => 'light']]],
            'pencils' => [],
            'cutout' => str_repeat('A', 6000),
            'search' => "recipe $i ".['sky', 'rust', 'stone', 'skin'][$i % 4].' |'.mb_strtolower($tools[$i % count($tools)]).'|',
        ]);
        DB::table('book_colours')->insert(
            array_map(
                static fn (array $s): array => [
                    'book_recipe_id' => $row->id,
                    'user_id' => $user->id,
                    'l' => $s['lab'][0],
                    'a' => $s['lab'][1],
                    'b' => $s['lab'][2],
                ],
                $shades,
            ),
        );
    }
}

Table::head(sprintf('a log of %d passes, a book of %d recipes', PASSES, RECIPES));
$logs = $app->make(LogAnswers::class);
$book = $app->make(BookAnswers::class);
$logs->log($user, 0);
Table::row('the log opened', $milliseconds(Table::times(15, static fn () => $logs->log($user, 0))), 'ms', 'under 300');
Table::row(
    'recipes found by a colour',
    $milliseconds(
        Table::times(60, static fn (int $i) => $book->find($user, new BookSearch(new Lab(20 + ($i % 7) * 10, $i - 30, 30 - $i)))),
    ),
    'ms',
    'under 100',
);
Table::row(
    'by a colour and words',
    $milliseconds(
        Table::times(
            30,
            static fn (int $i) => $book->find($user, new BookSearch(new Lab(20 + ($i % 7) * 10, $i - 15, 15 - $i), 'rust subject')),
        ),
    ),
    'ms',
    'under 100',
);
Table::row(
    'by words and a pencil',
    $milliseconds(Table::times(30, static fn (int $i) => $book->find($user, new BookSearch(null, 'stone', $tools[$i % count($tools)])))),
    'ms',
    'under 100',
);
DB::rollBack();
