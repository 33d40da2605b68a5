<?php

declare(strict_types=1);

use App\Database\Repeated;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// What test strips have taught of an artist's hand, a version each time; at most one of a paper is in use.
return new class extends Migration
{
    public function up(): void
    {
        Repeated::table('hand_versions', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('paper', 60);
            $table->unsignedInteger('number');
            $table->boolean('in_use')->default(false);
            $table->json('strips');
            $table->json('hand');
            $table->string('words', 300);
            $table->double('rms_before'); // ΔE00
            $table->double('rms_after');
            $table->timestamps();
            $table->unique(['user_id', 'paper', 'number']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('hand_versions');
    }
};
