<?php

declare(strict_types=1);

namespace Tests;

/** Every pattern that a person may read, from the core, the application and the page, by its code. */
final class EveryWord
{
    private const PAGE = '/^\s*\'?([a-z0-9_.]+)\'?:\s*(?:\'((?:[^\'\\\\]|\\\\.)*)\'|"((?:[^"\\\\]|\\\\.)*)"),$/m';

    /**
     * @param  string  $language  whose folders of words are read
     * @return array<string, array<string, string>> rooms by their names, in the order in which they are read
     */
    public static function rooms(string $language = 'en'): array
    {
        $root = dirname(__DIR__);
        $rooms = [];
        foreach (glob("{$root}/core/words/{$language}/*.php") ?: [] as $file) {
            /** @var array<string, string> $patterns */
            $patterns = require $file;
            $rooms['Core: '.basename($file, '.php')] = $patterns;
        }
        /** @var array<string, string> $ofApplication */
        $ofApplication = require "{$root}/app/Words/{$language}.php";

        return [
            ...$rooms,
            'Catalogue: kinds of charger' => self::ofCatalogue("{$root}/core/catalogue/charger-kinds.json", $language),
            'Application: errors, mails, commands, print' => $ofApplication,
            'Page: board, account, plates' => self::ofPage("{$root}/resources/js/words/{$language}.ts"),
            'Page: glossary' => self::ofPage("{$root}/resources/js/words/{$language}.glossary.ts"),
            'Page: the other stages' => self::ofPage("{$root}/resources/js/words/{$language}.later.ts"),
        ];
    }

    /** @return array<string, string> what is seen of a kind, and what to read on it */
    private static function ofCatalogue(string $file, string $language): array
    {
        /** @var array<string, string> $spoken by the English */
        $spoken = $language === 'en' ? [] : require dirname($file)."/{$language}.php";
        $words = [];
        foreach ((array) json_decode((string) file_get_contents($file), true)['kinds'] as $kind) {
            $words["kind.{$kind['id']}"] = implode('. ', array_map(static fn (string $w): string => $spoken[$w] ?? $w, [$kind['name'], $kind['seen'], ...$kind['read']]));
        }

        return $words;
    }

    /** @return array<string, string> */
    private static function ofPage(string $file): array
    {
        preg_match_all(self::PAGE, (string) file_get_contents($file), $found, PREG_SET_ORDER);

        return array_column(array_map(static fn (array $f): array => [$f[1], stripslashes($f[3] ?? $f[2])], $found), 1, 0);
    }
}
