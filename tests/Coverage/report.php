<?php

declare(strict_types=1);

// Prints which share of the branches was seen by the processes that left their notes in a folder, and writes those that were not beside
// them: php tests/Coverage/report.php FOLDER

require dirname(__DIR__, 2).'/vendor/autoload.php';

use Tests\Coverage\Branches;

$root = dirname(__DIR__, 2);
$seen = [];
foreach (glob("$argv[1]/seen-*.json") ?: [] as $notes) {
    foreach (json_decode((string) file_get_contents($notes), true) as $file => $numbers) {
        $seen[$file] = ($seen[$file] ?? []) + array_fill_keys($numbers, true);
    }
}
// What writes what an artist has made: changes and their history, keepers, repositories and files that are taken in.
$changesData = '~^app/(Edits|History|Accounts|Studies|Drawers|Desk|Book|Hands|Plans|Photos)/~';
$parts = ['core' => [0, 0], 'app' => [0, 0], 'what changes data' => [0, 0]];
$unseen = [];
foreach (['core', 'app'] as $folder) {
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("$root/$folder", FilesystemIterator::SKIP_DOTS)) as $entry) {
        $file = substr($entry->getPathname(), strlen($root) + 1);
        $lines = str_ends_with($file, '.php') ? Branches::lines((string) file_get_contents($entry->getPathname()), $file) : [];
        $missing = array_diff_key($lines, $seen[$file] ?? []);
        foreach (array_filter([$folder, preg_match($changesData, $file) === 1 ? 'what changes data' : null]) as $part) {
            $parts[$part] = [$parts[$part][0] + count($lines) - count($missing), $parts[$part][1] + count($lines)];
        }
        foreach ($missing as $line) {
            $unseen[] = "$file:$line";
        }
    }
}
natsort($unseen);
file_put_contents("$argv[1]/unseen.txt", implode("\n", $unseen)."\n");
foreach ($parts as $part => [$covered, $all]) {
    printf("covered in-process: %-18s %5.1f %% of %d branches\n", $part, (100 * $covered) / max(1, $all), $all);
}
