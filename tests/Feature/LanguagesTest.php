<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\Middleware\SpeakLanguage;
use App\Models\User;
use App\People\PasswordResetMail;
use App\Words\SpokenLanguage;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Language;
use Harmozon\Core\Words\Languages;
use Harmozon\Core\Words\Voice;
use Illuminate\Support\Facades\Notification;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** Whoever asks is answered in their language, and no language lacks a word that another has. */
final class LanguagesTest extends TestCase
{
    use StartsFromSeed;

    /** Messages with words that are the same in English: names of standards and connectors, units, countries. */
    private const SAME = [
        'de' => [
            'amount.hours', 'coupler_name.ccs1', 'coupler_name.ccs2', 'coupler_name.chademo', 'kind.null', 'print.boost', 'readings.as_hours', 'readings.as_minutes', 'region.china', 'region.japan',
            'socket_name.14-30', 'socket_name.14-50', 'socket_name.5-15', 'socket_name.5-20', 'socket_name.6-20', 'socket_name.tt-30',
            'standard.phases_industrial', 'standard.phases_one', 'standard.phases_type2', 'standard.volts_type2',
        ],
    ];

    /** @return iterable<string, array{string}> all but the first, which the others are compared with */
    public static function others(): iterable
    {
        foreach (array_keys(Languages::NAMES) as $tag) {
            if ($tag !== Languages::FIRST) {
                yield $tag => [$tag];
            }
        }
    }

    #[DataProvider('others')]
    public function test_no_message_is_missing_left_over_or_without_its_figures(string $tag): void
    {
        $english = SpokenLanguage::of(Languages::FIRST)->patterns;
        $other = SpokenLanguage::of($tag)->patterns;

        self::assertSame([], array_diff(array_keys($english), array_keys($other)), 'missing');
        self::assertSame([], array_diff(array_keys($other), array_keys($english)), 'left over');
        $differ = array_filter($english, static fn (string $pattern, string $code): bool => self::figures($pattern) !== self::figures($other[$code] ?? ''), ARRAY_FILTER_USE_BOTH);
        self::assertSame([], array_keys($differ));
        foreach ($other as $code => $pattern) {
            self::assertNotNull(\MessageFormatter::create($tag, $pattern), $code);
        }
    }

    #[DataProvider('others')]
    public function test_no_message_is_left_in_english(string $tag): void
    {
        $other = SpokenLanguage::of($tag)->patterns;
        $same = array_keys(array_filter(SpokenLanguage::of(Languages::FIRST)->patterns, static fn (string $pattern, string $code): bool => $pattern === $other[$code] && preg_match('/[a-z]{3}/i', (string) preg_replace('/\{[^}]*\}/', '', $pattern)) === 1, ARRAY_FILTER_USE_BOTH));
        sort($same);

        self::assertSame(self::SAME[$tag] ?? [], $same);
    }

    #[DataProvider('others')]
    public function test_the_catalogues_are_said_whole(string $tag): void
    {
        $phrases = Languages::catalogue($tag);
        $english = [];
        foreach (['charger', 'adapter', 'car'] as $of) {
            $document = json_decode((string) file_get_contents(base_path("core/catalogue/{$of}-kinds.json")), true);
            array_walk_recursive($document, static function (mixed $value, int|string $key) use (&$english): void {
                if (is_string($value) && ($key === 'name' || $key === 'seen' || is_int($key) && preg_match('/ [a-z]/', $value) === 1)) {
                    $english[$value] = true;
                }
            });
        }
        self::assertSame([], array_values(array_diff(array_keys($english), array_keys($phrases))), 'missing');
        self::assertSame([], array_values(array_diff(array_keys($phrases), array_keys($english))), 'left over');
    }

