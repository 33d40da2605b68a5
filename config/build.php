<?php

declare(strict_types=1);

use App\Cache\Build;

// What the running code is called; kept with the rest of the configuration when the application starts.
return ['core' => Build::of([base_path('core')]), 'whole' => Build::of([base_path('core'), base_path('app')])];
