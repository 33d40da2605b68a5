<?php

declare(strict_types=1);

$mariadb = [
    'driver' => 'mariadb',
    'host' => env('DB_HOST', '127.0.0.1'),
    'port' => env('DB_PORT', '3340'),
    'database' => env('DB_DATABASE', 'knotty_prism'),
    'username' => env('DB_USERNAME', 'knotty_prism'),
    'password' => env('DB_PASSWORD', ''),
    'charset' => 'utf8mb4',
    'collation' => 'utf8mb4_unicode_ci',
    'prefix' => '',
    'strict' => true,
    // What is read after a lock was waited for is what is there then.
    'isolation_level' => 'READ COMMITTED',
    'engine' => 'InnoDB',
];

return [
    'default' => env('DB_CONNECTION', 'mariadb'),
    'connections' => [
        'mariadb' => $mariadb,
        // The same once more, for what is told past a transaction: see App\Work\Progress.
        'apart' => $mariadb,
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],
];
