<?php

declare(strict_types=1);

use App\Database\Repeated;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// The desk: how an artist likes to work on a study, and every mark of what was laid, left out or done otherwise.
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasColumn('studies', 'desk')) {
            Schema::table('studies', static function (Blueprint $table): void {
                $table->json('desk')->nullable();
            });
        }
        Repeated::table('desk_marks', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 12);
            $table->unsignedSmallInteger('zone');
            $table->json('pass');
            $table->json('rest')->nullable(); // what was to come after it, where that was no more what the plan says
            $table->string('plan', 32); // names the zone's plan of then
            $table->float('minutes'); // reckoned for an ordinary pace
            $table->unsignedBigInteger('made_at'); // by the device, seconds since 1970
            $table->boolean('taken_back')->default(false);
            $table->timestamps();
            $table->index(['study_id', 'taken_back', 'id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('desk_marks');
        Schema::table('studies', static function (Blueprint $table): void {
            $table->dropColumn('desk');
        });
    }
};
