<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Words;

use Harmozon\Core\Words\Languages;
use PHPUnit\Framework\TestCase;

final class LanguagesTest extends TestCase
{
    public function test_the_first_language_that_is_spoken_here_is_taken(): void
    {
        self::assertSame(['de', 'de', 'en', 'en', 'en'], array_map(Languages::best(...), [['fr', 'de-AT', 'en'], ['DE_CH'], ['en-GB', 'de'], ['fr', '*', ''], []]));
    }

    /** A key, a code and a figure stay; a phrase that isn't there stays English. */
    public function test_a_catalogue_says_its_phrases_in_another_language_and_nothing_else(): void
    {
        $json = '{"group": {"name": "Sockets", "id": "sockets", "kw": 11, "seen": "no such phrase"}}';

        self::assertSame('{"group": {"name": "Steckdosen", "id": "sockets", "kw": 11, "seen": "no such phrase"}}', Languages::ofCatalogue('de', $json));
        self::assertSame($json, Languages::ofCatalogue('en', $json));
    }

    public function test_every_language_has_the_same_messages(): void
    {
        self::assertSame([], array_diff_key(Languages::words('en')->patterns, Languages::words('de')->patterns));
        self::assertSame([], array_diff_key(Languages::words('de')->patterns, Languages::words('en')->patterns));
    }
}
