<?php

declare(strict_types=1);

namespace App\Cache;

use App\Models\Study;
use Illuminate\Support\Facades\DB;

/**
 * Counts on with every change to anything of an account: by whatever it sends ({@see \App\Http\Middleware\NothingNew}), by work in the
 * background, and by a note that somebody else leaves. An answer of the same count is the same answer.
 */
final class AccountClock
{
    /** After the change is there for others to read; one that is counted before would be taken for older than it is. */
    public static function tick(int $account): void
    {
        // In one statement, and none for an account that is gone.
        DB::insert(
            'insert into account_clocks (account, ticks) select id, 1 from users where id = ? on duplicate key update ticks = ticks + 1',
            [$account],
        );
    }

    public static function tickOf(Study $study): void
    {
        self::tick($study->user_id);
    }

    public static function read(int $account): int
    {
        return (int) DB::table('account_clocks')->where('account', $account)->value('ticks');
    }
}
