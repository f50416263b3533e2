<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\KnownHosts;
use App\Models\Invitation;
use App\People\AppLinks;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** Under what names the application answers, and where the links lead that it sends. */
final class HostTest extends TestCase
{
    use StartsFromSeed;

    /** @param  list<string>  $listed */
    #[DataProvider('names')]
    public function test_it_is_known_by_its_own_address_and_by_what_is_listed(string $address, array $listed, string $host, bool $isKnown): void
    {
        self::assertSame($isKnown, KnownHosts::of($address, $listed)->has($host));
    }

    /** @return iterable<string, array{string, list<string>, string, bool}> */
    public static function names(): iterable
    {
        foreach (['localhost', '127.0.0.1', '[::1]', 'LOCALHOST', 'localhost.'] as $host) {
            yield "at home: {$host}" => ['http://127.0.0.1:8080', [], $host, true];
        }
        foreach (['harmozon.example', '127.0.0.2', '0.0.0.0', 'localhost.example', ''] as $host) {
            yield "at home: not {$host}" => ['http://localhost:8080', [], $host, false];
        }
        yield 'its own' => ['https://harmozon.example/', [], 'harmozon.example', true];
        yield 'its own, shouted' => ['https://Harmozon.example', [], 'HARMOZON.EXAMPLE', true];
        yield 'a listed one' => ['https://harmozon.example', ['charge.example', ' other.example '], 'other.example', true];
        yield 'below its own' => ['https://harmozon.example', [], 'a.harmozon.example', false];
        yield 'its own as a beginning' => ['https://harmozon.example', [], 'harmozon.example.evil.example', false];
        yield 'loopback of a public one' => ['https://harmozon.example', [], 'localhost', false];
        yield 'no address at all' => ['', [], '', false];
    }

    public function test_an_unknown_host_is_refused_in_words_wherever_it_asks(): void
    {
        foreach (['http://evil.example', 'http://evil.example:8080', 'http://127.0.0.1.evil.example'] as $site) {
            foreach (['/api/me', '/api/nothing', '/api/logger/readings'] as $path) {
                $this->getJson($site.$path)->assertStatus(400)->assertJsonPath('code', 'app.unknown_host');
            }
            $this->postJson("{$site}/api/demo-sign-in")->assertStatus(400);
            $page = $this->get("{$site}/sign-in")->assertStatus(400);
            self::assertStringContainsString('does not answer to that address', (string) $page->getContent());
            self::assertStringNotContainsString('<', (string) $page->getContent());
            $page->assertHeader('Content-Security-Policy');
        }
        $this->get('http://localhost:8080/sign-in')->assertOk();
        $this->get('http://127.0.0.1:9/sign-in')->assertOk();
    }

    public function test_a_host_that_is_none_is_refused_like_an_unknown_one(): void
    {
        foreach (['evil.example\\@localhost', '<script>', 'local host'] as $host) {
            $request = Request::create('/api/me');
            $request->headers->set('Host', $host);
            self::assertSame(400, $this->app->make(Kernel::class)->handle($request)->getStatusCode(), $host);
        }
    }

    public function test_a_proxys_word_counts_only_where_it_is_named(): void
    {
        config(['app.url' => 'https://harmozon.example']);
        $asked = fn (string $from, string $host): int => $this->call('GET', 'http://harmozon.example/sign-in', server: ['REMOTE_ADDR' => $from, 'HTTP_X_FORWARDED_HOST' => $host])->getStatusCode();

        self::assertSame(200, $asked('203.0.113.9', 'evil.example'));
        TrustProxies::at(['203.0.113.9']);
        self::assertSame(400, $asked('203.0.113.9', 'evil.example'));
        self::assertSame(200, $asked('203.0.113.8', 'evil.example'));
        TrustProxies::at([]);
    }

    public function test_links_begin_with_the_applications_own_address_whatever_it_was_called(): void
    {
        config(['app.url' => 'https://harmozon.example/', 'harmozon.hosts' => ['charge.example']]);
        $this->actingAs($this->stranger());
        $link = $this->postJson('http://charge.example/api/people/invitations', ['role' => 'driver'])->assertCreated()->json('link');

        self::assertStringStartsWith('https://harmozon.example/invitation#', $link);
        self::assertSame(1, Invitation::query()->count());
        self::assertSame('https://harmozon.example/new-password#email=a%2Bb%40c.example&token=t', AppLinks::newPassword('a+b@c.example', 't'));
    }
}
