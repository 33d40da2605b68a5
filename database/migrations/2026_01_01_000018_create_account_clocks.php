<?php

declare(strict_types=1);

use App\Database\Repeated;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Counts on with every change to anything of an account, so that what a page has already is told from what is new in one row. It stands by
// itself: every row that names an account holds on to the account's own while it is made, and would meet the count there.
return new class extends Migration
{
    public function up(): void
    {
        Repeated::table('account_clocks', static function (Blueprint $table): void {
            $table->unsignedBigInteger('account')->primary();
            $table->unsignedBigInteger('ticks');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('account_clocks');
    }
};
