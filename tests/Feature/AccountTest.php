<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

final class AccountTest extends TestCase
{
    use StartsFromSeed;

    public function test_sign_in_and_out(): void
    {
        $user = $this->demoUser();
        $response = $this->postJson('/api/sign-in', ['email' => $user->email, 'password' => config('harmozon.demo_password')]);
        $response->assertOk()->assertJsonPath('garage.name', 'The Lanternfish Puppet Company');
        Contract::holds('POST', '/sign-in', $response);
        Contract::holds('GET', '/me', $this->getJson('/api/me')->assertOk());

        Contract::holds('POST', '/sign-out', $this->postJson('/api/sign-out')->assertNoContent());
        $this->app['auth']->forgetGuards();
        Contract::holds('GET', '/me', $this->getJson('/api/me')->assertUnauthorized());
    }

    public function test_a_wrong_password_is_told_as_such_and_soon_slowed_down(): void
    {
        $email = $this->demoUser()->email;
        for ($i = 0; $i < 5; $i++) {
            $response = $this->postJson('/api/sign-in', ['email' => $email, 'password' => 'guess']);
            $response->assertStatus(422)->assertJsonPath('errors.email.0', "This e-mail address and password don't match.");
            Contract::holds('POST', '/sign-in', $response);
        }
        $response = $this->postJson('/api/sign-in', ['email' => $email, 'password' => config('harmozon.demo_password')]);
        Contract::holds('POST', '/sign-in', $response->assertStatus(429));
        $this->assertGuest();
    }

    public function test_the_wait_grows_ends_with_a_success_and_locks_nobody_else_out(): void
    {
        $email = $this->demoUser()->email;
        $try = fn (string $password, string $address = '10.0.0.1'): TestResponse => $this->withServerVariables(['REMOTE_ADDR' => $address])->postJson('/api/sign-in', ['email' => $email, 'password' => $password]);
        for ($i = 0; $i < 5; $i++) {
            $try('guess')->assertStatus(422);
        }
        $try('guess')->assertStatus(429)->assertHeader('Retry-After', '15')->assertJsonPath('message', 'Too many attempts. Try again in 15 s.');
        // Somebody else is not kept waiting, for the same account or for another.
        $try((string) config('harmozon.demo_password'), '10.0.0.2')->assertOk();

        $this->travel(16)->seconds();
        $try('guess')->assertStatus(422);
        $try('guess')->assertStatus(429)->assertHeader('Retry-After', '30');
        $this->travel(31)->seconds();
        $try((string) config('harmozon.demo_password'))->assertOk();
        $try('guess')->assertStatus(422);
        $try('guess')->assertStatus(422);
    }

    public function test_an_address_that_tries_many_accounts_is_slowed_down_too(): void
    {
        for ($i = 0; $i < 30; $i++) {
            $this->postJson('/api/sign-in', ['email' => "somebody{$i}@example.net", 'password' => 'guess'])->assertStatus(422);
        }
        $this->postJson('/api/sign-in', ['email' => 'another@example.net', 'password' => 'guess'])->assertStatus(429);
    }

    public function test_a_success_between_guesses_does_not_open_the_address_for_more_of_them(): void
    {
        $user = $this->demoUser();
        for ($i = 0; $i < 29; $i++) {
            $this->postJson('/api/sign-in', ['email' => "somebody{$i}@example.net", 'password' => 'guess'])->assertStatus(422);
        }
        $this->postJson('/api/sign-in', ['email' => $user->email, 'password' => config('harmozon.demo_password')])->assertOk();
        $this->postJson('/api/sign-in', ['email' => 'one-more@example.net', 'password' => 'guess'])->assertStatus(422);
        $this->postJson('/api/sign-in', ['email' => 'another@example.net', 'password' => 'guess'])->assertStatus(429);
    }

