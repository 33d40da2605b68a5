<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// A new study begins in a way of working with an opinion; those that are there keep theirs, which is free where nothing was chosen.
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasColumn('studies', 'first_school')) {
            Schema::table('studies', static fn (Blueprint $table) => $table->string('first_school', 400)->nullable());
        }
    }

    public function down(): void
    {
        Schema::table('studies', static fn (Blueprint $table) => $table->dropColumn('first_school'));
    }
};
