<?php

declare(strict_types=1);

use App\Database\Repeated;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// The log: how much of a pencil each pass took, what its zone was called then, and what was noted of a session.
return new class extends Migration
{
    public function up(): void
    {
        // Film units by mm²; nothing where it was marked before this was reckoned.
        Repeated::column('desk_marks', 'film', static fn (Blueprint $table) => $table->float('film')->nullable());
        Repeated::column('desk_marks', 'zone_name', static fn (Blueprint $table) => $table->string('zone_name', 120)->default(''));
        // Of the session that begins with this mark.
        Repeated::column('desk_marks', 'note', static fn (Blueprint $table) => $table->text('note')->nullable());
        if (! Schema::hasColumn('pencils', 'length_noted_at')) {
            Schema::table('pencils', static function (Blueprint $table): void {
                $table->unsignedBigInteger('length_noted_at')->nullable(); // seconds since 1970: what was laid since has made it shorter
            });
        }
    }

    public function down(): void
    {
        Schema::table('desk_marks', static function (Blueprint $table): void {
            $table->dropColumn(['film', 'zone_name', 'note']);
        });
        Schema::table('pencils', static function (Blueprint $table): void {
            $table->dropColumn('length_noted_at');
        });
    }
};
