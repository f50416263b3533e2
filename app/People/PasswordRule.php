<?php

declare(strict_types=1);

namespace App\People;

use Closure;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Contracts\Validation\DataAwareRule;
use Illuminate\Contracts\Validation\ValidationRule;
use Illuminate\Support\Str;

/**
 * Requirements for a password (OWASP ASVS 4.0.3, V2.1): long, any characters, and not a common one. There are no rules
 * about its composition.
 */
final class PasswordRule implements DataAwareRule, ValidationRule
{
    public const SHORTEST = 12;

    public const LONGEST = 128;

    /** The first 16 hexadecimal digits of the SHA-256 of common lower-case passwords, one per line, sorted. */
    private const COMMON = __DIR__.'/common-passwords.txt';

    private const HASH_DIGITS = 16;

    /** Passwords with fewer different characters are a pattern. */
    private const LEAST_DIFFERENT = 5;

    /** Shorter parts occur in many words by chance. */
    private const SHORTEST_NAME = 4;

    /** Fewer characters than this besides a name are too easy to guess. */
    private const LEAST_BESIDE_NAME = 7;

    /** @var array<array-key, mixed> */
    private array $typed = [];

    /** @param  list<string>  $own  words that belong to the person, beside the name and address typed with it */
    public function __construct(private readonly Voice $voice, private readonly array $own = [])
    {
    }

    /** @param  array<array-key, mixed>  $data */
    public function setData(array $data): static
    {
        $this->typed = $data;

        return $this;
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $problem = is_string($value) ? $this->problem($value) : Message::of('app.password_text');
        if ($problem !== null) {
            $fail($this->voice->say($problem));
        }
    }

    private function problem(string $password): ?Message
    {
        $length = mb_strlen($password);

        return match (true) {
            ! mb_check_encoding($password, 'UTF-8') => Message::of('app.password_text'),
            $length < self::SHORTEST => Message::of('app.password_short', least: Amount::count(self::SHORTEST)),
            $length > self::LONGEST => Message::of('app.password_long', most: Amount::count(self::LONGEST)),
            self::isPattern($password) => Message::of('app.password_pattern'),
            $this->names($password) !== null => Message::of('app.password_name', name: $this->names($password)),
            self::isCommon($password) => Message::of('app.password_common'),
            default => null,
        };
    }

    private static function isPattern(string $password): bool
    {
        $characters = mb_str_split(Str::lower($password));

        return count(array_unique($characters)) < self::LEAST_DIFFERENT || preg_match('/^(.{1,6})\1+$/u', Str::lower($password)) === 1;
    }

    /** The name it contains: the person's, their e-mail's, or Harmozon. */
    private function names(string $password): ?string
    {
        $words = ['harmozon', ...$this->own];
        foreach (['name', 'email'] as $field) {
            $typed = $this->typed[$field] ?? null;
            if (is_string($typed)) {
                array_push($words, Str::before($typed, '@'), ...Str::of($typed)->split('/[^\pL\pN]+/u'));
            }
        }
        foreach ($words as $word) {
            if (mb_strlen($word) >= self::SHORTEST_NAME && mb_strlen(str_replace(Str::lower($word), '', Str::lower($password))) <= self::LEAST_BESIDE_NAME && Str::contains($password, $word, ignoreCase: true)) {
                return $word;
            }
        }

        return null;
    }

    /** Whether it is a common one, ignoring digits and punctuation around it. */
    private static function isCommon(string $password): bool
    {
        $hashes = "\n".file_get_contents(self::COMMON);
        $plain = Str::lower($password);
        foreach ([$plain, trim($plain, '0123456789!?.,-_*#$ ')] as $tried) {
            if ($tried !== '' && str_contains($hashes, "\n".substr(hash('sha256', $tried), 0, self::HASH_DIGITS)."\n")) {
                return true;
            }
        }

        return false;
    }
}
