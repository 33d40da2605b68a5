<?php

declare(strict_types=1);

return [
    'default' => 'local',
    'disks' => [
        // Outside the web root; photos are served by a controller that asks the policy first.
        'local' => ['driver' => 'local', 'root' => storage_path('app/private'), 'throw' => true],
    ],
];
