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
        Repeated::table('pencils', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('line', 80)->default('');
            $table->string('number', 40);
            $table->string('name', 120)->default('');
            $table->string('binder', 10)->nullable();
            $table->char('heavy', 7);
            $table->char('light', 7)->nullable();
            $table->char('over_black', 7)->nullable();
            $table->string('opacity', 15)->nullable();
            $table->double('laydown')->nullable();
            $table->string('lightfast', 20)->nullable();
            $table->boolean('owned')->default(true);
            // What the fit found: {absorption: 36 figures, scattering, laydown, slickness, assumed}.
            $table->json('fit');
            $table->timestamps();
            $table->unique(['user_id', 'line', 'number']);
        });
        Repeated::table('drawer_imports', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('state', 12); // waiting, working, done, cancelled, failed
            $table->unsignedInteger('done')->default(0);
            $table->unsignedInteger('total');
            $table->longText('text');
            $table->timestamps();
        });
        Repeated::table('studies', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 120);
            $table->string('paper', 60)->default('white medium');
            $table->string('photo_key', 80);
            $table->string('photo_name', 200);
            $table->unsignedInteger('photo_width');
            $table->unsignedInteger('photo_height');
            $table->timestamps();
        });
        $this->createRecipes();
    }

    private function createRecipes(): void
    {
        Repeated::table('plan_entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->string('name', 120);
            // Where on the photo's working copy the spot was read, pixels.
            $table->unsignedInteger('x');
            $table->unsignedInteger('y');
            $table->unsignedInteger('ring');
            $table->double('target_l');
            $table->double('target_a');
            $table->double('target_b');
            $table->string('label', 30);
            $table->text('stack');
            $table->string('paper', 60);
            $table->timestamps();
            $table->softDeletes();
        });
        Repeated::table('plan_changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->foreignId('plan_entry_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 10); // added, removed, renamed
            $table->string('name_before', 120)->nullable();
            $table->timestamps();
        });
    }

    public function down(): void
    {
        foreach (['plan_changes', 'plan_entries', 'studies', 'drawer_imports', 'pencils'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
