<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Kit;

use Harmozon\Core\Equipment\NetworkSetUp;
use Harmozon\Core\Equipment\SetUpState;
use Harmozon\Core\Fit\Answer;
use Harmozon\Core\Kit\PackedNetwork;
use Harmozon\Core\Kit\PackedPiece;
use Harmozon\Core\Kit\PackingList;
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

    public function test_every_piece_and_network_names_the_places_that_need_it(): void
    {
        $active = ['id' => 'active', 'battery_ok' => false, 'input' => 'ccs1', 'output' => 'chademo', 'translates' => ['from' => ['plc'], 'to' => ['can_chademo']]];
        $list = self::list([
            self::at(['coupler' => 'j3400', 'access' => ['kind' => 'account', 'network' => 'Fernway']]),
            self::at(['access' => ['kind' => 'account', 'network' => 'Ostler']]),
            self::at(['coupler' => 'j3400']),
        ], [new NetworkSetUp('fernway ', ['app' => SetUpState::Done, 'card' => SetUpState::ToDo], '555 0100')]);

        self::assertSame([['dc', ['p0', 'p2'], false]], array_map(static fn (PackedPiece $p): array => [$p->adapter->id, $p->places, $p->isToCharge()], $list->pieces));
        self::assertSame([['Fernway', ['p0'], ['card'], ['app'], false, '555 0100'], ['Ostler', ['p1'], [], [], false, null]], array_map(static fn (PackedNetwork $n): array => [
            $n->name, $n->places, array_column($n->toDo, 'value'), array_column($n->have, 'value'), $n->isLookedAt, $n->helpLine,
        ], $list->networks));
        self::assertTrue((new PackedPiece(Cases::read(Cases::file(adapters: [$active]))->adapters[0], []))->isToCharge());
    }

    /**
     * @param  list<Answer>  $stops
     * @param  list<NetworkSetUp>  $setUps
     */
    private static function list(array $stops, array $setUps = []): PackingList
    {
        return PackingList::of(array_map(static fn (Answer $a, int $n): array => ["p{$n}", $a], $stops, array_keys($stops)), Cases::read(Cases::file(adapters: self::KIT))->adapters, $setUps);
    }

    /**
     * @param  list<Answer>  $stops
     * @return list<string>
     */
    private static function packed(array $stops): array
    {
        return array_map(static fn (PackedPiece $p): string => $p->adapter->id, self::list($stops)->pieces);
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
