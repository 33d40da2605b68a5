<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Whose turn it is to be planned for: what is left of a run, what was worked on it, and who holds it until when.
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('plan_runs', static function (Blueprint $table): void {
            if (! Schema::hasColumn('plan_runs', 'zones_open')) {
                $table->unsignedInteger('zones_open')->default(0);
            }
            if (! Schema::hasColumn('plan_runs', 'worked')) {
                $table->double('worked')->default(0); // seconds
            }
            if (! Schema::hasColumn('plan_runs', 'holder')) {
                $table->string('holder', 120)->nullable();
            }
            if (! Schema::hasColumn('plan_runs', 'held_until')) {
                $table->unsignedBigInteger('held_until')->default(0); // seconds since 1970
            }
            if (! Schema::hasColumn('plan_runs', 'tries')) {
                $table->unsignedTinyInteger('tries')->default(0);
            }
            foreach (['state', 'worked'] as $asked) {
                if (! Schema::hasIndex('plan_runs', [$asked])) {
                    $table->index($asked);
                }
            }
        });
    }

    public function down(): void
    {
        foreach (['state', 'worked'] as $asked) {
            Schema::table('plan_runs', static fn (Blueprint $table) => $table->dropIndex([$asked]));
        }
        Schema::table('plan_runs', static fn (Blueprint $table) => $table->dropColumn(['zones_open', 'worked', 'holder', 'held_until', 'tries']));
    }
};