    public function test_the_log_knows_who_signed_in_and_holds_no_password(): void
    {
        $log = Log::spy();
        $this->postJson('/api/sign-in', ['email' => 'my password, typed too early', 'password' => 'a guess'])->assertUnprocessable();
        $this->postJson('/api/sign-in', ['email' => 'stranger@another.example', 'password' => 'a guess'])->assertUnprocessable();
        $log->shouldHaveReceived('notice')->twice()->withArgs(static fn (string $what, array $of): bool => $what === 'attempt refused' && $of['action'] === 'sign-in' && $of['address'] === '127.0.0.1'
            && ! str_contains((string) json_encode($of), 'password') && ! str_contains((string) json_encode($of), 'a guess'));
    }

    public function test_every_action_has_a_budget_of_its_own(): void
    {
        $user = $this->demoUser();
        for ($i = 0; $i < 31; $i++) {
            $status = $this->postJson('/api/password/forgotten', ['email' => $i === 0 ? $user->email : "somebody{$i}@example.net"])->getStatusCode();
        }
        self::assertSame(429, $status);
        $this->postJson('/api/sign-in', ['email' => $user->email, 'password' => config('harmozon.demo_password')])->assertOk();
    }

    /** Everybody behind one proxy has one address. */
    public function test_a_browser_that_was_signed_in_before_does_not_wait_for_others_behind_its_address(): void
    {
        $user = $this->demoUser();
        $right = ['email' => $user->email, 'password' => config('harmozon.demo_password')];
        $known = $this->postJson('/api/sign-in', $right)->assertOk()->getCookie('harmozon_known')?->getValue();
        self::assertIsString($known);
        self::assertStringNotContainsString($user->email, $known);
        for ($i = 0; $i < 30; $i++) {
            $this->postJson('/api/sign-in', ['email' => "somebody{$i}@example.net", 'password' => 'guess']);
        }
        $this->postJson('/api/sign-in', $right)->assertStatus(429);
        $this->withCredentials()->withCookie('harmozon_known', $known);
        $this->postJson('/api/sign-in', ['email' => 'another@example.net', 'password' => 'guess'])->assertStatus(429);
        $this->postJson('/api/sign-in', $right)->assertOk();
        for ($i = 0; $i < 5; $i++) {
            $this->postJson('/api/sign-in', ['password' => 'guess'] + $right)->assertStatus(422);
        }
        $this->postJson('/api/sign-in', $right)->assertStatus(429);
    }

    public function test_what_is_counted_by_many_at_once_is_counted_once_each(): void
    {
        $house = sys_get_temp_dir().'/harmozon-counters-'.bin2hex(random_bytes(6));
        mkdir("{$house}/framework", 0700, true);
        $count = 'require "vendor/autoload.php"; $app = require "bootstrap/app.php"; $app->make(Illuminate\\Contracts\\Console\\Kernel::class)->bootstrap();'
            .'$store = App\\Database\\Counters::store(); $store->add("n", 0, 600); for ($i = 0; $i < 40; $i++) { $store->increment("n"); } echo $store->get("n");';
        $processes = array_map(static function () use ($count, $house): Process {
            $process = new Process(['php', '-r', $count], base_path(), ['DB_CONNECTION' => 'sqlite', 'LARAVEL_STORAGE_PATH' => $house, 'APP_ENV' => 'testing']);
            $process->start();

            return $process;
        }, range(1, 4));
        $last = max(array_map(static function (Process $process): int {
            $process->wait();

            return (int) $process->getOutput();
        }, $processes));

        self::assertSame(160, $last);
        self::assertSame('600', decoct(fileperms("{$house}/framework/counters.sqlite") & 0777));
        (new Filesystem)->deleteDirectory($house);
    }

    #[DataProvider('notAnAddress')]
    public function test_what_is_no_address_is_refused_and_counted(mixed $email): void
    {
        for ($i = 0; $i < 30; $i++) {
            $response = $this->postJson('/api/sign-in', ['email' => $email, 'password' => 'guess']);
            self::assertContains($response->getStatusCode(), [422, 429]);
        }
        Contract::holds('POST', '/sign-in', $this->postJson('/api/sign-in', ['email' => $email, 'password' => ['x']])->assertStatus(429));
    }

