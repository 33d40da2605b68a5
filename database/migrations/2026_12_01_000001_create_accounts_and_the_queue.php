<?php

declare(strict_types=1);

use App\Database\Repeated;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;

// Accounts, what the framework keeps, and what keeps work in order.
return new class extends Migration
{
    public function up(): void
    {
        self::framework();
        self::order();
    }

    private static function framework(): void
    {
        Repeated::table('users', static function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->string('email');
            $table->string('password');
            $table->string('remember_token', 100)->nullable();
            $table->timestamps();
            $table->unique('email');
        });
        Repeated::table('sessions', static function (Blueprint $table): void {
            $table->string('id');
            $table->unsignedBigInteger('user_id')->nullable();
            $table->string('ip_address', 45)->nullable();
            $table->text('user_agent')->nullable();
            $table->longText('payload');
            $table->integer('last_activity');
            $table->primary('id');
            $table->index('user_id');
            $table->index('last_activity');
        });
        Repeated::table('cache', static function (Blueprint $table): void {
            $table->string('key');
            $table->mediumText('value');
            $table->integer('expiration');
            $table->primary('key');
            $table->index('expiration');
        });
        Repeated::table('cache_locks', static function (Blueprint $table): void {
            $table->string('key');
            $table->string('owner');
            $table->integer('expiration');
            $table->primary('key');
            $table->index('expiration');
        });
        Repeated::table('jobs', static function (Blueprint $table): void {
            $table->id();
            $table->string('queue');
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
            $table->index('queue');
        });
        Repeated::table('failed_jobs', static function (Blueprint $table): void {
            $table->id();
            $table->string('uuid');
            $table->text('connection');
            $table->text('queue');
            $table->longText('payload');
            $table->longText('exception');
            $table->timestamp('failed_at')->useCurrent();
            $table->unique('uuid');
        });
    }

    /** What tells one change from another, and how far is what takes its time. */
    private static function order(): void
    {
        // Stands by itself: every row that names an account holds on to the account's own while it is made, and would meet the count there.
        Repeated::table('account_clocks', static function (Blueprint $table): void {
            $table->unsignedBigInteger('account');
            $table->unsignedBigInteger('ticks'); // counts on with every change to anything of an account
            $table->primary('account');
        });
        Repeated::table('progress', static function (Blueprint $table): void {
            $table->string('what', 60);
            $table->unsignedInteger('done');
            $table->timestamp('told_at')->useCurrent();
            $table->primary('what');
        });
        Repeated::table('made_changes', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            // Chosen by the page, so that a change that is sent twice is made once.
            $table->string('change_key', 40)->collation('utf8mb4_bin');
            $table->unsignedBigInteger('made')->nullable(); // what the change gives: a version, a study
            $table->timestamp('created_at')->useCurrent();
            $table->string('route', 200)->collation('utf8mb4_bin')->default('');
            $table->unique(['user_id', 'change_key']);
            $table->index('created_at');
        });
        Repeated::table('account_imports', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->timestamps();
            $table->string('state', 20);
            $table->string('path', 200);
            $table->unsignedBigInteger('bytes')->default(0);
            $table->unsignedInteger('total')->default(0);
            $table->unsignedTinyInteger('tries')->default(0);
            $table->json('taken')->nullable();
            $table->string('problem', 1000)->nullable();
            $table->index(['user_id', 'state']);
        });
        Repeated::table('drawer_imports', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->timestamps();
            $table->string('state', 12); // waiting, working, done, cancelled, failed
            $table->unsignedInteger('done')->default(0);
            $table->unsignedInteger('total');
            $table->longText('text');
            $table->json('choices')->nullable();
        });
    }
};
