<?php

declare(strict_types=1);

// Asks for the tests' own bucket as any client of the protocol would: "make" makes it, anything else lists the keys in it that end so.
require __DIR__.'/../../vendor/autoload.php';

$client = new Aws\S3\S3Client([
    'endpoint' => (string) $argv[1],
    'region' => 'us-east-1',
    'use_path_style_endpoint' => true,
    'credentials' => ['key' => 'test:tester', 'secret' => 'testing'],
    'request_checksum_calculation' => 'when_required',
    'retries' => 0,
]);
if ($argv[2] === 'make') {
    $client->createBucket(['Bucket' => 'photos']);
}
foreach ($client->getPaginator('ListObjectsV2', ['Bucket' => 'photos'])->search('Contents[].Key') as $key) {
    if (is_string($key) && str_ends_with($key, (string) $argv[2])) {
        echo "$key\n";
    }
}
