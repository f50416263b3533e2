<?php

declare(strict_types=1);

namespace Harmozon\Core\Catalogue;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** Where a garage is: it decides which kinds of charger come first. */
enum Region: string implements Term
{
    case NorthAmerica = 'north-america';
    case Europe = 'europe';
    case Uk = 'uk';
    case China = 'china';
    case Japan = 'japan';
    case Oceania = 'oceania';
    case Elsewhere = 'elsewhere';

    /** The European Union, its neighbours with the same connectors, and the small states between them (ISO 3166-1). */
    private const EUROPE = [
        'AD', 'AL', 'AT', 'BA', 'BE', 'BG', 'CH', 'CY', 'CZ', 'DE', 'DK', 'EE', 'ES', 'FI', 'FO', 'FR', 'GR', 'HR', 'HU', 'IE', 'IS', 'IT', 'LI', 'LT', 'LU', 'LV', 'MC', 'MD', 'ME', 'MK',
        'MT', 'NL', 'NO', 'PL', 'PT', 'RO', 'RS', 'SE', 'SI', 'SK', 'SM', 'TR', 'UA', 'VA', 'XK',
    ];

    /** @param  string|null  $country  ISO 3166-1 alpha-2; null when not known */
    public static function ofCountry(?string $country): self
    {
        return match (true) {
            in_array($country, ['US', 'CA', 'MX', 'PR'], true) => self::NorthAmerica,
            in_array($country, ['GB', 'GG', 'GI', 'IM', 'JE'], true) => self::Uk,
            in_array($country, ['CN', 'MO'], true) => self::China,
            $country === 'JP' => self::Japan,
            in_array($country, ['AU', 'NZ'], true) => self::Oceania,
            in_array($country, self::EUROPE, true) => self::Europe,
            default => self::Elsewhere,
        };
    }

    /**
     * By the country of a time zone; if it has none, by the country of the locale.
     *
     * @param  string|null  $timezone  IANA name
     * @param  string|null  $locale  BCP 47 with a country: `en-GB`
     */
    public static function guess(?string $timezone, ?string $locale): self
    {
        $zone = $timezone === null || ! in_array($timezone, \DateTimeZone::listIdentifiers(\DateTimeZone::ALL_WITH_BC), true) ? false : (new \DateTimeZone($timezone))->getLocation();
        $country = is_array($zone) ? $zone['country_code'] : '??';

        return self::ofCountry($country === '??' ? substr($locale ?? '', -2) : $country);
    }

    public function message(): Message
    {
        return Message::of('region.'.$this->value);
    }
}
