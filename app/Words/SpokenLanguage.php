<?php

declare(strict_types=1);

namespace App\Words;

use Harmozon\Core\Words\Language;
use Harmozon\Core\Words\Languages;

/** The words of a language, the application's own with those of the core. */
final class SpokenLanguage
{
    /** @var array<string, Language> */
    private static array $read = [];

    /** @param  string  $tag  of {@see Languages::NAMES} */
    public static function of(string $tag): Language
    {
        return self::$read[$tag] ??= self::read($tag);
    }

    private static function read(string $tag): Language
    {
        /** @var array<string, string> $own */
        $own = require app_path("Words/{$tag}.php");

        return Languages::words($tag)->with($own);
    }
}
