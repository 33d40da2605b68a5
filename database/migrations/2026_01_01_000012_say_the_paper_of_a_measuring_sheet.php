<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Pencils are measured on the paper that is at hand; sheets of before were read as on white medium.
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasColumn('measuring_sheets', 'paper')) {
            Schema::table('measuring_sheets', static function (Blueprint $table): void {
                $table->string('paper', 60)->default('white medium')->after('size');
            });
        }
    }

    public function down(): void
    {
        Schema::table('measuring_sheets', static function (Blueprint $table): void {
            $table->dropColumn('paper');
        });
    }
};
