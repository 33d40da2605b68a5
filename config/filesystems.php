<?php

declare(strict_types=1);

return [
    // Where photos lie as they came, which can't be made again: a folder, or a bucket where one is named.
    'default' => env('PHOTOS_BUCKET') ? 'bucket' : 'local',
    'disks' => [
        // Outside the web root; photos are served by a controller that asks the policy first.
        'local' => ['driver' => 'local', 'root' => storage_path('app/private'), 'throw' => true],
        'bucket' => [
            'driver' => 's3',
            'bucket' => env('PHOTOS_BUCKET'),
            'endpoint' => env('PHOTOS_ENDPOINT'),
            'region' => env('PHOTOS_REGION', 'us-east-1'),
            'key' => env('PHOTOS_KEY'),
            'secret' => env('PHOTOS_SECRET'),
            // By path and with no checksums beyond those that every server of this protocol knows.
            'use_path_style_endpoint' => true,
            'request_checksum_calculation' => 'when_required',
            'response_checksum_validation' => 'when_required',
            'retries' => 2,
            'http' => ['connect_timeout' => 3, 'timeout' => 60],
            'throw' => true,
        ],
    ],
];
