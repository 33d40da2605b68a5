<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;

function anewAs(string $database): void
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
        'columns' => $rows('select table_name, ordinal_position, column_name, column_type, is_nullable, column_default, extra, generation_expression from information_schema.columns where table_schema = ? order by 1, 2'),
        'indices' => $rows('select table_name, index_name, seq_in_index, column_name, non_unique from information_schema.statistics where table_schema = ? order by 1, 2, 3'),
        'holds' => $rows('select table_name, constraint_name, referenced_table_name, delete_rule from information_schema.referential_constraints where constraint_schema = ? order by 1, 2'),
    ];
}

/** What an artist had at the time when there was one photo a study, and a pencil was owned or not. */
function rowsOfThen(): void
{
    $now = ['created_at' => '2026-01-02 10:00:00', 'updated_at' => '2026-01-02 10:00:00'];
    $user = DB::table('users')->insertGetId(['name' => 'of then', 'email' => 'then@example.org', 'password' => '', ...$now]);
    DB::table('studies')->insert(['user_id' => $user, 'name' => 'Rope', 'paper' => 'white medium', 'photo_key' => 'key', 'photo_name' => 'rope.jpg', 'photo_width' => 3, 'photo_height' => 2, ...$now]);
    foreach ([true, false] as $at => $owned) {
        DB::table('pencils')->insert(['user_id' => $user, 'line' => '', 'number' => (string) $at, 'name' => '', 'owned' => $owned, 'fit' => '{}', 'binder' => 'wax', 'heavy' => '#334455', ...$now]);
    }
}

afterEach(function () {
    foreach (['whole', 'cut'] as $which) {
        DB::statement("drop database if exists knotty_prism_test_$which");
    }
});

it('goes on wherever the making of the database was cut off, and comes to the same with nothing lost', function () {
    $files = glob(database_path('migrations/*.php')) ?: [];
    $migrate = fn (array $paths) => $this->artisan('migrate', ['--force' => true, '--realpath' => true, '--path' => $paths])->run();
    anewAs('knotty_prism_test_whole');
    expect($migrate($files))->toBe(0);
    $whole = madeOf('knotty_prism_test_whole');

    anewAs('knotty_prism_test_cut');
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
        if (str_contains($file, '000002_')) {
            rowsOfThen();
        }
    }
    expect(madeOf('knotty_prism_test_cut'))->toBe($whole)->and($cuts)->toBeGreaterThan(60);
    $study = DB::table('studies')->sole();
    expect((array) DB::table('photos')->sole())->toMatchArray(['id' => $study->colour_photo_id, 'study_id' => $study->id, 'storage_key' => 'key', 'width' => 3])
        ->and(DB::table('pencils')->orderBy('number')->pluck('stock')->all())->toBe(['owned', 'not owned']);
});
