<?php

declare(strict_types=1);

use App\Database\Repeated;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    private const LONG = [
        'survey_versions' => 'length(document)',
        'plan_versions' => 'length(document)',
        'plan_parts' => 'length(value)',
        'drawing_checks' => 'length(photo) + length(map)',
        'book_recipes' => 'length(shades) + length(passes) + length(pencils) + ifnull(length(cutout), 0)',
    ];

    public function up(): void
    {
        // A key belongs to the address that it came to, and is compared letter for letter, as is the name in a link.
        Repeated::column('made_changes', 'route', static fn (Blueprint $table) => $table->string('route', 200)->collation('utf8mb4_bin')->default(''));
        Schema::table('made_changes', static fn (Blueprint $table) => $table->string('change_key', 40)->collation('utf8mb4_bin')->change());
        Schema::table('shared_plans', static fn (Blueprint $table) => $table->string('token', 64)->collation('utf8mb4_bin')->change());
        // A study is known again by this when it is brought in a second time.
        Repeated::column('studies', 'origin', static fn (Blueprint $table) => $table->string('origin', 64)->collation('utf8mb4_bin')->nullable());
        // What is kept of a photo in all, with its working copies.
        Repeated::column('photos', 'bytes', static fn (Blueprint $table) => $table->unsignedBigInteger('bytes')->default(0));
        // Bytes of what is long: kept beside it, so that it can be counted without being read.
        foreach (self::LONG as $table => $bytes) {
            Repeated::column($table, 'held', static fn (Blueprint $changed) => $changed->unsignedInteger('held')->storedAs($bytes));
        }
        Repeated::table('account_imports', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('state', 20);
            $table->string('path', 200);
            $table->unsignedBigInteger('bytes')->default(0);
            $table->unsignedInteger('total')->default(0);
            $table->unsignedTinyInteger('tries')->default(0);
            $table->json('taken')->nullable();
            $table->string('problem', 1000)->nullable();
            $table->timestamps();
            $table->index(['user_id', 'state']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('account_imports');
        array_map(static fn (string $table) => Repeated::withoutColumns($table, ['held']), array_keys(self::LONG));
        Repeated::withoutColumns('photos', ['bytes']);
        Repeated::withoutColumns('studies', ['origin']);
        Repeated::withoutColumns('made_changes', ['route']);
    }
};
