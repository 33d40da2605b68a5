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
        Repeated::column('studies', 'picture_number', static fn (Blueprint $table) => $table->unsignedInteger('picture_number')->default(0));
        // What the artist decided about the plan of the whole picture, after every change.
        Repeated::table('picture_versions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->string('words', 160);
            $table->string('change_key', 40);
            $table->string('name', 80)->nullable();
            $table->longText('document');
            $table->timestamps();
            $table->unique(['study_id', 'number']);
            $table->unique(['study_id', 'change_key']);
        });
        // What the planner found, by all that it depends on: found once, never found again, and never stale.
        Repeated::table('picture_parts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->char('part_key', 32);
            $table->json('value');
            $table->timestamps();
            $table->unique(['study_id', 'part_key']);
        });
        Repeated::table('picture_runs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->string('state', 12); // waiting, working, done, cancelled, failed
            $table->string('what', 40)->default('');
            $table->unsignedInteger('done')->default(0);
            $table->unsignedInteger('total')->default(0);
            // What was planned anew, and why.
            $table->json('changes');
            $table->timestamps();
        });
    }

    public function down(): void
    {
        foreach (['picture_runs', 'picture_parts', 'picture_versions'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('studies', fn (Blueprint $table) => $table->dropColumn('picture_number'));
    }
};
