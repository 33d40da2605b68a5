<?php

declare(strict_types=1);

use App\Database\Repeated;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// What was answered in practice, and the links by which plans are shown to somebody.
return new class extends Migration
{
    public function up(): void
    {
        Repeated::table('practice_attempts', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('study_id')->nullable()->constrained()->nullOnDelete();
            $table->string('skill', 40);
            $table->unsignedTinyInteger('difficulty');
            $table->unsignedInteger('seed');
            $table->boolean('right');
            $table->unsignedBigInteger('made_at'); // seconds since 1970
            $table->timestamps();
            $table->index(['user_id', 'made_at']);
        });
        Repeated::table('shared_plans', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('study_id')->unique()->constrained()->cascadeOnDelete();
            $table->string('token', 64)->unique();
            $table->foreignId('wanted_photo_id')->nullable()->constrained('photos')->nullOnDelete();
            $table->string('note', 1000)->default('');
            $table->unsignedBigInteger('noted_at')->nullable();
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('shared_plans');
        Schema::dropIfExists('practice_attempts');
    }
};
