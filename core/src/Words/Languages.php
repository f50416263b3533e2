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

    private const JSON_TEXT = '/"(?:[^"\\\\]|\\\\.)*"/';

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

    /** @return array<string, string> what the catalogues say, by what they say in English; nothing for English */
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
     * A catalogue with its names and what is seen and read in another language. No key, code or figure of it is a phrase.
     *
     * @param  string  $json  as shipped, in English
     */
    public static function ofCatalogue(string $tag, string $json): string
    {
        $phrases = self::catalogue($tag);
        if ($phrases === []) {
            return $json;
        }

        return (string) preg_replace_callback(self::JSON_TEXT, static function (array $text) use ($phrases): string {
            $english = json_decode($text[0]);
            $said = is_string($english) ? $phrases[$english] ?? null : null;

            return $said === null ? $text[0] : (string) json_encode($said, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
        }, $json);
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
