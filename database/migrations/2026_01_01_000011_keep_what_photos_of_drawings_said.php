<?php

declare(strict_types=1);

use App\Database\Repeated;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Photos of half-done drawings, held against their plan: what each said, with the photo small and the map of differences.
return new class extends Migration
{
    public function up(): void
    {
        Repeated::table('drawing_checks', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('passes');
            $table->json('said');
            $table->longText('photo'); // JPEG, base64
            $table->longText('map'); // PNG, base64
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('drawing_checks');
    }
};
