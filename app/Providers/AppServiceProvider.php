<?php

declare(strict_types=1);

namespace App\Providers;

use App\Backup\DatabaseCopy;
use App\Backup\PostgresCopy;
use App\Backup\SqliteCopy;
use App\Database\Counters;
use App\Database\ImmediateSqliteConnection;
use App\Database\OrderedPostgresConnection;
use App\Database\PatientPostgresConnector;
use App\Equipment\GarageExperience;
use App\Equipment\ShippedKinds;
use App\Garage\CurrentGarage;
use App\Http\Middleware\SpeakLanguage;
use App\Http\SignInThrottle;
use App\Models\LoggerToken;
use App\Models\User;
use App\People\DatabaseSessions;
use App\Sessions\PastSessions;
use App\Words\SpokenLanguage;
use Harmozon\Core\Case\CarKindsReader;
use Harmozon\Core\Case\CatalogueReader;
use Harmozon\Core\Catalogue\CarKinds;
use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Words\Language;
use Harmozon\Core\Words\Voice;
use Illuminate\Auth\Events\Authenticated;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\ServiceProvider;
use Laravel\Sanctum\Sanctum;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(CurrentGarage::class);
        $this->app->bind(GarageExperience::class, PastSessions::class);
        $this->app->bind(DatabaseCopy::class, static fn (): DatabaseCopy => DB::connection()->getDriverName() === 'pgsql' ? new PostgresCopy : new SqliteCopy);
        Connection::resolverFor('sqlite', static fn (\PDO|\Closure $pdo, string $database, string $prefix, array $config): Connection => new ImmediateSqliteConnection($pdo, $database, $prefix, $config));
        Connection::resolverFor('pgsql', static fn (\PDO|\Closure $pdo, string $database, string $prefix, array $config): Connection => new OrderedPostgresConnection($pdo, $database, $prefix, $config, static fn (): ?int => app(CurrentGarage::class)->knownId()));
        $this->app->bind('db.connector.pgsql', PatientPostgresConnector::class);
        // The framework's own words and ours are in one language: that of the request (SpeakLanguage), or of the command line.
        $this->app->bind(Language::class, static fn (Application $app): Language => SpokenLanguage::of($app->getLocale()));
        $this->app->bind(Voice::class, static function (Application $app): Voice {
            $garage = $app->make(CurrentGarage::class);
            $language = $app->make(Language::class);

            return new Voice($language->in($garage->locale() ?? $language->locale), $garage->units());
        });
        $this->app->scoped(Catalogue::class, static fn (): Catalogue => (new CatalogueReader)->catalogue(ShippedKinds::json('charger-kinds'), ShippedKinds::json('adapter-kinds')));
        $this->app->scoped(CarKinds::class, static fn (): CarKinds => (new CarKindsReader)->json(ShippedKinds::json('car-kinds')));
    }

    public function boot(): void
    {
        Event::listen(Authenticated::class, static function (Authenticated $e): void {
            if ($e->user instanceof User) {
                SpeakLanguage::ofPerson($e->user);
            }
        });
        Session::extend('database', fn (Application $app): DatabaseSessions => new DatabaseSessions(DB::connection(), (string) config('session.table'), (int) config('session.lifetime'), $app));
        Cache::extend('counters', fn (): Repository => Cache::repository(Counters::store()));
        $this->app->when(SignInThrottle::class)->needs(Repository::class)->give(static fn (): Repository => Cache::store((string) config('cache.limiter')));
        Sanctum::usePersonalAccessTokenModel(LoggerToken::class);
        Model::shouldBeStrict();
        JsonResource::withoutWrapping();
        TrustProxies::at(config('harmozon.proxies'));
    }
}
