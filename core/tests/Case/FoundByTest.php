<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Case;

use Harmozon\Core\Case\CatalogueReader;
use Harmozon\Core\Catalogue\SearchWords;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Kinds are found by what people call them. */
final class FoundByTest extends TestCase
{
    /** @return iterable<string, array{string, list<string>, list<string>}> what is typed, kinds that are found, kinds that are not */
    public static function searches(): iterable
    {
        yield 'combo' => ['combo', ['ccs1-50', 'ccs2-350-500a'], ['chademo-50', 'post-type2-socket-1']];
        yield 'level 1' => ['level1', ['socket-5-15'], ['socket-14-50', 'ccs1-50']];
        yield 'level 2' => ['level2', ['socket-14-50', 'post-type1-240', 'gbt-ac'], ['socket-5-15', 'hub-third']];
        yield 'rapid' => ['rapid', ['ccs1-50', 'hub-third', 'chademo-50'], ['post-type2-tethered-3']];
        yield 'ultra' => ['ultra', ['ccs1-350-500a'], ['ccs1-50']];
        yield 'j1772' => ['j1772', ['post-type1-208', 'ccs1-50'], ['post-type2-socket-1']];
        yield 'nema 14-50' => ['nema 14-50', ['socket-14-50'], ['socket-5-15', 'socket-red-16']];
        yield 'commando' => ['commando', ['socket-blue-32', 'socket-red-16'], ['socket-household-230']];
        yield 'granny' => ['granny', ['socket-household-230', 'buy-5-15-type1'], ['ccs2-50']];
        yield 'nacs' => ['nacs', ['post-j3400-240', 'hub-second', 'buy-ccs1-j3400'], ['post-type1-240']];
        yield 'adaptor' => ['adaptor', ['buy-ccs1-chademo'], ['buy-5-15-type1']];
    }

    /**
     * @param  list<string>  $found
     * @param  list<string>  $not
     */
    #[DataProvider('searches')]
    public function test_what_people_type_finds_the_kind(string $typed, array $found, array $not): void
    {
        $words = [];
        $catalogue = (new CatalogueReader)->catalogue(self::shipped('charger-kinds'), self::shipped('adapter-kinds'));
        foreach ($catalogue->chargers() as $kind) {
            $words[$kind->id] = Say::voice()->paragraph(SearchWords::outlet($kind->outlet));
        }
        foreach ($catalogue->adapters() as $adapter) {
            $words[$adapter->id] = Say::voice()->paragraph(SearchWords::adapter($adapter));
        }
        $isFound = static fn (string $id): bool => array_filter(explode(' ', $typed), static fn (string $word): bool => ! str_contains($words[$id], $word)) === [];

        self::assertSame($found, array_values(array_filter($found, $isFound)));
        self::assertSame([], array_values(array_filter($not, $isFound)));
    }

    private static function shipped(string $name): string
    {
        return (string) file_get_contents(__DIR__."/../../catalogue/{$name}.json");
    }
}
