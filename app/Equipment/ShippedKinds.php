<?php

declare(strict_types=1);

namespace App\Equipment;

use Harmozon\Core\Words\Languages;
use Illuminate\Support\Facades\App;

/** The shipped kinds in the words of the case file, as starting points for new pieces, in the language that is spoken now. */
final class ShippedKinds
{
    /** @return list<array{id: string, name: string}> of the groups of chargers, in order */
    public static function groups(): array
    {
        /** @var array{groups: list<array{id: string, name: string}>} $document read by the core before */
        $document = self::document('charger-kinds');

        return $document['groups'];
    }

    /** @return list<array{id: string, group: string, regions: list<string>, name: string, seen: string, read: list<string>, outlet: array<string, mixed>}> */
    public static function chargers(): array
    {
        /** @var array{kinds: list<array{id: string, group: string, regions: list<string>, name: string, seen: string, read: list<string>, outlet: array<string, mixed>}>} $document */
        $document = self::document('charger-kinds');

        return $document['kinds'];
    }

    /** @return list<array{id: string, name: string, adapter: array<string, mixed>}> */
    public static function adapters(): array
    {
        /** @var array{kinds: list<array{id: string, name: string, adapter: array<string, mixed>}>} $document */
        $document = self::document('adapter-kinds');

        return $document['kinds'];
    }

    /** A shipped catalogue as it is said in the language that is spoken now: `charger-kinds`, `adapter-kinds` or `car-kinds`. */
    public static function json(string $name): string
    {
        return Languages::ofCatalogue(App::getLocale(), (string) file_get_contents(base_path("core/catalogue/{$name}.json")));
    }

    private static function document(string $name): mixed
    {
        return json_decode(self::json($name), true, flags: JSON_THROW_ON_ERROR);
    }
}
