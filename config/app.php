<?php

declare(strict_types=1);

return [
    'name' => 'Knotty Prism',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    'url' => env('APP_URL', 'http://127.0.0.1:8040'),
    'timezone' => 'UTC',
    'locale' => 'en',
    'cipher' => 'AES-256-CBC',
    'key' => env('APP_KEY'),

    // The local visitor works in the demo account without signing in; only ever on loopback.
    'demo' => (bool) env('APP_DEMO', false),
    'demo_email' => 'demo@knotty-prism.invalid',
];
