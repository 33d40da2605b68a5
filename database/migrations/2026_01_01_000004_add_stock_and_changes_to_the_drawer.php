<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('pencils', function (Blueprint $table): void {
            $table->string('stock', 10)->default('owned')->after('owned'); // owned, low, wanted, not owned
            $table->double('length_left')->nullable()->after('stock'); // millimetres
            $table->boolean('discontinued')->default(false)->after('length_left');
            $table->json('formerly')->nullable()->after('discontinued');
            $table->text('notes')->nullable()->after('formerly');
            // Empty until the queue has come to it.
            $table->json('fit')->nullable()->change();
        });
        DB::table('pencils')->update(['stock' => DB::raw("if(owned, 'owned', 'not owned')")]);
        Schema::table('pencils', fn (Blueprint $table) => $table->dropColumn('owned'));
        Schema::table('pencils', fn (Blueprint $table) => $table->boolean('owned')->storedAs("stock in ('owned', 'low')"));

        Schema::create('pencil_uses', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('pencil_id')->constrained()->cascadeOnDelete();
            $table->foreignId('study_id')->nullable()->constrained()->nullOnDelete();
            $table->double('millimetres');
            $table->timestamps();
        });
        Schema::create('drawer_changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('words', 200);
            // Compressed JSON: {rows: columns of each pencil before, created: ids of those that were not there, uses: ids of uses noted with it}.
            $table->binary('before');
            $table->timestamps();
        });
        // A MySQL blob holds 64 kilobytes; five thousand pencils take more.
        DB::statement('alter table drawer_changes modify `before` longblob not null');
        Schema::table('drawer_imports', fn (Blueprint $table) => $table->json('choices')->nullable());
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
