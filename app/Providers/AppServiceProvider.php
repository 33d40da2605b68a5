<?php

declare(strict_types=1);

namespace App\Providers;

use App\Accounts\AccountImports;
use App\Accounts\SpelledAlike;
use App\Cache\KeptAtlases;
use App\Cache\Prune;
use App\Drawers\DrawerImports;
use App\Http\CountsFirst;
use App\Http\SessionRows;
use App\Jobs\TakeInAccount;
use App\Jobs\TakePlanTurn;
use App\Photos\Sweep;
use App\Plans\PlanTurns;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Contracts\Translation\Translator;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Queue\Events\Looping;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\Facades\Validator;
use Illuminate\Support\ServiceProvider;
use Illuminate\Validation\Rules\Password;
use KnottyPrism\Core\Recipe\Kits;
use KnottyPrism\Core\Recipe\Search\AtlasShelf;

final class AppServiceProvider extends ServiceProvider
{
    private const LOOKS_EVERY_SECONDS = 20;

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
        // Addresses that are limited are those that a proxy names, where it is one of ours.
        TrustProxies::at(config('app.proxies'));
        Validator::resolver(
            static fn (
                Translator $translator,
                array $data,
                array $rules,
                array $messages,
                array $attributes,
            ): CountsFirst => new CountsFirst($translator, $data, $rules, $messages, $attributes),
        );
        // Numbers of rows, none larger than the database has.
        Route::patterns(
            array_fill_keys(
                ['study', 'photo', 'entry', 'keptRecipe', 'import', 'sheet', 'check', 'recipe', 'accountImport'],
                '[0-9]{1,18}',
            ),
        );
        $this->limitRates();
        Session::extend(
            'database',
            static fn (Application $app): SessionRows => new SessionRows(
                $app->make('db')->connection(config('session.connection')),
                (string) config('session.table'),
                (int) config('session.lifetime'),
                $app,
            ),
        );
        $isFirst = true;
        $lookedAt = $tidiedAt = 0;
        Event::listen(Looping::class, static function () use (&$isFirst, &$lookedAt, &$tidiedAt): void {
            if ($isFirst) {
                // One that was killed left its plans half done; the queue itself would wait for them much longer.
                app(PlanTurns::class)->letGo();
                $isFirst = false;
            }
            if (time() - $lookedAt > self::LOOKS_EVERY_SECONDS) {
                $lookedAt = time();
                TakePlanTurn::forWhatWaits();
                TakeInAccount::whatWasLeft();
            }
            if (time() - $tidiedAt > self::TIDIES_EVERY_SECONDS) {
                $tidiedAt = time();
                rescue(Sweep::now(...));
                rescue(Sweep::passing(...));
                rescue(Prune::now(...));
                rescue(AccountImports::sweep(...));
                rescue(static fn () => app(DrawerImports::class)->forgetUntaken());
            }
        });
    }

    private function limitRates(): void
    {
        // By account and address together, and a wider net by address alone.
        RateLimiter::for(
            'sign-in',
            static fn (Request $request): array => [
                Limit::perMinute(6)->by(SpelledAlike::named($request->input('email')).'|'.$request->ip()),
                Limit::perMinute(30)->by((string) $request->ip()),
            ],
        );
        RateLimiter::for(
            'proof',
            static fn (Request $request): Limit => Limit::perMinute(6)->by((string) $request->user()?->getAuthIdentifier()),
        );
        // A hand that draws makes two changes a second at most; whoever comes back after hours without a network sends all of theirs at
        // once.
        RateLimiter::for(
            'edits',
            static fn (Request $request): Limit => $request->isMethodSafe()
                ? Limit::none()
                : Limit::perMinute(1200)->by('edits|'.$request->user()?->getAuthIdentifier()),
        );
        RateLimiter::for(
            'heavy',
            static fn (Request $request): Limit => Limit::perMinute(240)->by(
                (string) ($request->user()?->getAuthIdentifier() ?? $request->ip()),
            ),
        );
    }
}
