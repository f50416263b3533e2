<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Fit;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Fit\Answer;
use Harmozon\Core\Fit\PackingList;
use Harmozon\Core\Tests\Cases;
use PHPUnit\Framework\TestCase;

/** What to take along on a journey. */
final class PackingListTest extends TestCase
{
    private const KIT = [
        ['id' => 'spare', 'input' => 'ccs2'], ['id' => 'ac', 'input' => 'j3400', 'output' => 'type1', 'current' => 'ac'], ['id' => 'dc'],
    ];

    public function test_what_the_best_answers_go_through_is_packed_in_the_order_of_the_kit(): void
    {
        $stops = [self::at(['coupler' => 'j3400']), self::at([]), self::at(['coupler' => 'j3400', 'signalling' => ['pwm']], Cases::AC_POST)];

        self::assertSame(['ac', 'dc'], self::packed($stops));
        self::assertSame(['dc'], self::packed([$stops[0]]));
        self::assertSame([], self::packed([$stops[1]]));
        self::assertSame([], self::packed([]));
    }

    public function test_an_adapter_of_which_something_must_be_checked_is_packed_and_one_that_helps_nobody_is_not(): void
    {
        self::assertSame(['dc'], self::packed([self::at(['coupler' => 'j3400', 'signalling' => null])]));
        self::assertSame([], self::packed([self::at(['coupler' => 'j3400', 'signalling' => ['can_legacy']])]));
    }

    public function test_the_stations_own_stays_where_it_is(): void
    {
        $attached = [...Cases::ADAPTER, 'id' => 'attached'];

        self::assertSame([], self::packed([self::at(['coupler' => 'j3400', 'attached_adapter' => $attached], kit: [])]));
    }

    /**
     * @param  list<Answer>  $stops
     * @return list<string>
     */
    private static function packed(array $stops): array
    {
        return array_map(static fn (Adapter $a): string => $a->id, PackingList::of($stops, Cases::read(Cases::file(adapters: self::KIT))->adapters));
    }

    /**
     * @param  array<string, mixed>  $outlet
     * @param  array<string, mixed>  $post
     * @param  list<array<string, mixed>>  $kit
     */
    private static function at(array $outlet, array $post = Cases::DC_POST, array $kit = self::KIT): Answer
    {
        return Cases::answer(Cases::file(outlet: $outlet, adapters: $kit, post: $post));
    }
}
