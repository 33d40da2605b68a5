<?php

declare(strict_types=1);

namespace App\Accounts;

use Illuminate\Support\Facades\DB;

/** A name as the database compares it: capitals, accents and blanks at the end make no other account, and no other limit either. */
final class SpelledAlike
{
    private const LONGEST = 255;

    public static function named(mixed $name): string
    {
        return is_string($name)
            ? (string) DB::scalar('select hex(weight_string(convert(? using utf8mb4) collate utf8mb4_unicode_ci))', [
                rtrim(mb_substr($name, 0, self::LONGEST)),
            ])
            : '';
    }
}
