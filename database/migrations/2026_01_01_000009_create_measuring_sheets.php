<?php

declare(strict_types=1);

use App\Database\Repeated;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Sheets on which somebody colours pencils in to measure them, with what their photos said.
return new class extends Migration
{
    public function up(): void
    {
        Repeated::table('measuring_sheets', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('size', 10);
            $table->json('pencils');
            $table->json('pages');
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('measuring_sheets');
    }
};
