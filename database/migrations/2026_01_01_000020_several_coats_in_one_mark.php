<?php

declare(strict_types=1);

use App\Database\Repeated;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;

return new class extends Migration
{
    public function up(): void
    {
        // A further coat, marked with the one before it and taken back with it.
        Repeated::column('desk_marks', 'continues', static fn (Blueprint $table) => $table->boolean('continues')->default(false));
    }

    public function down(): void
    {
        Repeated::withoutColumns('desk_marks', ['continues']);
    }
};
