<?php

declare(strict_types=1);

namespace App\Providers;

use App\Database\ImmediateSqliteConnection;
use App\Garage\CurrentGarage;
use Harmozon\Core\Catalogue\Catalogue;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Illuminate\Support\Str;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(CurrentGarage::class);
        Connection::resolverFor('sqlite', static fn (\PDO|\Closure $pdo, string $database, string $prefix, array $config): Connection => new ImmediateSqliteConnection($pdo, $database, $prefix, $config));
        $this->app->singleton(Catalogue::class, static fn (): Catalogue => Catalogue::fromJson(
            (string) file_get_contents(base_path('core/catalogue/charger-kinds.json')),
            (string) file_get_contents(base_path('core/catalogue/adapter-kinds.json')),
        ));
    }

    public function boot(): void
    {
        Model::shouldBeStrict();
        JsonResource::withoutWrapping();
        RateLimiter::for('sign-in', static fn (Request $request): Limit => Limit::perMinute(5)
            ->by(Str::lower($request->string('email')->toString()).'|'.$request->ip()));
    }
}
