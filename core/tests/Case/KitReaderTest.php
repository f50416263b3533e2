<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Case;

use Harmozon\Core\Case\CatalogueReader;
use Harmozon\Core\Case\KitReader;
use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Kit\KitQuestion;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class KitReaderTest extends TestCase
{
    public function test_a_garage_is_read_as_a_question_about_its_kit(): void
    {
        $question = self::question(['candidates' => [Cases::changed(Cases::ADAPTER, ['id' => 'new'])], 'outlets' => [['place' => 'harbour', ...Cases::DC_POST], [...Cases::DC_POST, 'id' => 'other']], 'settings' => ['currency' => 'EUR']], ['car', 'car']);

        self::assertSame(['harbour', 'other'], array_map(static fn ($o): string => $o->place, $question->outlets), 'a post without a place is one of its own');
        self::assertSame(['new'], array_map(static fn (Adapter $a): string => $a->id, $question->candidates));
        self::assertSame(['car'], $question->travel->together);
        self::assertSame('EUR', $question->currency);
    }

    public function test_without_candidates_the_shipped_kinds_are_for_sale(): void
    {
        self::assertGreaterThan(3, count(self::question([])->candidates));
    }

    /** @return iterable<string, array{array<string, mixed>, list<string>, string}> */
    public static function refused(): iterable
    {
        $new = Cases::changed(Cases::ADAPTER, ['id' => 'new']);
        yield 'no car' => [['vehicles' => []], [], 'vehicles: '];
        yield 'no charger' => [['outlets' => []], [], 'outlets: '];
        yield 'a candidate that is owned' => [['candidates' => [Cases::ADAPTER]], [], 'candidates[0].id: '];
        yield 'a candidate twice' => [['candidates' => [$new, $new]], [], 'candidates[1].id: '];
        yield 'an unknown car on the journey' => [[], ['boat'], 'together: '];
    }

    /**
     * @param  array<string, mixed>  $changes
     * @param  list<string>  $together
     */
    #[DataProvider('refused')]
    public function test_what_is_no_question_is_refused_by_its_field(array $changes, array $together, string $begins): void
    {
        self::assertStringStartsWith($begins, Say::refusal(static fn () => self::question($changes, $together)));
    }

    /**
     * @param  array<string, mixed>  $changes
     * @param  list<string>  $together
     */
    private static function question(array $changes, array $together = []): KitQuestion
    {
        $garage = ['format' => 'harmozon/garage', 'version' => 1, 'vehicles' => [Cases::CAR], 'adapters' => [Cases::ADAPTER], 'outlets' => [Cases::DC_POST], 'policy' => 'certified', ...$changes];

        return (new KitReader(self::catalogue()))->question(Node::of($garage), $together);
    }

    private static function catalogue(): Catalogue
    {
        $json = static fn (string $name): string => (string) file_get_contents(dirname(__DIR__, 2)."/catalogue/{$name}.json");

        return (new CatalogueReader)->catalogue($json('charger-kinds'), $json('adapter-kinds'));
    }
}
