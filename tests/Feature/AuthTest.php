<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ChargeSession;
use App\Models\Outlet;
use App\Models\Reading;
use App\Models\Vehicle;
use App\Sessions\SessionRecorder;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\DB;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** Walks the list of routes itself, so that a new one cannot be forgotten. */
final class AuthTest extends TestCase
{
    use StartsFromSeed;

    private const OPEN_TO_VISITORS = ['api/sign-in', 'api/demo-sign-in', 'api/accounts', 'api/invitations/{token}', 'api/invitations/{token}/account', 'api/password/forgotten', 'api/password/reset', 'api/visitors/terms', 'api/visitors/car-kinds', 'api/visitors/new-car'];

    public function test_every_route_of_the_api_refuses_a_visitor(): void
    {
        $session = $this->openSession();
        $before = self::everything();
        $tried = 0;
        foreach (self::routes() as [$method, $route]) {
            if (in_array($route->uri(), self::OPEN_TO_VISITORS, true)) {
                continue;
            }
            $tried++;
            $this->json($method, $this->addressOf($route, $session))->assertUnauthorized();
        }
        self::assertGreaterThan(12, $tried);
        self::assertSame($before, self::everything());
    }

    public function test_every_route_of_the_api_keeps_another_garage_out(): void
    {
        $owner = $this->demoUser();
        $session = $this->openSession();
        [$outlet, $vehicle] = $this->inside($owner, static fn (): array => [Outlet::query()->firstOrFail()->ulid, Vehicle::query()->firstOrFail()->ulid]);
        $ids = $this->inside($owner, static fn (): array => [
            ...Outlet::query()->pluck('ulid')->all(), ...Vehicle::query()->pluck('ulid')->all(), ...ChargeSession::query()->pluck('ulid')->all(),
        ]);
        $before = self::everything();
        $this->actingAs($this->stranger());
        $after = self::everything();
        foreach (self::routes() as [$method, $route]) {
            if (in_array($route->uri(), [...self::OPEN_TO_VISITORS, 'api/sign-out'], true)) {
                continue;
            }
            $response = $this->json($method, $this->addressOf($route, $session), [
                'outlet' => $outlet, 'vehicle' => $vehicle, 'adapters' => [],
                'readings' => [['client_id' => '01ARZ3NDEKTSV4RRFFQ69G5FAV', 't_s' => 1, 'kw' => 5]],
            ]);
            $name = "{$method} {$route->uri()}";
            if (str_starts_with($route->uri(), 'api/logger/')) {
                // A browser's session opens nothing there; a token of another garage neither (LoggerTest).
                self::assertSame(401, $response->getStatusCode(), $name);
            } elseif (array_diff($route->parameterNames(), ['kind']) !== []) {
                self::assertSame(404, $response->getStatusCode(), $name);
            } elseif ($method !== 'GET' && $route->uri() !== 'api/new-car') {
                self::assertSame(422, $response->getStatusCode(), $name);
            }
            foreach ($ids as $id) {
                self::assertStringNotContainsString($id, (string) $response->getContent(), $name);
            }
        }
        self::assertSame($after, self::everything());
        self::assertSame($before['readings'], self::everything()['readings']);
    }

    public function test_every_route_of_the_api_is_described_and_nothing_else_is(): void
    {
        $routes = array_map(static fn (array $r): string => $r[0].' /'.preg_replace('/\{id\}/', '{session}', substr($r[1]->uri(), 4)), self::routes());
        $described = [];
        foreach (Contract::document()['paths'] as $path => $operations) {
            foreach (array_intersect(array_keys($operations), ['get', 'post', 'put', 'patch', 'delete']) as $method) {
                $described[] = strtoupper($method).' '.$path;
            }
        }
        sort($routes);
        sort($described);

        self::assertSame($described, $routes);
    }

    public function test_a_record_without_a_garage_cannot_be_found_or_made(): void
    {
        $this->demoUser();
        self::assertSame(0, Vehicle::query()->count());
        $this->expectException(\LogicException::class);
        Vehicle::query()->create(['name' => 'Stray', 'spec' => []]);
    }

    /** @return list<array{string, Route}> */
    private static function routes(): array
    {
        $routes = [];
        foreach (app('router')->getRoutes() as $route) {
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                if (str_starts_with($route->uri(), 'api/')) {
                    $routes[] = [$method, $route];
                }
            }
        }

        return $routes;
    }

    private function openSession(): ChargeSession
    {
        $user = $this->demoUser();

        return $this->inside($user, function (): ChargeSession {
            $session = ChargeSession::query()->firstOrFail();
            $this->app->make(SessionRecorder::class)->reopen($session);

            return $session;
        });
    }

    private function addressOf(Route $route, ChargeSession $session): string
    {
        $reading = Reading::query()->withoutGlobalScopes()->where('charge_session_id', $session->id)->firstOrFail()->client_id;

        return '/'.strtr($route->uri(), ['{session}' => $session->ulid, '{id}' => $session->ulid, '{clientId}' => $reading, '{import}' => 'ABCDEF123456', '{kind}' => 'vehicles', '{piece}' => Vehicle::query()->withoutGlobalScopes()->firstOrFail()->ulid]);
    }

    /** @return array<string, int> rows by table */
    private static function everything(): array
    {
        $counts = [];
        foreach (['vehicles', 'adapters', 'places', 'outlets', 'charge_sessions', 'readings'] as $table) {
            $counts[$table] = DB::table($table)->count() + ($table === 'charge_sessions' ? 1000 * DB::table($table)->whereNotNull('finished_at')->count() : 0);
        }

        return $counts;
    }
}
