<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Garage\Role;
use App\Models\Garage;
use App\Models\User;
use App\People\AccountChangedMail;
use App\People\DatabaseSessions;
use App\People\Devices;
use App\People\PasswordResetMail;
use App\People\RevokedSessions;
use Illuminate\Notifications\AnonymousNotifiable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Notification;
use Illuminate\Testing\TestResponse;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** One's own account: OWASP ASVS 4.0.3, level 2, V2.1, V2.2, V2.5, V3.2 and V3.3. */
final class PersonTest extends TestCase
{
    use StartsFromSeed;

    private const OLD = 'the kettle is on again';

    private const NEW = 'nine ladies dancing';

    protected function setUp(): void
    {
        parent::setUp();
        config(['session.driver' => 'database']);
    }

    public function test_a_call_that_reads_writes_nothing_and_the_time_of_the_last_one_is_kept_by_the_minute(): void
    {
        $this->freezeSecond();
        $rook = $this->rook();
        $this->signIn($rook);
        $this->getJson('/api/me')->assertOk();
        $writes = [];
        DB::listen(static function ($query) use (&$writes): void {
            if (preg_match('/^(insert|update|delete)/i', $query->sql) === 1) {
                $writes[] = $query->sql;
            }
        });
        $seen = static fn (): int => (int) DB::table('sessions')->where('user_id', $rook->id)->value('last_activity');
        $before = $seen();

        $this->travel(50)->seconds();
        $this->getJson('/api/me')->assertOk();
        self::assertSame([], $writes);

        $this->travel(15)->seconds();
        $this->getJson('/api/me')->assertOk();
        self::assertCount(1, $writes);
        self::assertSame($before + 65, $seen());
    }

    public function test_a_browser_is_told_that_it_was_signed_out_from_elsewhere_and_not_when_its_time_ran_out(): void
    {
        $rook = $this->rook();
        $this->signIn($rook);
        $here = (string) DB::table('sessions')->where('user_id', $rook->id)->value('id');
        self::assertFalse(RevokedSessions::has($here));

        Devices::of($rook)->signOutAll($here);
        self::assertFalse(RevokedSessions::has($here), 'this browser stays');
        Devices::of($rook)->signOutAll();
        self::assertTrue(RevokedSessions::has($here));
        self::assertStringNotContainsString($here, (string) DB::table('ended_sessions')->get());
        $anew = function (): void {
            $this->app->make('session')->forgetDrivers();
            $this->app->forgetInstance('session.store');
            $this->app->make('auth')->forgetGuards();
        };
        $anew();
        $this->getJson('/api/me')->assertUnauthorized()->assertJsonPath('code', 'app.signed_out_elsewhere');
        $anew();
        self::assertStringContainsString('name="harmozon-visitor" content="ended"', (string) $this->get('/board')->getContent());

        DB::table('ended_sessions')->delete();
        $anew();
        $this->getJson('/api/me')->assertUnauthorized()->assertJsonPath('code', 'app.not_signed_in');

        RevokedSessions::note(['old']);
        $this->travel(401)->days();
        RevokedSessions::note(['new']);
        self::assertSame([false, true], [RevokedSessions::has('old'), RevokedSessions::has('new')]);
    }

    public function test_sessions_that_have_ended_go_when_another_begins(): void
    {
        $begins = fn (string $id): bool => (new DatabaseSessions(DB::connection(), 'sessions', 12 * 60, $this->app))->write($id, 'a');
        $ids = static fn (): array => DB::table('sessions')->orderBy('id')->pluck('id')->all();
        $begins('old');
        $this->travel(11)->hours();
        $begins('younger');
        $this->travel(61)->minutes();
        self::assertSame(['old', 'younger'], $ids());

        $begins('new');
        self::assertSame(['new', 'younger'], $ids());
    }

    public function test_a_session_that_changes_and_changes_back_is_written_both_times(): void
    {
        $handler = $this->app->make('session')->driver('database')->getHandler();
        $kept = static fn (): string => base64_decode((string) DB::table('sessions')->where('id', 'one')->value('payload'));
        $handler->write('one', 'first');
        self::assertSame('first', $handler->read('one'));

        $handler->write('one', 'second');
        self::assertSame('second', $kept());
        $handler->write('one', 'first');
        self::assertSame('first', $kept());
    }

