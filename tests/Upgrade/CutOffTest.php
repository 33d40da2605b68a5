<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;

function freshAs(string $database): void
{
    DB::statement("drop database if exists $database");
    DB::statement("create database $database character set utf8mb4 collate utf8mb4_unicode_ci");
    foreach (['mariadb', 'apart'] as $connection) {
        config(["database.connections.$connection.database" => $database]);
        DB::purge($connection);
    }
}

/** @return array<string, list<array<string, mixed>>> all that makes up a database: columns, indices, and what they hold to */
function madeOf(string $database): array
{
    $rows = static fn (string $sql): array => array_map(static fn (stdClass $row): array => (array) $row, DB::select($sql, [$database]));

    return [
        'columns' => $rows(
            'select table_name, ordinal_position, column_name, column_type, is_nullable, column_default, extra, generation_expression '
                .'from information_schema.columns where table_schema = ? order by 1, 2',
        ),
        'indices' => $rows(
            'select table_name, index_name, seq_in_index, column_name, non_unique from information_schema.statistics where table_schema '
                .'= ? order by 1, 2, 3',
        ),
        'holds' => $rows(
            'select table_name, constraint_name, referenced_table_name, delete_rule from information_schema.referential_constraints '
                .'where constraint_schema = ? order by 1, 2',
        ),
    ];
}

afterEach(function () {
    foreach (['whole', 'cut'] as $which) {
        DB::statement("drop database if exists knotty_prism_test_$which");
    }
});

it('goes on wherever the making of the database was cut off, and comes to the same with nothing lost', function () {
    $files = glob(database_path('migrations/*.php')) ?: [];
    $migrate = fn (array $paths) => $this->artisan('migrate', ['--force' => true, '--realpath' => true, '--path' => $paths])->run();
    freshAs('knotty_prism_test_whole');
    expect($migrate($files))->toBe(0);
    $whole = madeOf('knotty_prism_test_whole');

    freshAs('knotty_prism_test_cut');
    $cuts = 0;
    $left = PHP_INT_MAX;
    DB::connection()->beforeExecuting(static function (string $query) use (&$left): void {
        if (preg_match('/^\s*(select|set|show)\b/i', $query) !== 1 && $left-- <= 0) {
            throw new RuntimeException('cut off');
        }
    });
    foreach ($files as $file) {
        // After one statement, then after two of what is left, until nothing is.
        for ($statements = 1; ; $statements++) {
            $left = $statements;
            try {
                $migrate([$file]);
                break;
            } catch (RuntimeException $cut) {
                expect($cut->getMessage())->toContain('cut off');
                $cuts++;
            }
        }
        $left = PHP_INT_MAX;
        DB::table('users')->insert(['name' => $file, 'email' => basename($file), 'password' => '']);
    }
    // Begun once more, as after a restart in between: what is there stays.
    DB::table('migrations')->truncate();
    expect($migrate($files))
        ->toBe(0)
        ->and(DB::table('users')->count())
        ->toBe(count($files));
    expect(madeOf('knotty_prism_test_cut'))->toBe($whole)->and($cuts)->toBeGreaterThan(60);
});
