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
    // Behind a name of one's own there is a proxy that speaks HTTPS (docs/safety.md).
    'secure' => (bool) env('SESSION_SECURE', (string) env('APP_HOST', '') !== ''),
    'http_only' => true,
    'same_site' => 'lax',
    'partitioned' => false,
];