    public function test_name_and_address_are_changed_an_address_with_the_password(): void
    {
        $rook = $this->rook();
        $this->actingAs($rook);
        Contract::holds('PUT', '/me', $this->putJson('/api/me', ['name' => 'Rook the Elder', 'email' => $rook->email])->assertOk()->assertJsonPath('user.name', 'Rook the Elder'));
        $this->putJson('/api/me', ['email' => 'new@rook.example'])->assertUnprocessable()->assertJsonPath('errors.password.0', "This isn't your current password.");
        $this->putJson('/api/me', ['email' => 'new@rook.example', 'password' => ['x']])->assertUnprocessable();
        $this->putJson('/api/me', ['email' => 'New@rook.example', 'password' => self::OLD])->assertOk()->assertJsonPath('user.email', 'new@rook.example');
        $this->person('another');
        Contract::holds('PUT', '/me', $this->putJson('/api/me', ['email' => 'Another@another.example', 'password' => self::OLD])->assertUnprocessable()->assertJsonStructure(['errors' => ['email']]));
        self::assertSame('new@rook.example', $rook->refresh()->email);
    }

    /** V2.1.5, V2.1.6, V3.3.3 */
    public function test_a_password_is_changed_with_the_one_before_and_signs_every_other_browser_out(): void
    {
        $rook = $this->rook();
        $token = $rook->remember_token;
        $this->signIn($rook);
        $this->elsewhere($rook, 'elsewhere');
        $this->elsewhere($this->person('another'), 'not-ours');

        Contract::holds('PUT', '/me/password', $this->putJson('/api/me/password', ['password' => 'a guess of mine', 'new_password' => self::NEW])->assertUnprocessable());
        $this->putJson('/api/me/password', ['password' => self::OLD, 'new_password' => 'short'])->assertUnprocessable()->assertJsonStructure(['errors' => ['new_password']]);
        $this->putJson('/api/me/password', ['password' => self::OLD, 'new_password' => 'rook-123-rook'])->assertUnprocessable();
        Contract::holds('PUT', '/me/password', $this->putJson('/api/me/password', ['password' => self::OLD, 'new_password' => self::NEW])->assertNoContent());

        self::assertSame(['not-ours'], DB::table('sessions')->whereIn('id', ['elsewhere', 'not-ours'])->pluck('id')->all());
        self::assertNotSame($token, $rook->refresh()->remember_token);
        $this->getJson('/api/me')->assertOk();
        $this->out();
        $this->postJson('/api/sign-in', ['email' => $rook->email, 'password' => self::OLD])->assertUnprocessable();
        $this->postJson('/api/sign-in', ['email' => $rook->email, 'password' => self::NEW])->assertOk();
    }

    /** V2.2.3 */
    public function test_who_is_changed_is_told_at_the_address_they_had(): void
    {
        Notification::fake();
        $rook = $this->rook();
        $this->actingAs($rook);
        $said = static function (string $address): array {
            $texts = [];
            Notification::assertSentOnDemand(AccountChangedMail::class, static function (AccountChangedMail $mail, array $channels, AnonymousNotifiable $to) use ($address, &$texts): bool {
                if ($to->routes['mail'] === $address) {
                    $texts[] = (string) ($mail->toMail()->viewData['text'] ?? '');
                }

                return true;
            });

            return $texts;
        };
        $this->putJson('/api/me', ['email' => 'new@rook.example', 'password' => self::OLD])->assertOk();
        $this->putJson('/api/me', ['name' => 'Rook the Elder'])->assertOk();
        $this->putJson('/api/me/password', ['password' => self::OLD, 'new_password' => self::NEW])->assertNoContent();

        self::assertCount(1, $said('rook@another.example'));
        self::assertStringContainsString('your account now uses new@rook.example', $said('rook@another.example')[0]);
        self::assertCount(1, $said('new@rook.example'));
        self::assertStringContainsString('your password was changed', $said('new@rook.example')[0]);
    }

