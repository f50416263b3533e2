<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Equipment;

use Harmozon\Core\Equipment\AdapterNeed;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\TestCase;

final class AdapterNeedTest extends TestCase
{
    private const ACTIVE = ['input' => 'ccs1', 'output' => 'chademo', 'translates' => ['from' => ['plc'], 'to' => ['can_chademo']]];

    private const EVERYTHING = ['recalled' => true, 'damaged' => true, 'test_overdue' => true, 'battery_ok' => false, 'lent_to' => 'Ida'];

    public function test_the_most_pressing_need_is_named(): void
    {
        $left = self::EVERYTHING;
        $named = [];
        foreach (array_keys(self::EVERYTHING) as $fact) {
            $named[] = self::need([...self::ACTIVE, ...$left]);
            unset($left[$fact]);
        }

        self::assertSame(['recall', 'inspection', 'overdue_test', 'charge', 'return'], $named);
        self::assertNull(self::need(self::ACTIVE));
    }

    public function test_only_a_recalled_or_damaged_one_must_not_be_used(): void
    {
        self::assertSame([AdapterNeed::Recall, AdapterNeed::Inspection], array_values(array_filter(AdapterNeed::cases(), static fn (AdapterNeed $n): bool => $n->forbidsUse())));
    }

    public function test_what_nobody_has_read_is_no_need(): void
    {
        self::assertNull(self::need(array_map(static fn (): null => null, self::EVERYTHING)));
        self::assertNull(self::need(['battery_ok' => false]), 'a passive adapter has no battery');
    }

    public function test_a_borrower_is_named(): void
    {
        $adapter = Cases::read(Cases::file(adapters: [['lent_to' => "Ida O'Hare"]]))->adapters[0];

        self::assertSame("Lent to Ida O'Hare", Say::voice()->say(AdapterNeed::Return->message($adapter)));
    }

    /** @param  array<string, mixed>  $facts */
    private static function need(array $facts): ?string
    {
        return AdapterNeed::of(Cases::read(Cases::file(adapters: [['recalled' => false, 'damaged' => false, ...$facts]]))->adapters[0])?->value;
    }
}