    /** @return iterable<string, array{mixed}> */
    public static function notAnAddress(): iterable
    {
        yield 'a list' => [['a@example.net']];
        yield 'an object' => [['a' => ['b' => 1]]];
        yield 'a number' => [7];
        yield 'nothing' => [null];
        yield 'no address' => ['marionette'];
    }

    public function test_the_accounts_of_the_demo_open_in_demo_mode_only(): void
    {
        $email = $this->demoUser()->email;
        config(['harmozon.demo' => false]);
        $this->postJson('/api/sign-in', ['email' => $email, 'password' => config('harmozon.demo_password')])->assertStatus(422);
        $this->artisan('harmozon:demo')->assertExitCode(2);
    }

    public function test_nobody_signs_in_from_another_sites_page(): void
    {
        $email = $this->demoUser()->email;
        $body = ['email' => $email, 'password' => config('harmozon.demo_password')];
        $this->postJson('/api/sign-in', $body, ['Origin' => 'https://elsewhere.example'])->assertForbidden();
        $this->postJson('/api/demo-sign-in', [], ['Origin' => 'null'])->assertForbidden();
        $this->postJson('/api/sign-in', $body, ['Origin' => rtrim((string) url('/'), '/')])->assertOk();
    }

    public function test_a_visitor_without_a_cookie_leaves_nothing_behind(): void
    {
        config(['session.driver' => 'database']);
        $email = $this->demoUser()->email;
        foreach (['/', '/board', '/api/me', '/no/such/page'] as $path) {
            $this->get($path)->assertCookieMissing('harmozon_session');
        }
        self::assertSame(0, DB::table('sessions')->count());
        $this->postJson('/api/sign-in', ['email' => $email, 'password' => config('harmozon.demo_password')])->assertOk()->assertCookie('harmozon_session');
        self::assertSame(1, DB::table('sessions')->whereNotNull('user_id')->count());
    }

    public function test_what_is_told_is_not_stored_and_tls_is_kept(): void
    {
        $this->get('/api/me')->assertHeader('Cache-Control', 'no-store, private')->assertHeaderMissing('Strict-Transport-Security');
        $this->get('https://localhost/api/me')->assertHeader('Strict-Transport-Security', 'max-age=31536000');
        $this->call('POST', '/api/sign-in', content: str_repeat('x', 10))->assertHeader('X-Frame-Options', 'DENY');
    }

    public function test_the_demo_can_be_opened_in_demo_mode_only(): void
    {
        Contract::holds('POST', '/demo-sign-in', $this->postJson('/api/demo-sign-in')->assertNotFound());
        $this->demoUser();
        Contract::holds('POST', '/demo-sign-in', $this->postJson('/api/demo-sign-in')->assertOk());
        $this->get('/sign-in')->assertSee('name="harmozon-demo" content="yes"', false);

        $this->postJson('/api/sign-out');
        config(['harmozon.demo' => false]);
        $this->postJson('/api/demo-sign-in')->assertNotFound();
        $this->get('/sign-in')->assertSee('name="harmozon-demo" content="no"', false);
    }

    public function test_every_answer_carries_the_security_headers_and_no_script_stands_in_the_page(): void
    {
        foreach (['/', '/board', '/api/me', '/no/such/page'] as $path) {
            $policy = (string) $this->get($path)->headers->get('Content-Security-Policy');
            self::assertStringContainsString("script-src 'self';", $policy, $path);
            self::assertStringNotContainsString('unsafe-eval', $policy);
        }
        $page = (string) $this->get('/board')->assertHeader('X-Content-Type-Options', 'nosniff')->assertHeader('X-Frame-Options', 'DENY')->getContent();
        self::assertDoesNotMatchRegularExpression('/<script(?![^>]*\ssrc=)/', $page);
        self::assertDoesNotMatchRegularExpression('/\s(?:src|href)="(?:https?:)?\/\/(?!localhost)/', $page);
    }

    public function test_an_unknown_api_address_is_answered_in_json(): void
    {
        $this->getJson('/api/nothing')->assertNotFound()->assertJsonStructure(['message']);
    }
}