    public function test_a_mail_that_cannot_be_sent_spoils_nothing_and_tells_nothing(): void
    {
        config(['mail.default' => 'smtp', 'mail.mailers.smtp.host' => '127.0.0.1', 'mail.mailers.smtp.port' => 1]);
        $rook = $this->rook();
        $this->postJson('/api/password/forgotten', ['email' => $rook->email])->assertNoContent();
        $this->actingAs($rook)->putJson('/api/me/password', ['password' => self::OLD, 'new_password' => self::NEW])->assertNoContent();
    }

    /** V2.1.3: also a blank at its end. */
    public function test_every_character_of_a_password_counts(): void
    {
        $rook = $this->rook();
        $this->actingAs($rook)->putJson('/api/me/password', ['password' => self::OLD, 'new_password' => self::NEW.' '])->assertNoContent();
        $this->out();
        $this->postJson('/api/sign-in', ['email' => $rook->email, 'password' => self::NEW])->assertUnprocessable();
        $this->postJson('/api/sign-in', ['email' => $rook->email, 'password' => self::NEW.' '])->assertOk();
    }

    /** V3.2.1, V3.3.1, V3.3.2, V3.4.1 to V3.4.3 */
    public function test_a_browser_session_begins_anew_ends_at_once_and_does_not_last(): void
    {
        $rook = $this->rook();
        $signIn = fn (string $base): TestResponse => $this->postJson($base.'/api/sign-in', ['email' => $rook->email, 'password' => self::OLD, 'remember' => true])->assertOk();
        $first = $signIn('https://localhost');
        $cookie = $first->getCookie('harmozon_session') ?? self::fail();
        self::assertSame([true, true, 'lax'], [$cookie->isSecure(), $cookie->isHttpOnly(), $cookie->getSameSite()]);
        self::assertLessThanOrEqual(now()->addHours(12)->addMinute()->getTimestamp(), $cookie->getExpiresTime());
        $remembered = collect($first->headers->getCookies())->first(static fn ($c): bool => str_starts_with($c->getName(), 'remember_')) ?? self::fail();
        self::assertSame([true, true], [$remembered->isSecure(), $remembered->isHttpOnly()]);
        self::assertEqualsWithDelta(now()->addDays(30)->getTimestamp(), $remembered->getExpiresTime(), 60);

        $this->app['auth']->forgetGuards();
        $this->withCredentials()->withCookie('harmozon_session', (string) $cookie->getValue());
        self::assertNotSame($cookie->getValue(), $signIn('')->getCookie('harmozon_session')?->getValue());
        $this->assertDatabaseMissing('sessions', ['id' => $cookie->getValue()]);

        $session = $this->signIn($rook);
        $this->getJson('/api/me')->assertOk();
        $this->assertDatabaseHas('sessions', ['id' => $session]);
        $this->out();
        $this->getJson('/api/me')->assertUnauthorized();
        $this->assertDatabaseMissing('sessions', ['id' => $session]);
    }

    /** V2.4.1 */
    public function test_passwords_are_kept_as_argon2id_and_older_ones_become_so(): void
    {
        $rook = $this->rook();
        DB::table('users')->where('id', $rook->id)->update(['password' => password_hash(self::OLD, PASSWORD_BCRYPT, ['cost' => 4])]);
        $this->postJson('/api/sign-in', ['email' => $rook->email, 'password' => self::OLD])->assertOk();

        self::assertSame('argon2id', password_get_info($rook->refresh()->password)['algoName']);
    }

    /** V2.2.1: who holds an open browser does not guess without end. */
    public function test_guessing_ones_own_password_is_slowed_down_too(): void
    {
        $this->actingAs($this->rook());
        for ($i = 0; $i < 5; $i++) {
            $this->putJson('/api/me/password', ['password' => 'a guess of mine', 'new_password' => self::NEW])->assertUnprocessable();
        }
        Contract::holds('PUT', '/me/password', $this->putJson('/api/me/password', ['password' => self::OLD, 'new_password' => self::NEW])->assertStatus(429));
    }

