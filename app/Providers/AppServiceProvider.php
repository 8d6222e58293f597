<?php

declare(strict_types=1);

namespace App\Providers;

use App\Database\LockFirst;
use App\Http\Limits;
use App\Jobs\Propose;
use App\Results\ResultStore;
use App\Time\Clock;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        // Queued jobs from before the class moved are still processed.
        if (!class_exists('App\Plans\Propose', false)) {
            class_alias(Propose::class, 'App\Plans\Propose');
        }
        $this->app->singleton(
            ResultStore::class,
            static fn(Application $app): ResultStore => new ResultStore(
                $app->make('cache')->store('results'),
                1_000_000 * (int) config('ember.results_megabytes'),
            ),
        );
        Connection::resolverFor(
            'sqlite',
            static fn(mixed $pdo, string $database, string $prefix, array $config): LockFirst => new LockFirst(
                $pdo,
                $database,
                $prefix,
                $config,
            ),
        );
    }

    public function boot(): void
    {
        if ($this->app->environment('testing') && is_string($now = config('ember.now')) && $now !== '') {
            $since = config('ember.now_since');
            Clock::shift($now, is_numeric($since) ? (float) $since : microtime(true));
        }
        Model::shouldBeStrict(!$this->app->isProduction());
        TrustProxies::at(self::words('ember.proxies'));
        RateLimiter::for('heavy', static fn(Request $request): array => Limits::heavy($request));
        RateLimiter::for('sign-in', static fn(Request $request): array => Limits::signIn($request));
    }

    /** @return list<string> of a setting that is a list */
    public static function words(string $setting): array
    {
        return array_values(array_filter((array) config($setting), is_string(...)));
    }
}
