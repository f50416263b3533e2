<?php

declare(strict_types=1);

namespace Harmozon\Core\Words;

/** The languages that Harmozon speaks. Another one is its folder of words (`words/`, `catalogue/`) and a line here. */
final class Languages
{
    /** Each by its tag (BCP 47), with the name that its speakers know it by. */
    public const NAMES = [
        'en' => 'English',
        'de' => 'Deutsch',
    ];

    public const FIRST = 'en';

    /** One file of patterns a room: ICU's message format, by the code of the message. */
    private const ROOMS = ['Bench', 'Case', 'Chain', 'Drills', 'Equipment', 'Fit', 'Forecast', 'Json', 'Kit', 'Ocpi', 'Power', 'Readings', 'Record', 'Review', 'Steps', 'Words'];

    /** @param  string  $tag  of {@see NAMES} */
    public static function words(string $tag): Language
    {
        $patterns = [];
        foreach (self::ROOMS as $room) {
            /** @var array<string, string> $ofRoom */
            $ofRoom = require __DIR__."/../../words/{$tag}/{$room}.php";
            $patterns += $ofRoom;
        }

        return new Language($tag, $patterns);
    }

    /** @return array<string, string> what the catalogues say, by what they say in English */
    public static function catalogue(string $tag): array
    {
        if ($tag === self::FIRST) {
            return [];
        }
        /** @var array<string, string> $phrases */
        $phrases = require __DIR__."/../../catalogue/{$tag}.php";

        return $phrases;
    }

    /**
     * The first of somebody's languages that is spoken here; English where none is.
     *
     * @param  iterable<string>  $wanted  BCP 47, such as `de-AT`, the dearest first
     */
    public static function best(iterable $wanted): string
    {
        foreach ($wanted as $tag) {
            $language = strtolower((string) strtok(str_replace('_', '-', $tag), '-'));
            if (isset(self::NAMES[$language])) {
                return $language;
            }
        }

        return self::FIRST;
    }
}