    /** V3.3.4 */
    public function test_browsers_are_seen_and_signed_out_one_by_one(): void
    {
        $rook = $this->rook();
        $this->signIn($rook);
        // What is no text, in rows from before it was looked at; PostgreSQL takes none.
        $this->elsewhere($rook, 'elsewhere', config('database.default') === 'pgsql' ? 'Browser' : "Brow\xFFser");
        $devices = $this->getJson('/api/me/devices')->assertOk();
        Contract::holds('GET', '/me/devices', $devices);
        self::assertSame([false, true], collect($devices->json('devices'))->sortBy('is_here')->pluck('is_here')->all());
        self::assertStringNotContainsString('elsewhere', (string) $devices->getContent());
        $other = collect($devices->json('devices'))->firstWhere('is_here', false)['id'];

        Contract::holds('DELETE', '/me/devices/{device}', $this->deleteJson("/api/me/devices/{$other}")->assertNoContent());
        $this->assertDatabaseMissing('sessions', ['id' => 'elsewhere']);
        Contract::holds('DELETE', '/me/devices/{device}', $this->deleteJson("/api/me/devices/{$other}")->assertNotFound());
        $this->elsewhere($this->person('another'), 'not-ours');
        $this->deleteJson('/api/me/devices/'.substr(hash('sha256', 'not-ours'), 0, 24))->assertNotFound();
        $this->assertDatabaseHas('sessions', ['id' => 'not-ours']);
    }

    /** V2.5.1, V2.5.2, V2.5.6 */
    public function test_a_forgotten_password_is_set_anew_by_mail_once_within_an_hour(): void
    {
        Notification::fake();
        $rook = $this->rook();
        $this->elsewhere($rook, 'elsewhere');
        Contract::holds('POST', '/password/forgotten', $this->postJson('/api/password/forgotten', ['email' => 'ROOK@another.example'])->assertNoContent());
        Contract::holds('POST', '/password/forgotten', $this->postJson('/api/password/forgotten', ['email' => 'nobody@another.example'])->assertNoContent());
        Contract::holds('POST', '/password/forgotten', $this->postJson('/api/password/forgotten', ['email' => ['x']])->assertUnprocessable());
        Notification::assertCount(1);
        $link = '';
        Notification::assertSentTo($rook, PasswordResetMail::class, static function (PasswordResetMail $mail) use ($rook, &$link): bool {
            $text = (string) ($mail->toMail($rook)->viewData['text'] ?? '');
            self::assertStringContainsString('within 60 min', $text);
            self::assertSame(1, preg_match('/\S+\/new-password#(\S+)/', $text, $found));
            $link = $found[1] ?? '';

            return true;
        });
        parse_str($link, $given);
        self::assertSame($rook->email, $given['email']);
        $this->assertDatabaseMissing('password_reset_tokens', ['token' => $given['token']]);

        $this->postJson('/api/password/reset', ['token' => 'another'] + $given + ['password' => self::NEW])->assertUnprocessable();
        $this->postJson('/api/password/reset', $given + ['password' => 'short'])->assertUnprocessable()->assertJsonStructure(['errors' => ['password']]);
        Contract::holds('POST', '/password/reset', $this->postJson('/api/password/reset', $given + ['password' => self::NEW])->assertOk()->assertJsonPath('user.email', $rook->email));
        $this->assertDatabaseMissing('sessions', ['id' => 'elsewhere']);
        $this->out();
        Contract::holds('POST', '/password/reset', $this->postJson('/api/password/reset', $given + ['password' => 'ten lords a-leaping'])->assertUnprocessable());
        $this->postJson('/api/sign-in', ['email' => $rook->email, 'password' => self::NEW])->assertOk();
    }

    public function test_a_link_runs_out_after_an_hour(): void
    {
        $rook = $this->rook();
        $token = app('auth.password.broker')->createToken($rook);
        $this->travel(61)->minutes();
        $this->postJson('/api/password/reset', ['email' => $rook->email, 'token' => $token, 'password' => self::NEW])->assertUnprocessable()->assertJsonPath('errors.token.0', 'This link has been used or has expired. Ask for another e-mail.');
    }

