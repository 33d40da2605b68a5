<?php

declare(strict_types=1);

namespace App\Database;

use Closure;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Steps of a migration that can be gone through again. The database takes back nothing of one that was cut off, by a power cut or a full
 * disk, and making one table is several statements to it: each step looks first how far it is.
 */
final class Repeated
{
    /**
     * A table that is there and empty may lack keys and indices that come after it, and is made again; one with rows is whole, and stays.
     *
     * @param  Closure(Blueprint): void  $columns
     */
    public static function table(string $name, Closure $columns): void
    {
        if (Schema::hasTable($name)) {
            if (DB::table($name)->exists()) {
                return;
            }
            Schema::withoutForeignKeyConstraints(static fn () => Schema::drop($name));
        }
        Schema::create($name, $columns);
    }
}
