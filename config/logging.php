<?php

declare(strict_types=1);

return [
    'default' => 'daily',
    'channels' => [
        // A file a day, for two weeks, for its owner alone.
        'daily' => [
            'driver' => 'daily',
            'path' => storage_path('logs/laravel.log'),
            'days' => 14,
            'permission' => 0600,
            'level' => env('LOG_LEVEL', 'info'),
            'replace_placeholders' => true,
        ],
    ],
];