    public function test_the_end_of_an_account(): void
    {
        $rook = $this->rook();
        $this->person('other', Role::Keeper, $rook->garage);
        $this->actingAs($rook);
        Contract::holds('DELETE', '/me', $this->deleteJson('/api/me', ['password' => 'a guess of mine'])->assertUnprocessable());
        Contract::holds('DELETE', '/me', $this->deleteJson('/api/me', ['password' => self::OLD])->assertNoContent());

        $this->assertDatabaseMissing('users', ['id' => $rook->id]);
        $this->assertDatabaseHas('garages', ['name' => 'Rook yard']);
        $this->assertGuest();
    }

    public function test_accounts_at_the_command_line(): void
    {
        $this->artisan('harmozon:user', ['act' => 'add', 'email' => 'Bo@rook.example', '--name' => 'Bo', '--garage' => 'Rook yard', '--json' => true])->assertSuccessful();
        $bo = User::query()->where('email', 'bo@rook.example')->firstOrFail();
        self::assertSame(['Rook yard', Role::Keeper], [$bo->garage?->name, $bo->role()]);
        $this->artisan('harmozon:user', ['act' => 'add', 'email' => 'ida@rook.example', '--garage' => $bo->garage?->ulid, '--role' => 'reader'])->assertSuccessful()->expectsOutputToContain('Password, shown only now: ');
        $ida = User::query()->where('email', 'ida@rook.example')->firstOrFail();
        self::assertSame([$bo->garage_id, Role::Reader], [$ida->garage_id, $ida->role()]);

        $before = $bo->password;
        $this->artisan('harmozon:user', ['act' => 'password', 'email' => 'bo@rook.example'])->assertSuccessful();
        self::assertNotSame($before, $bo->refresh()->password);
        $this->artisan('harmozon:user', ['act' => 'list', '--json' => true])->assertSuccessful()->expectsOutputToContain('ida@rook.example');
        $this->artisan('harmozon:user', ['act' => 'remove', 'email' => 'ida@rook.example'])->assertSuccessful();
        $this->assertDatabaseMissing('users', ['email' => 'ida@rook.example']);

        foreach ([['act' => 'rename'], ['act' => 'add'], ['act' => 'add', 'email' => 'bo@rook.example'], ['act' => 'add', 'email' => 'bo'], ['act' => 'add', 'email' => 'x@lanternfish.example'], ['act' => 'add', 'email' => 'x@rook.example', '--role' => 'king'], ['act' => 'add', 'email' => 'x@rook.example', '--units' => 'cubits'], ['act' => 'password', 'email' => 'nobody@rook.example'], ['act' => 'remove', 'email' => 'nobody@rook.example']] as $bad) {
            $this->artisan('harmozon:user', $bad)->assertExitCode(2);
        }
        self::assertSame(1, User::query()->count());
    }

    private function rook(): User
    {
        return $this->person('rook', Role::Keeper, Garage::query()->create(['name' => 'Rook yard']));
    }

    /** @return string the id of the session, which the following requests carry */
    private function signIn(User $person): string
    {
        $cookie = $this->postJson('/api/sign-in', ['email' => $person->email, 'password' => self::OLD])->assertOk()->getCookie('harmozon_session');
        $this->app['auth']->forgetGuards();
        $this->withCredentials()->withCookie('harmozon_session', (string) $cookie?->getValue());

        return (string) $cookie?->getValue();
    }

    private function elsewhere(User $person, string $session, string $agent = 'Another browser'): void
    {
        DB::table('sessions')->insert(['id' => $session, 'user_id' => $person->id, 'ip_address' => '10.0.0.7', 'user_agent' => $agent, 'payload' => '', 'last_activity' => now()->getTimestamp()]);
    }

    private function out(): void
    {
        $this->postJson('/api/sign-out')->assertNoContent();
        $this->app['auth']->forgetGuards();
    }
}
