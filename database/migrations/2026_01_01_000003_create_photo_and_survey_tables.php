<?php

declare(strict_types=1);

use App\Database\Repeated;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Repeated::table('photos', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->string('storage_key', 80);
            $table->string('name', 200);
            $table->unsignedInteger('width');
            $table->unsignedInteger('height');
            // Any of colour, pose, detail, light: what the photo is looked at for.
            $table->json('roles');
            $table->timestamps();
        });
        Repeated::table('survey_versions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            // What was done to come here, for undo to name.
            $table->string('words', 160);
            // Chosen by the page, so that a change that is sent twice is made once.
            $table->string('change_key', 40);
            $table->longText('document');
            $table->timestamps();
            $table->unique(['study_id', 'number']);
            $table->index(['study_id', 'change_key']);
        });
        Repeated::column('studies', 'colour_photo_id', static fn (Blueprint $table) => $table->foreignId('colour_photo_id')->nullable());
        // 0 before anything was noted; otherwise the version that is shown.
        Repeated::column('studies', 'survey_number', static fn (Blueprint $table) => $table->unsignedInteger('survey_number')->default(0));
        foreach (['drawing_width_mm' => 297, 'drawing_height_mm' => 210, 'grid_mm' => 30, 'cut_place' => 0.5] as $column => $usual) {
            Repeated::column('studies', $column, static fn (Blueprint $table) => $table->double($column)->default($usual));
        }
        if (Schema::hasColumn('studies', 'photo_key')) {
            // All of them or none: a photo that was moved is not moved again.
            DB::transaction($this->movePhotos(...));
        }
        Repeated::withoutColumns('studies', ['photo_key', 'photo_name', 'photo_width', 'photo_height']);
    }

    private function movePhotos(): void
    {
        foreach (DB::table('studies')->whereNull('colour_photo_id')->get() as $study) {
            $photo = DB::table('photos')->insertGetId([
                'study_id' => $study->id, 'storage_key' => $study->photo_key, 'name' => $study->photo_name, 'width' => $study->photo_width, 'height' => $study->photo_height,
                'roles' => json_encode(['colour']), 'created_at' => $study->created_at, 'updated_at' => $study->updated_at,
            ]);
            DB::table('studies')->where('id', $study->id)->update(['colour_photo_id' => $photo]);
        }
    }

    public function down(): void
    {
        Schema::table('studies', function (Blueprint $table): void {
            $table->string('photo_key', 80)->default('');
            $table->string('photo_name', 200)->default('');
            $table->unsignedInteger('photo_width')->default(0);
            $table->unsignedInteger('photo_height')->default(0);
        });
        foreach (DB::table('photos')->join('studies', 'studies.colour_photo_id', '=', 'photos.id')->select('photos.*')->get() as $photo) {
            DB::table('studies')->where('id', $photo->study_id)->update(['photo_key' => $photo->storage_key, 'photo_name' => $photo->name, 'photo_width' => $photo->width, 'photo_height' => $photo->height]);
        }
        Schema::table('studies', function (Blueprint $table): void {
            $table->dropColumn(['colour_photo_id', 'survey_number', 'drawing_width_mm', 'drawing_height_mm', 'grid_mm', 'cut_place']);
        });
        Schema::dropIfExists('survey_versions');
        Schema::dropIfExists('photos');
    }
};
