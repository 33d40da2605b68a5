<?php

declare(strict_types=1);

require dirname(__DIR__).'/vendor/autoload.php';

// Branches are counted where it is asked for: KP_COVERAGE names the folder for what each process has seen.
if (is_string($folder = getenv('KP_COVERAGE')) && $folder !== '') {
    Tests\Coverage\Seen::into($folder, dirname(__DIR__));
}
