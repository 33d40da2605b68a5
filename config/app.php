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

    // The one name, beside the loopback's, under which this is reached, as through a proxy; then nobody is signed in without a password.
    'host' => env('APP_HOST') ?: null,

    // Addresses of proxies before this one, between commas, whose word for where a request comes from is taken.
    'proxies' => array_values(array_filter(array_map(trim(...), explode(',', (string) env('TRUSTED_PROXIES', ''))))),

    // The local visitor works in the demo account without signing in; only ever on loopback.
    'demo' => (bool) env('APP_DEMO', false),
    // Room for one account's photos, as they came.
    'most_megabytes' => (int) env('MOST_MEGABYTES', 2000),

    // Written when the application begins: what was answered before is asked for again.
    'begun' => (getenv('KP_VAR') ?: dirname(__DIR__).'/var/app').'/run/php.pid',

    'demo_email' => 'demo@knotty-prism.invalid',
];
