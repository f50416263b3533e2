<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Equipment;

use Harmozon\Core\Chain\FactKind;
use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is left of a shared cabinet, and which figure is asked for when that cannot be told. */
final class CabinetTest extends TestCase
{
    /** @param  array<string, mixed>  $cabinet */
    #[DataProvider('shares')]
    public function test_a_share(array $cabinet, ?float $beside, ?float $onceJoined): void
    {
        $outlet = Cases::read(Cases::file(outlet: ['cabinet' => ['kw' => 150, 'partner_active' => true, ...$cabinet]]))->outlet;

        self::assertSame([$beside, $onceJoined], [$outlet->feed->cabinet?->shareKw(), $outlet->feed->cabinet?->shareOnceJoinedKw()]);
    }

    /** @return iterable<string, array{array<string, mixed>, float|null, float|null}> kW beside a partner who was first, and once one arrives after us */
    public static function shares(): iterable
    {
        yield 'halves' => [['policy' => 'halves'], 75.0, 75.0];
        yield 'first come' => [['policy' => 'first_come', 'partner_kw' => 110], 40.0, INF];
        yield 'first come takes all' => [['policy' => 'first_come', 'partner_kw' => 200], 0.0, INF];
        // 6 blocks of 25 kW; 60 kW need 3 of them.
        yield 'blocks' => [['policy' => 'modules', 'partner_kw' => 60, 'module_kw' => 25], 75.0, 75.0];
        // 150 kW hold 4 whole blocks of 35 kW.
        yield 'blocks that do not fill the cabinet' => [['policy' => 'modules', 'partner_kw' => 35, 'module_kw' => 35], 105.0, 105.0];
        yield 'nobody knows how' => [['policy' => null], null, null];
        yield 'nobody knows how much' => [['policy' => 'halves', 'kw' => null], null, null];
        yield 'first come, the first unread' => [['policy' => 'first_come'], null, INF];
        yield 'blocks of a size unread' => [['policy' => 'modules', 'partner_kw' => 60], null, null];
        yield 'nobody there' => [['policy' => 'halves', 'partner_active' => false], null, 75.0];
    }

    /** @param  array<string, mixed>  $cabinet */
    #[DataProvider('questions')]
    public function test_the_missing_figure_is_asked_for_by_name(array $cabinet, string $path, FactKind $kind): void
    {
        $answer = Cases::answer(Cases::file(outlet: ['cabinet' => ['kw' => 150, 'partner_active' => true, ...$cabinet]]))->best;
        $asked = array_map(static fn (UnreadFact $u): array => [$u->path, $u->asked->kind(), $u->piece], $answer->limits->unread ?? []);

        self::assertSame([[$path, $kind, 'post']], $asked);
        self::assertStringContainsString('The kW shown is a maximum.', Say::all($answer->cautions()));
    }

    /** @return iterable<string, array{array<string, mixed>, string, FactKind}> */
    public static function questions(): iterable
    {
        yield 'how it shares' => [['policy' => null], 'cabinet.policy', FactKind::Sharing];
        yield 'its kW' => [['policy' => 'halves', 'kw' => null], 'cabinet.kw', FactKind::KiloWatts];
        yield 'its blocks' => [['policy' => 'modules', 'partner_kw' => 60], 'cabinet.module_kw', FactKind::KiloWatts];
        yield 'what the neighbour takes' => [['policy' => 'first_come'], 'cabinet.partner_kw', FactKind::KiloWatts];
    }

    /** @param  array<string, mixed>  $changes */
    #[DataProvider('ceilings')]
    public function test_every_unread_limit_says_where_to_read_it(array $changes, string $fact, string $piece): void
    {
        $answer = Cases::answer(Cases::changed(Cases::file(outlet: ['coupler' => 'j3400'], adapters: [[]]), $changes))->best;
        $unread = $answer->limits->unread ?? [];

        self::assertSame([[$fact, $piece]], array_map(static fn (UnreadFact $u): array => [Say::it($u->fact()), $u->piece], $unread));
        self::assertNotSame('', Say::it($unread[0]->where()));
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function ceilings(): iterable
    {
        yield 'the station' => [['outlet.max_a' => null], "the station's maximum current", 'post'];
        yield 'its kW' => [['outlet.max_kw' => null], "the station's maximum power", 'post'];
        yield "the inlet's amps" => [['vehicle.inlets.0.dc.max_a' => null], "the DC current limit of the car's inlet", 'car'];
        yield 'the curve' => [['vehicle.charge_curve_kw' => null], "the car's charge curve", 'car'];
    }
}
