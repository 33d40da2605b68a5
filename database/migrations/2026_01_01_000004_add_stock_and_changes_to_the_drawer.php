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
        Repeated::column('pencils', 'stock', static fn (Blueprint $table) => $table->string('stock', 10)->default('owned')->after('owned')); // owned, low, wanted, not owned
        Repeated::column('pencils', 'length_left', static fn (Blueprint $table) => $table->double('length_left')->nullable()->after('stock')); // millimetres
        Repeated::column('pencils', 'discontinued', static fn (Blueprint $table) => $table->boolean('discontinued')->default(false)->after('length_left'));
        Repeated::column('pencils', 'formerly', static fn (Blueprint $table) => $table->json('formerly')->nullable()->after('discontinued'));
        Repeated::column('pencils', 'notes', static fn (Blueprint $table) => $table->text('notes')->nullable()->after('formerly'));
        // Empty until the queue has come to it.
        Schema::table('pencils', static fn (Blueprint $table) => $table->json('fit')->nullable()->change());
        if (Schema::hasColumn('pencils', 'owned')) {
            DB::table('pencils')->update(['stock' => DB::raw("if(owned, 'owned', 'not owned')")]);
        }
        Repeated::withoutColumns('pencils', ['owned']);
        Schema::table('pencils', static fn (Blueprint $table) => $table->boolean('owned')->storedAs("stock in ('owned', 'low')"));

        Repeated::table('pencil_uses', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('pencil_id')->constrained()->cascadeOnDelete();
            $table->foreignId('study_id')->nullable()->constrained()->nullOnDelete();
            $table->double('millimetres');
            $table->timestamps();
        });
        Repeated::table('drawer_changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('words', 200);
            // Compressed JSON: {rows: columns of each pencil before, created: ids of those that were not there, uses: ids of uses noted with it}.
            $table->binary('before');
            $table->timestamps();
        });
        // A MySQL blob holds 64 kilobytes; five thousand pencils take more.
        DB::statement('alter table drawer_changes modify `before` longblob not null');
        Repeated::column('drawer_imports', 'choices', static fn (Blueprint $table) => $table->json('choices')->nullable());
    }

    public function down(): void
    {
        Schema::table('drawer_imports', fn (Blueprint $table) => $table->dropColumn('choices'));
        Schema::dropIfExists('drawer_changes');
        Schema::dropIfExists('pencil_uses');
        DB::table('pencils')->whereNull('fit')->delete();
        Schema::table('pencils', fn (Blueprint $table) => $table->dropColumn('owned'));
        Schema::table('pencils', fn (Blueprint $table) => $table->boolean('owned')->default(true));
        DB::table('pencils')->update(['owned' => DB::raw("stock in ('owned', 'low')")]);
        Schema::table('pencils', function (Blueprint $table): void {
            $table->dropColumn(['stock', 'length_left', 'discontinued', 'formerly', 'notes']);
            $table->json('fit')->nullable(false)->change();
        });
    }
};
