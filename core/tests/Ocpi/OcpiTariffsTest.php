<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Ocpi;

use Harmozon\Core\Case\EquipmentReader;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Ocpi\FigureChange;
use Harmozon\Core\Ocpi\FilePlace;
use Harmozon\Core\Ocpi\KnownOutlet;
use Harmozon\Core\Ocpi\LocationsFile;
use Harmozon\Core\Ocpi\LocationsReader;
use Harmozon\Core\Ocpi\PlaceDifference;
use Harmozon\Core\Ocpi\TariffsFile;
use Harmozon\Core\Ocpi\TariffsReader;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class OcpiTariffsTest extends TestCase
{
    /**
     * @param  list<array<string, mixed>>  $elements
     * @param  array<string, mixed>  $expected
     * @param  list<string>  $leftOpen
     */
    #[DataProvider('elements')]
    public function test_a_tariff_becomes_the_price_of_an_outlet(array $elements, array $expected, array $leftOpen = []): void
    {
        $file = self::tariffs([['elements' => $elements]]);

        self::assertEquals(['currency' => 'EUR', 'idle_grace_minutes' => null, ...$expected], $file->priceOf('NL*ABC', ['T1']));
        self::assertSame($leftOpen, Say::voice()->each($file->leftOpen));
        // The core reads it as it reads any plate.
        $outlet = (new EquipmentReader)->outlet(Node::of(['id' => 'o', 'coupler' => 'ccs2', 'current' => 'dc', 'tariff' => $file->priceOf('NL*ABC', ['T1'])]));
        self::assertSame($expected['per_kwh'], $outlet->site->tariff?->perKwh);
    }

    /** @return iterable<string, array{0: list<array<string, mixed>>, 1: array<string, mixed>, 2?: list<string>}> */
    public static function elements(): iterable
    {
        $free = ['per_kwh' => '0', 'per_minute' => '0', 'session_fee' => '0', 'idle_per_minute' => '0'];
        $part = static fn (string $type, float $price, ?float $vat = null, int $step = 1): array => ['type' => $type, 'price' => $price, 'step_size' => $step, ...($vat === null ? [] : ['vat' => $vat])];

        yield 'energy alone; the rest is not charged for' => [[['price_components' => [$part('ENERGY', 0.45)]]], [...$free, 'per_kwh' => '0.45']];
        // 0.50 and 21 %: 0.605; 3 an hour and 21 %: 0.0605 a minute; 1 and 0 %: 1.
        yield 'with VAT, time by the minute' => [[['price_components' => [$part('ENERGY', 0.5, 21), $part('TIME', 3, 21), $part('FLAT', 1, 0)]]], ['per_kwh' => '0.605', 'per_minute' => '0.0605', 'session_fee' => '1', 'idle_per_minute' => '0']];
        // 1/3 and 19 %: 0.396667 to six decimals; a billionth is nothing.
        yield 'more decimals than a plate has' => [[['price_components' => [['type' => 'ENERGY', 'price' => 0.3333333333, 'vat' => 19], ['type' => 'FLAT', 'price' => 1e-9]]]], [...$free, 'per_kwh' => '0.396667']];
        yield 'a price as text' => [[['price_components' => [['type' => 'ENERGY', 'price' => '0.40']]]], [...$free, 'per_kwh' => '0.4']];
        yield 'an idle fee of 6 an hour, in other elements' => [[['price_components' => [$part('ENERGY', 0.3)]], ['price_components' => [$part('PARKING_TIME', 6)]]], [...$free, 'per_kwh' => '0.3', 'idle_per_minute' => '0.1']];
        yield 'the first price counts where it has no condition' => [[['price_components' => [$part('ENERGY', 0.3)]], ['price_components' => [$part('ENERGY', 0.9)], 'restrictions' => ['start_time' => '17:00']]], [...$free, 'per_kwh' => '0.3']];
        yield 'dearer in the evening: not one price' => [
            [['price_components' => [$part('ENERGY', 0.9)], 'restrictions' => ['start_time' => '17:00', 'end_time' => '22:00']], ['price_components' => [$part('ENERGY', 0.3), $part('FLAT', 2)]]],
            [...$free, 'per_kwh' => null, 'session_fee' => '2'],
            ['Tariff T1: the price per kWh changes with the time of day or the session, so it stays "not known"'],
        ];
        yield 'minutes by power' => [
            [['price_components' => [$part('TIME', 12)], 'restrictions' => ['max_power' => 60]], ['price_components' => [$part('TIME', 24)], 'restrictions' => ['min_power' => 60]]],
            [...$free, 'per_minute' => null, 'minute_bands' => [['from_kw' => 0.0, 'per_minute' => '0.2'], ['from_kw' => 60.0, 'per_minute' => '0.4']]],
        ];
        yield 'minutes by power, the rest as a fallback' => [
            [['price_components' => [$part('TIME', 24)], 'restrictions' => ['min_power' => 60, 'max_power' => 100]], ['price_components' => [$part('TIME', 12)]]],
            [...$free, 'per_minute' => null, 'minute_bands' => [['from_kw' => 0.0, 'per_minute' => '0.2'], ['from_kw' => 60.0, 'per_minute' => '0.4'], ['from_kw' => 100.0, 'per_minute' => '0.2']]],
        ];
        yield 'minutes by power, with a gap in which a minute is free, and equal neighbours' => [
            [['price_components' => [$part('TIME', 12)], 'restrictions' => ['max_power' => 20]], ['price_components' => [$part('TIME', 12)], 'restrictions' => ['min_power' => 20, 'max_power' => 40]], ['price_components' => [$part('TIME', 24)], 'restrictions' => ['min_power' => 60]]],
            [...$free, 'per_minute' => null, 'minute_bands' => [['from_kw' => 0.0, 'per_minute' => '0.2'], ['from_kw' => 40.0, 'per_minute' => '0'], ['from_kw' => 60.0, 'per_minute' => '0.4']]],
        ];
        yield 'minutes by power and by the clock' => [
            [['price_components' => [$part('TIME', 24)], 'restrictions' => ['min_power' => 60, 'day_of_week' => ['MONDAY']]], ['price_components' => [$part('TIME', 12)]]],
            [...$free, 'per_minute' => null],
            ['Tariff T1: the price per minute changes with the time of day or the session, so it stays "not known"'],
        ];
        yield 'one band that is always there is no band' => [[['price_components' => [$part('TIME', 12)], 'restrictions' => ['min_power' => 0]]], [...$free, 'per_minute' => '0.2']];
        yield 'a reservation is no session; empty conditions are none' => [
            [['price_components' => [$part('FLAT', 9)], 'restrictions' => ['reservation' => 'RESERVATION']], ['price_components' => [$part('FLAT', 1)], 'restrictions' => ['day_of_week' => []]]],
            [...$free, 'session_fee' => '1'],
        ];
        yield 'by more than a kWh' => [[['price_components' => [$part('ENERGY', 0.1, null, 1001)]]], [...$free, 'per_kwh' => '0.1'], ['Tariff T1: the price per kWh is charged in larger steps, which are not counted']];
        yield 'by the quarter of an hour' => [[['price_components' => [$part('TIME', 12, null, 900), $part('ENERGY', 0.1, null, 1000)]]], [...$free, 'per_minute' => '0.2', 'per_kwh' => '0.1'], ['Tariff T1: the price per minute is charged in larger steps, which are not counted']];
    }

    public function test_what_is_not_for_everyone_or_not_for_now_is_no_price(): void
    {
        $file = self::tariffs([
            ['id' => 'A', 'type' => 'PROFILE_CHEAP'], ['id' => 'B', 'end_date_time' => '2026-06-01T00:00:00Z'], ['id' => 'C', 'start_date_time' => '2026-06-02T00:00:00'],
            ['id' => 'E', 'elements' => []], ['id' => 'F', 'elements' => [['price_components' => [['type' => 'FLAT', 'price' => 9, 'step_size' => 1]], 'restrictions' => ['reservation' => 'RESERVATION']]]],
            ['id' => 'D', 'type' => 'REGULAR', 'start_date_time' => '2026-06-01T00:00:00Z', 'max_price' => ['excl_vat' => 20]],
        ]);

        self::assertNull($file->priceOf('NL*ABC', ['A', 'B', 'C', 'E', 'F']), 'and what has no price is not free');
        self::assertNotNull($file->priceOf('NL*ABC', ['A', 'D']));
        self::assertNull($file->priceOf('NL*OTHER', ['D']), "another network's tariff of the same name");
        self::assertSame([
            'Tariff A is for certain contracts only; it was not used', 'Tariff B is not valid now; it was not used', 'Tariff C is not valid now; it was not used',
            'Tariff E has no price for a session; it was not used', 'Tariff F has no price for a session; it was not used',
            'Tariff D has a minimum or maximum price per session, which is not counted',
        ], Say::voice()->each($file->leftOpen));
    }

    /** @param  array<string, mixed>  $tariff */
    #[DataProvider('validities')]
    public function test_a_tariff_holds_from_its_start_until_its_end_and_for_everyone_with_it(array $tariff, bool $isPriced): void
    {
        self::assertSame($isPriced, self::tariffs([$tariff])->priceOf('NL*ABC', ['T1']) !== null);
    }

    /** @return iterable<string, array{array<string, mixed>, bool}> now is noon */
    public static function validities(): iterable
    {
        yield 'begins now' => [['start_date_time' => '2026-06-01T12:00:00Z'], true];
        yield 'begins in a second' => [['start_date_time' => '2026-06-01T12:00:01Z'], false];
        yield 'ends now' => [['end_date_time' => '2026-06-01T12:00:00Z'], false];
        yield 'ends in a second' => [['end_date_time' => '2026-06-01T12:00:01Z'], true];
        yield 'for who pays at the charger' => [['type' => 'AD_HOC_PAYMENT'], true];
        foreach (['PROFILE_CHEAP', 'PROFILE_FAST', 'PROFILE_GREEN'] as $type) {
            yield $type => [['type' => $type], false];
        }
        yield 'of a file that names no party' => [['country_code' => null, 'party_id' => null], true];
    }

    public function test_a_least_price_for_a_session_is_named_too(): void
    {
        self::assertSame(['Tariff T1 has a minimum or maximum price per session, which is not counted'], Say::voice()->each(self::tariffs([['min_price' => ['excl_vat' => 1]]])->leftOpen));
    }

    public function test_of_two_tariffs_with_one_id_the_first_counts_and_it_is_said(): void
    {
        $file = self::tariffs([['id' => 'T1'], ['id' => 'T1', 'currency' => 'CHF']]);

        self::assertSame('EUR', $file->priceOf('NL*ABC', ['T1'])['currency'] ?? null);
        self::assertSame(['Tariff T1 is in the file twice; the first one is used'], Say::voice()->each($file->leftOpen));
    }

    #[DataProvider('refusals')]
    public function test_what_is_no_price_is_refused_by_its_field(string $json, string $complaint): void
    {
        self::assertStringContainsString($complaint, Say::refusal(static fn () => self::read($json)));
    }

    /** @return iterable<string, array{string, string}> */
    public static function refusals(): iterable
    {
        $one = static fn (array $over): string => (string) json_encode([[...self::plain(), ...$over]]);
        yield 'no JSON' => ['{', 'tariffs'];
        yield 'an empty list' => ['[]', 'expected a list of Tariffs'];
        yield 'locations' => ['[{"id": "L", "evses": []}]', 'This is a file of OCPI locations, not a file of OCPI tariffs.'];
        yield 'no number' => [$one(['elements' => [['price_components' => [['type' => 'ENERGY', 'price' => 'cheap']]]]]), 'tariffs[0].elements[0].price_components[0].price'];
        yield 'less than nothing' => [$one(['elements' => [['price_components' => [['type' => 'ENERGY', 'price' => -1]]]]]), 'tariffs[0].elements[0].price_components[0].price'];
        yield 'more tax than price' => [$one(['elements' => [['price_components' => [['type' => 'ENERGY', 'price' => 1, 'vat' => 101]]]]]), 'tariffs[0].elements[0].price_components[0].vat'];
        yield 'a part nobody knows' => [$one(['elements' => [['price_components' => [['type' => 'WEIGHT', 'price' => 1]]]]]), 'tariffs[0].elements[0].price_components[0].type'];
        yield 'no currency' => [$one(['currency' => 'crowns']), 'tariffs[0].currency'];
        yield 'no moment' => [$one(['end_date_time' => 'soon']), 'tariffs[0].end_date_time: is no date and time'];
        yield 'a day that is not in the calendar' => [$one(['end_date_time' => '2026-02-30T00:00:00Z']), 'tariffs[0].end_date_time: is no date and time'];
    }

    public function test_each_connector_has_the_first_price_it_names_and_the_network_that_runs_it(): void
    {
        $tariffs = [['id' => 'T1'], ['id' => 'T2', 'elements' => [['price_components' => [['type' => 'ENERGY', 'price' => 0.7]]]]]];
        $read = self::locations(self::tariffs($tariffs));

        self::assertSame(['0.7', null], array_map(static fn (array $spec): mixed => $spec['tariff']['per_kwh'] ?? null, array_column($read->places[0]->outlets, 'spec')));
        self::assertSame(['CCS2, 400 kW: the price differs from stall to stall, so it stays "not known"'], Say::voice()->each($read->places[0]->notUnderstood));
        self::assertSame(['kind' => null, 'makes' => null, 'network' => 'Fernway'], $read->places[0]->outlets[0]->spec['access']);
        self::assertSame([4, 2], [$read->prices->named, $read->prices->found]);
        // A stall without a price is not priced by its neighbour.
        self::assertSame('0.4', self::locations(self::tariffs([['id' => 'T1'], ['id' => 'T4']]))->places[0]->outlets[1]->spec['tariff']['per_kwh']);
        self::assertArrayNotHasKey('tariff', self::locations(self::tariffs([['id' => 'T1']]))->places[0]->outlets[1]->spec);

        $alone = self::locations(null);
        self::assertSame(['CCS2, 150 kW', 'CCS2, 400 kW'], array_column($alone->places[0]->outlets, 'name'));
        self::assertArrayNotHasKey('tariff', $alone->places[0]->outlets[0]->spec);
        self::assertSame([4, 0], [$alone->prices->named, $alone->prices->found]);
    }

    public function test_a_file_without_prices_takes_none_away(): void
    {
        $priced = self::locations(self::tariffs([['id' => 'T1']]))->places[0];
        $here = self::known($priced, $priced->outlets[0]->spec);

        [$same] = PlaceDifference::of(self::locations(null)->places[0], [$here]);
        self::assertSame([], $same->figures);
        self::assertSame('0.4', $same->file->spec['tariff']['per_kwh'] ?? null, 'and it is remembered as what the network said');

        [$dearer] = PlaceDifference::of(self::locations(self::tariffs([['id' => 'T1', 'elements' => [['price_components' => [['type' => 'ENERGY', 'price' => 0.5]]]]]]))->places[0], [$here]);
        self::assertEquals([new FigureChange('tariff.per_kwh', '0.4', '0.5', false)], $dearer->figures);
    }

    /** @param  array<string, mixed>  $spec */
    private static function known(FilePlace $place, array $spec): KnownOutlet
    {
        return new KnownOutlet('o', $place->outlets[0]->name, $spec, $place->outlets[0]);
    }

    private static function locations(?TariffsFile $tariffs): LocationsFile
    {
        $connector = static fn (mixed $ids, int $watts = 150000): array => ['id' => '1', 'standard' => 'IEC_62196_T2_COMBO', 'power_type' => 'DC', 'max_voltage' => 920, 'max_amperage' => 500, 'max_electric_power' => $watts, 'tariff_ids' => $ids];

        return (new LocationsReader(Say::voice()))->read((string) json_encode([[
            'country_code' => 'NL', 'party_id' => 'ABC', 'id' => 'L', 'name' => 'Sluice wharf', 'operator' => ['name' => 'Fernway'],
            'evses' => [['uid' => '1', 'connectors' => [$connector(['', 'T2', 'T1'])]], ['uid' => '2', 'connectors' => [$connector(['gone', 'T1'], 400000)]], ['uid' => '3', 'connectors' => [$connector(['T4', 'T2'], 400000)]]],
        ]]), tariffs: $tariffs);
    }

    /** @param  list<array<string, mixed>>  $tariffs  what differs from a plain one */
    private static function tariffs(array $tariffs): TariffsFile
    {
        return self::read((string) json_encode(['data' => array_map(static fn (array $over): array => [...self::plain(), ...$over], $tariffs)]));
    }

    private static function read(string $json): TariffsFile
    {
        return TariffsReader::read($json, new \DateTimeImmutable('2026-06-01T12:00:00Z'));
    }

    /** @return array<string, mixed> */
    private static function plain(): array
    {
        return ['country_code' => 'NL', 'party_id' => 'ABC', 'id' => 'T1', 'currency' => 'EUR', 'elements' => [['price_components' => [['type' => 'ENERGY', 'price' => 0.4, 'step_size' => 1]]]]];
    }
}
