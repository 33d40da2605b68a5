<?php

declare(strict_types=1);

use App\Photos\Originals;
use Illuminate\Support\Facades\Artisan;

Artisan::command('photos:fetch {folder}', function (string $folder): void {
    Originals::fetch($folder);
})
    ->purpose('Copy all photos as they came out of where they are kept into a folder');

Artisan::command('photos:bring {folder}', function (string $folder): int {
    if (config('filesystems.default') === 'local') {
        $this->error('Photos are kept in a folder here; name a bucket in .env first, see docs/safety.md.');

        return 1;
    }
    $this->info(Originals::bring($folder).' photos are in the bucket.');

    return 0;
})->purpose('Move all photos as they came from a folder into the bucket that keeps them from now on');