    public function test_a_visitor_is_answered_as_the_browser_says(): void
    {
        $told = fn (string $accepts): string => (string) $this->getJson('/api/me', ['Accept-Language' => $accepts])->assertUnauthorized()->json('message');

        self::assertSame('Du bist nicht angemeldet.', $told('de-AT,de;q=0.9,en;q=0.8'));
        self::assertSame("You aren't signed in.", $told('fr-FR,en;q=0.5,de;q=0.3'));
        self::assertSame("You aren't signed in.", $told('tlh'));
        self::assertSame('de', $this->getJson('/manifest.webmanifest', ['Accept-Language' => 'de'])->assertOk()->json('lang'));
        self::assertStringContainsString('<html lang="de">', (string) $this->get('/sign-in', ['Accept-Language' => 'de'])->getContent());
        self::assertStringContainsString('Das Feld E-Mail', (string) $this->postJson('/api/sign-in', ['email' => 'x', 'password' => 'y'], ['Accept-Language' => 'de'])->assertUnprocessable()->json('errors.email.0'));
    }

    public function test_what_was_chosen_on_the_device_comes_before_the_browser_and_after_the_person(): void
    {
        $person = $this->stranger();
        $told = fn (string $chosenHere): string => (string) $this->withCredentials()->withUnencryptedCookie(SpeakLanguage::DEVICE_COOKIE, $chosenHere)
            ->putJson('/api/me', ['language' => 7], ['Accept-Language' => 'en'])->json('errors.language.0');

        self::assertStringContainsString('<html lang="de">', (string) $this->withUnencryptedCookie(SpeakLanguage::DEVICE_COOKIE, 'de')->get('/sign-in', ['Accept-Language' => 'en'])->getContent());
        $this->actingAs($person);
        self::assertStringContainsString('Das Feld', $told('de'));
        self::assertStringContainsString('field', $told('tlh'));
        $person->forceFill(['language' => 'en'])->save();
        self::assertStringContainsString('field', $told('de'));
        $this->call('GET', '/sign-in', cookies: [SpeakLanguage::DEVICE_COOKIE => ['de']])->assertOk();
    }

    public function test_a_demo_says_that_it_is_everybodys(): void
    {
        self::assertFalse($this->actingAs($this->stranger())->getJson('/api/me')->json('user.is_demo'));
        $everybodys = User::query()->create(['name' => 'Rook', 'email' => 'rook'.config()->string('harmozon.demo_domain'), 'password' => 'the kettle is on again']);
        self::assertTrue($this->actingAs($everybodys->refresh())->getJson('/api/me')->json('user.is_demo'));
    }

    public function test_who_has_chosen_a_language_hears_it_from_every_browser_with_the_numbers_of_their_garage(): void
    {
        $person = $this->stranger();
        $this->actingAs($person)->putJson('/api/me', ['language' => 'xx'])->assertUnprocessable();
        self::assertSame('de', $this->putJson('/api/me', ['language' => 'de'])->assertOk()->json('user.language'));
        $names = fn (): TestResponse => $this->getJson('/api/catalogue', ['Accept-Language' => 'en'])->assertOk();

        self::assertStringContainsString('Haushaltssteckdose, 230 V', (string) json_encode($names()->json(), JSON_UNESCAPED_UNICODE));
        $refused = $this->putJson('/api/me/password', ['password' => 'x', 'new_password' => 'kurz'], ['Accept-Language' => 'en']);
        self::assertStringContainsString('Passwort', (string) json_encode($refused->json()));
        self::assertSame('7,3 kW', (new Voice(SpokenLanguage::of('de')->in('en-US')))->amount(Amount::kw(7.25)));
        $this->putJson('/api/me', ['language' => null])->assertOk();
        self::assertStringContainsString('Household socket, 230 V', (string) json_encode($names()->json()));
    }

    public function test_a_mail_is_in_the_language_of_whom_it_goes_to(): void
    {
        Notification::fake();
        $rook = $this->person('rook');
        $rook->forceFill(['language' => 'de'])->save();
        $this->postJson('/api/password/forgotten', ['email' => $rook->email], ['Accept-Language' => 'en'])->assertNoContent();

        Notification::assertSentTo($rook, PasswordResetMail::class, static function (PasswordResetMail $mail) use ($rook): bool {
            $sent = $mail->toMail($rook);
            self::assertSame('Ein neues Harmozon-Passwort setzen', $sent->subject);

            return true;
        });
        self::assertSame('de', User::query()->findOrFail($rook->id)->language);
    }

    /** @return list<string> in order */
    private static function figures(string $pattern): array
    {
        $figures = array_values(array_unique(array_map(lcfirst(...), Language::placeholders($pattern))));
        sort($figures);

        return $figures;
    }
}
