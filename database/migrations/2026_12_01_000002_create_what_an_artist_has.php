<?php

declare(strict_types=1);

use App\Database\Repeated;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;

// All that an artist has.
return new class extends Migration
{
    public function up(): void
    {
        self::studies();
        self::drawer();
        self::plans();
        self::book();
    }

    /** Photos, zones and readings; what was done is in numbered versions. */
    private static function studies(): void
    {
        Repeated::table('studies', static function (Blueprint $table): void {
            self::of($table, 'user');
            $table->string('name', 120);
            $table->string('paper', 60)->default('white medium');
            $table->unsignedBigInteger('colour_photo_id')->nullable();
            $table->unsignedInteger('survey_number')->default(0); // 0 before anything was noted; otherwise the version that is shown
            $table->double('drawing_width_mm')->default(297);
            $table->double('drawing_height_mm')->default(210);
            $table->double('grid_mm')->default(30);
            $table->double('cut_place')->default(0.5);
            $table->unsignedInteger('plan_number')->default(0);
            $table->string('first_method', 400)->nullable();
            $table->json('desk')->nullable();
            // A study is known again by this when it is brought in a second time.
            $table->string('origin', 64)->collation('utf8mb4_bin')->nullable();
        });
        Repeated::table('photos', static function (Blueprint $table): void {
            self::of($table, 'study');
            $table->string('storage_key', 80);
            $table->string('name', 200);
            $table->unsignedInteger('width');
            $table->unsignedInteger('height');
            $table->json('roles'); // any of colour, pose, detail, light: what the photo is looked at for
            $table->unsignedBigInteger('bytes')->default(0); // with its working copies
        });
        Repeated::table('survey_versions', static function (Blueprint $table): void {
            self::of($table, 'study');
            $table->unsignedInteger('number');
            $table->string('words', 160); // of the change, for undo to name
            $table->longText('document');
            $table->unsignedInteger('held')->storedAs('octet_length(document)');
            $table->unique(['study_id', 'number']);
        });
        Repeated::table('kept_recipes', static function (Blueprint $table): void {
            self::of($table, 'study');
            $table->string('name', 120);
            $table->unsignedInteger('x'); // where on the photo's working copy the spot was read, pixels
            $table->unsignedInteger('y');
            $table->unsignedInteger('ring');
            $table->double('target_l');
            $table->double('target_a');
            $table->double('target_b');
            $table->string('label', 30);
            $table->text('stack');
            $table->string('paper', 60);
        });
        Repeated::table('reversals', static function (Blueprint $table): void {
            self::of($table, 'user');
            $table->foreignId('study_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('words', 200);
            $table->binary('before'); // compressed JSON of rows; a blob holds 64 kilobytes, five thousand pencils take more
        });
        DB::statement('alter table reversals modify `before` longblob not null');
    }

    /** Pencils, what was used of them, and what measuring and strips have said. */
    private static function drawer(): void
    {
        Repeated::table('pencils', static function (Blueprint $table): void {
            self::of($table, 'user');
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
            $table->string('stock', 10)->default('owned'); // owned, low, wanted, not owned
            $table->double('length_left')->nullable(); // mm
            $table->boolean('discontinued')->default(false);
            $table->json('formerly')->nullable();
            $table->text('notes')->nullable();
            $table->json('fit')->nullable(); // what the fit found: {absorption: 36 figures, scattering, laydown, slickness, assumed}
            $table->boolean('owned')->storedAs('stock in (\'owned\',\'low\')');
            $table->unsignedBigInteger('length_noted_at')->nullable(); // seconds since 1970: what was laid since has made it shorter
            $table->unique(['user_id', 'line', 'number']);
        });
        Repeated::table('pencil_uses', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('pencil_id')->constrained()->cascadeOnDelete();
            $table->foreignId('study_id')->nullable()->constrained()->nullOnDelete();
            $table->double('millimetres');
            $table->timestamps();
        });
        Repeated::table('measuring_sheets', static function (Blueprint $table): void {
            self::of($table, 'user');
            $table->string('size', 10);
            $table->string('paper', 60)->default('white medium');
            $table->json('pencils');
            $table->json('pages');
        });
        Repeated::table('hand_versions', static function (Blueprint $table): void {
            self::of($table, 'user');
            $table->string('paper', 60);
            $table->unsignedInteger('number');
            $table->boolean('in_use')->default(false);
            $table->json('strips');
            $table->json('hand');
            $table->string('words', 300);
            $table->double('rms_before'); // ΔE00
            $table->double('rms_after');
            $table->unique(['user_id', 'paper', 'number']);
        });
    }

    /** What was decided, what was found, whose turn it is to be planned for, and what was done at the desk. */
    private static function plans(): void
    {
        Repeated::table('plan_versions', static function (Blueprint $table): void {
            self::of($table, 'study');
            $table->unsignedInteger('number');
            $table->string('words', 160); // of the change, for undo to name
            $table->string('name', 80)->nullable();
            $table->longText('document');
            $table->unsignedInteger('held')->storedAs('octet_length(document)');
            $table->unique(['study_id', 'number']);
        });
        Repeated::table('plan_parts', static function (Blueprint $table): void {
            self::of($table, 'study');
            $table->char('part_key', 32); // of all that the part follows from
            $table->json('value');
            $table->unsignedInteger('held')->storedAs('octet_length(value)');
            $table->unique(['study_id', 'part_key']);
        });
        Repeated::table('plan_runs', static function (Blueprint $table): void {
            self::of($table, 'study');
            $table->string('state', 12); // waiting, working, done, cancelled, failed
            $table->string('what', 40)->default('');
            $table->unsignedInteger('done')->default(0);
            $table->unsignedInteger('total')->default(0);
            $table->json('changes'); // what was planned again, and why
            $table->unsignedInteger('zones_open')->default(0);
            $table->double('worked')->default(0); // seconds
            $table->string('holder', 120)->nullable();
            $table->unsignedBigInteger('held_until')->default(0); // seconds since 1970
            $table->unsignedTinyInteger('tries')->default(0);
            $table->index('state');
            $table->index('worked');
        });
        Repeated::table('drawing_checks', static function (Blueprint $table): void {
            self::of($table, 'study');
            $table->unsignedInteger('passes');
            $table->json('said');
            $table->longText('photo'); // JPEG, base64
            $table->longText('map'); // PNG, base64
            $table->unsignedInteger('held')->storedAs('octet_length(photo) + octet_length(map)');
        });
        Repeated::table('ticks', static function (Blueprint $table): void {
            self::of($table, 'study');
            $table->string('kind', 12);
            $table->unsignedSmallInteger('zone');
            $table->json('pass');
            $table->json('rest')->nullable(); // what was to come after it, where that was no more what the plan says
            $table->string('plan', 32); // names the zone's plan of then
            $table->double('minutes'); // for an ordinary pace
            $table->unsignedBigInteger('made_at'); // by the device, seconds since 1970
            $table->boolean('taken_back')->default(false);
            $table->double('film')->nullable(); // film units by mm²
            $table->string('zone_name', 120)->default('');
            $table->text('note')->nullable(); // of the session that begins with this tick
            $table->boolean('continues')->default(false); // a further coat, ticked with the one before it and taken back with it
            $table->index(['study_id', 'taken_back', 'id']);
        });
    }

    /** Recipes kept, practice, and links by which plans are shown. */
    private static function book(): void
    {
        Repeated::table('book_recipes', static function (Blueprint $table): void {
            self::of($table, 'user');
            $table->foreignId('study_id')->nullable()->constrained()->nullOnDelete();
            $table->string('name', 120);
            $table->string('words', 500)->default('');
            $table->string('paper', 60);
            $table->json('shades');
            $table->json('passes');
            $table->json('pencils'); // as they were then
            $table->string('outcome', 300)->default('');
            $table->mediumText('cutout')->nullable(); // JPEG, base64
            $table->text('search'); // what is looked for in, in small letters
            $table->timestamp('deleted_at')->nullable();
            $table
                ->unsignedInteger('held')
                ->storedAs('octet_length(shades) + octet_length(passes) + octet_length(pencils) + ifnull(octet_length(cutout),0)');
            $table->index(['user_id', 'deleted_at', 'id']);
        });
        // The colours that a recipe comes to, by which it is found.
        Repeated::table('book_colours', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('book_recipe_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->double('l');
            $table->double('a');
            $table->double('b');
            $table->index(['user_id', 'l']);
        });
        Repeated::table('practice_attempts', static function (Blueprint $table): void {
            self::of($table, 'user');
            $table->foreignId('study_id')->nullable()->constrained()->nullOnDelete();
            $table->string('skill', 40);
            $table->unsignedTinyInteger('difficulty');
            $table->unsignedInteger('seed');
            $table->boolean('right');
            $table->unsignedBigInteger('made_at'); // seconds since 1970
            $table->index(['user_id', 'made_at']);
        });
        Repeated::table('shared_plans', static function (Blueprint $table): void {
            self::of($table, 'study');
            $table->string('token', 64)->collation('utf8mb4_bin');
            $table->foreignId('wanted_photo_id')->nullable()->constrained('photos')->nullOnDelete();
            $table->string('note', 1000)->default('');
            $table->unsignedBigInteger('noted_at')->nullable();
            $table->unique('study_id');
            $table->unique('token');
        });
    }

    /** A row of somebody's own, that goes with the account or the study. */
    private static function of(Blueprint $table, string $owner): void
    {
        $table->id();
        $table
            ->foreignId("{$owner}_id")
            ->constrained()
            ->cascadeOnDelete();
        $table->timestamps();
    }
};
