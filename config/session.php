<?php

declare(strict_types=1);

return [
    'driver' => env('SESSION_DRIVER', 'database'),
    'lifetime' => 60 * 24 * 14, // minutes
    'expire_on_close' => false,
    'encrypt' => false,
    'table' => 'sessions',
    'lottery' => [2, 100],
    'cookie' => 'knotty_prism_session',
    'path' => '/',
    'domain' => null,
    'secure' => (bool) env('SESSION_SECURE', false), // true behind HTTPS
    'http_only' => true,
    'same_site' => 'lax',
    'partitioned' => false,
];
