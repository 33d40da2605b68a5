<?php

declare(strict_types=1);

use App\Database\Repeated;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// The book of recipes, with the colours that each comes to, by which it is found.
return new class extends Migration
{
    public function up(): void
    {
        Repeated::table('book_recipes', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('study_id')->nullable()->constrained()->nullOnDelete();
            $table->string('name', 120);
            $table->string('words', 500)->default('');
            $table->string('paper', 60);
            $table->json('shades');
            $table->json('passes');
            $table->json('pencils'); // as they were then
            $table->string('outcome', 300)->default('');
            $table->mediumText('cutout')->nullable(); // JPEG as base64, small
            $table->text('search'); // what words and numbers are looked for in, in small letters
            $table->softDeletes();
            $table->timestamps();
            $table->index(['user_id', 'deleted_at', 'id']);
        });
        Repeated::table('book_colours', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('book_recipe_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->float('l');
            $table->float('a');
            $table->float('b');
            $table->index(['user_id', 'l']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('book_colours');
        Schema::dropIfExists('book_recipes');
    }
};
