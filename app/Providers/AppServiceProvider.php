<?php

declare(strict_types=1);

namespace App\Providers;

use App\Cache\KeptAtlases;
use App\Cache\Prune;
use App\Drawers\DrawerImports;
use App\Jobs\PlanPicture;
use App\Photos\Sweep;
use App\Plans\PlanRunner;
use App\Work\Pulse;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Queue\Events\Looping;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\ServiceProvider;
use Illuminate\Validation\Rules\Password;
use KnottyPrism\Core\Recipe\Kits;
use KnottyPrism\Core\Recipe\Search\AtlasShelf;

final class AppServiceProvider extends ServiceProvider
{
    private const TIDIES_EVERY_SECONDS = 6 * 3600;

    public function register(): void
    {
        // A worker's, from one job to the next.
        $this->app->singleton(Kits::class);
        $this->app->singleton(AtlasShelf::class, static fn (): AtlasShelf => new KeptAtlases(Cache::store('atlases')));
    }

    public function boot(): void
    {
        Model::shouldBeStrict();
        Password::defaults(Password::min(10));
        // Numbers of rows, none larger than the database has.
        Route::patterns(array_fill_keys(['study', 'photo', 'entry', 'keptRecipe', 'import', 'sheet'], '[0-9]{1,18}'));
        $this->limitRates();
        $isFirst = true;
        $tidiedAt = 0;
        Event::listen(Looping::class, static function () use (&$isFirst, &$tidiedAt): void {
            Pulse::beat();
            if ($isFirst) {
                // A worker that was killed left its plans half done; the queue itself would wait for them much longer.
                $isFirst = false;
                array_map(PlanPicture::dispatch(...), app(PlanRunner::class)->cutOff());
            }
            if (time() - $tidiedAt > self::TIDIES_EVERY_SECONDS) {
                $tidiedAt = time();
                rescue(Sweep::now(...));
                rescue(Prune::now(...));
                rescue(static fn () => app(DrawerImports::class)->forgetUntaken());
            }
        });
    }

    private function limitRates(): void
    {
        // By account and address together, and a wider net by address alone.
        RateLimiter::for('sign-in', static fn (Request $request): array => [
            Limit::perMinute(6)->by((is_string($request->input('email')) ? mb_strtolower(mb_substr($request->input('email'), 0, 255)) : '').'|'.$request->ip()),
            Limit::perMinute(30)->by((string) $request->ip()),
        ]);
        RateLimiter::for('heavy', static fn (Request $request): Limit => Limit::perMinute(240)->by((string) ($request->user()?->getAuthIdentifier() ?? $request->ip())));
    }
}
