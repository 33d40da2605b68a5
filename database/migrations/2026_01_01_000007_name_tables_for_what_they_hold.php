<?php

declare(strict_types=1);

use App\Database\Repeated;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Recipes kept for spots are no plan, and the plan is no picture: tables get the names of what they hold. What undo needs of kept recipes
 * and of the drawer goes into one table. Each step looks whether it was done already, so that one that was cut off goes on.
 */
return new class extends Migration
{
    private const NAMES = ['plan_entries' => 'kept_recipes', 'picture_versions' => 'plan_versions', 'picture_parts' => 'plan_parts', 'picture_runs' => 'plan_runs'];

    public function up(): void
    {
        foreach (self::NAMES as $old => $new) {
            if (Schema::hasTable($old)) {
                Schema::rename($old, $new);
            }
        }
        if (Schema::hasColumn('studies', 'picture_number')) {
            Schema::table('studies', static fn (Blueprint $table) => $table->renameColumn('picture_number', 'plan_number'));
        }
        Repeated::table('reversals', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('study_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('words', 200);
            $table->binary('before');
            $table->timestamps();
        });
        DB::statement('alter table reversals modify `before` longblob not null');
        $this->moveDrawerChanges();
        $this->moveRecipeChanges();
        if (Schema::hasColumn('kept_recipes', 'deleted_at')) {
            // What was removed is in the reversals now, as far as it can be brought back.
            DB::table('kept_recipes')->whereNotNull('deleted_at')->delete();
            Schema::table('kept_recipes', static fn (Blueprint $table) => $table->dropSoftDeletes());
        }
        $this->forgetKeysOfVersions();
        Repeated::table('progress', static function (Blueprint $table): void {
            $table->string('what', 60)->primary();
            $table->unsignedInteger('done');
            $table->timestamp('told_at')->useCurrent();
        });
    }

    /** That a change is made once is known for every kind of change in one place. */
    private function forgetKeysOfVersions(): void
    {
        foreach (['survey_versions' => 'survey_versions_study_id_change_key_index', 'plan_versions' => 'picture_versions_study_id_change_key_unique'] as $table => $index) {
            Repeated::withoutIndex($table, $index);
            Repeated::withoutColumns($table, ['change_key']);
        }
    }

    private function moveDrawerChanges(): void
    {
        if (! Schema::hasTable('drawer_changes')) {
            return;
        }
        DB::transaction(static function (): void {
            DB::table('reversals')->whereNull('study_id')->delete();
            foreach (DB::table('drawer_changes')->orderBy('id')->cursor() as $change) {
                $was = json_decode((string) gzuncompress((string) $change->before), true, 512, JSON_THROW_ON_ERROR);
                self::note($change, (int) $change->user_id, null, (string) $change->words, ['pencils' => $was['rows']], ['pencil_uses' => $was['uses'], 'pencils' => $was['created']]);
            }
        });
        Schema::drop('drawer_changes');
    }

    /** What had been undone is no step any more: the changes that are left follow one another, and each knows its recipe as it is last. */
    private function moveRecipeChanges(): void
    {
        if (! Schema::hasTable('plan_changes')) {
            return;
        }
        DB::transaction(static function (): void {
            DB::table('reversals')->whereNotNull('study_id')->delete();
            $changes = DB::table('plan_changes')->join('studies', 'studies.id', '=', 'plan_changes.study_id')->orderBy('plan_changes.id')->get(['plan_changes.*', 'studies.user_id']);
            foreach ($changes as $change) {
                $row = (array) DB::table('kept_recipes')->where('id', $change->plan_entry_id)->first();
                $was = array_diff_key($row, ['deleted_at' => null]);
                $what = match ($change->kind) {
                    'added' => 'kept',
                    'removed' => 'removed',
                    default => 'renamed',
                };
                $words = "the recipe for “{$row['name']}” was $what";
                match ($change->kind) {
                    'added' => self::note($change, (int) $change->user_id, (int) $change->study_id, $words, [], ['kept_recipes' => [(int) $change->plan_entry_id]]),
                    'removed' => self::note($change, (int) $change->user_id, (int) $change->study_id, $words, ['kept_recipes' => [$was]], []),
                    default => self::note($change, (int) $change->user_id, (int) $change->study_id, $words, ['kept_recipes' => [[...$was, 'name' => $change->name_before]]], []),
                };
            }
        });
        Schema::drop('plan_changes');
    }

    /**
     * @param  array<string, mixed>  $rows
     * @param  array<string, mixed>  $created
     */
    private static function note(stdClass $change, int $user, ?int $study, string $words, array $rows, array $created): void
    {
        DB::table('reversals')->insert([
            'user_id' => $user, 'study_id' => $study, 'words' => mb_substr($words, 0, 200), 'created_at' => $change->created_at, 'updated_at' => $change->updated_at,
            'before' => gzcompress(json_encode(['rows' => $rows, 'created' => $created], JSON_THROW_ON_ERROR)),
        ]);
    }

    /** Names go back; what undo would need does not. */
    public function down(): void
    {
        Schema::dropIfExists('progress');
        foreach (['survey_versions', 'plan_versions'] as $versions) {
            Schema::table($versions, static fn (Blueprint $table) => $table->string('change_key', 40)->default(''));
        }
        Schema::table('kept_recipes', static fn (Blueprint $table) => $table->softDeletes());
        Schema::dropIfExists('reversals');
        Schema::table('studies', static fn (Blueprint $table) => $table->renameColumn('plan_number', 'picture_number'));
        foreach (self::NAMES as $old => $new) {
            Schema::rename($new, $old);
        }
        Schema::create('plan_changes', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->foreignId('plan_entry_id')->constrained('plan_entries')->cascadeOnDelete();
            $table->string('kind', 10);
            $table->string('name_before', 120)->nullable();
            $table->timestamps();
        });
        Schema::create('drawer_changes', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('words', 200);
            $table->binary('before');
            $table->timestamps();
        });
    }
};
