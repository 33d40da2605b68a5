<?php

declare(strict_types=1);

use App\Database\Repeated;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Every change that was made, by the key that its page gave it, so that one that is sent again is not made again.
        Repeated::table('made_changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('change_key', 40);
            // What it made: a version, a study; whatever the change itself gives.
            $table->unsignedBigInteger('made')->nullable();
            $table->timestamp('created_at')->useCurrent()->index();
            $table->unique(['user_id', 'change_key']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('made_changes');
    }
};
