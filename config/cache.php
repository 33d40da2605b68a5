<?php

declare(strict_types=1);

return [
    'default' => env('CACHE_STORE', 'database'),
    'stores' => [
        'array' => ['driver' => 'array', 'serialize' => false],
        'database' => ['driver' => 'database', 'table' => 'cache', 'lock_table' => 'cache_locks'],
        // Atlases: about a megabyte each, made again by any machine that lacks one.
        'atlases' => ['driver' => 'file', 'path' => storage_path('framework/cache/atlases'), 'permission' => 0700],
        // Ways of looking at photos: some hundred kilobytes each, made again where they are missing; a folder an account
        // (App\Cache\Computed).
        'looks' => [
            'driver' => env('LOOKS_DRIVER', 'file'),
            'serialize' => true,
            'path' => storage_path('framework/cache/looks'),
            'permission' => 0700,
        ],
        'redis' => ['driver' => 'redis', 'connection' => 'cache'],
    ],
    'prefix' => 'knotty_prism',
];
