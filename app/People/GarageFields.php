<?php

declare(strict_types=1);

namespace App\People;

use Closure;
use Harmozon\Core\Catalogue\Region;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Validation\Rule;

/** Validates a garage's name, units and number format. */
final class GarageFields
{
    /** @return array<string, list<mixed>> */
    public static function rules(string $under = ''): array
    {
        return [
            "{$under}name" => ['required', 'string', 'max:120'],
            "{$under}currency" => ['required', ...self::habits()['currency']],
            "{$under}units" => ['required', ...self::habits()['units']],
            "{$under}locale" => ['required', ...self::habits()['locale']],
            "{$under}timezone" => self::habits()['timezone'],
            "{$under}region" => self::habits()['region'],
        ];
    }

    /** @return array{units: list<mixed>, locale: list<mixed>, region: list<mixed>, timezone: list<mixed>, currency: list<mixed>} by column, where they are given */
    public static function habits(): array
    {
        return [
            'units' => ['string', Rule::in(['metric', 'us'])],
            'locale' => ['string', self::knownLocale(...)],
            'region' => ['string', Rule::enum(Region::class)],
            'timezone' => ['string', 'timezone:all'],
            'currency' => ['string', 'regex:/^[A-Z]{3}$/'],
        ];
    }

    /** A regional variant of English that ICU knows. */
    public static function knownLocale(string $field, mixed $locale, Closure $fail): void
    {
        if (! is_string($locale) || preg_match('/^en-[A-Z0-9]{2,3}$/', $locale) !== 1 || ! in_array(str_replace('-', '_', $locale), (array) \ResourceBundle::getLocales(''), true)) {
            $fail(app(Voice::class)->say(Message::of('app.no_such_locale')));
        }
    }
}
