<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Case;

use Harmozon\Core\Case\CaseReader;
use Harmozon\Core\Case\ScriptReader;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Readings\NumberSigns;
use Harmozon\Core\Readings\ReadingColumns;
use Harmozon\Core\Readings\ReadingJsonReader;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The last value that a field takes on either side, and the first that it refuses. */
final class FieldEdgesTest extends TestCase
{
    private const VOLTS = [1, 2000, 'V'];

    private const AMPS = [0.1, 3000, 'A'];

    private const KW = [0.01, 5000, 'kW'];

    private const CURVE_KW = [0, 5000, 'kW'];

    private const CELSIUS = [-60, 250, '°C'];

    private const MINUTES = [0, 1440, 'min'];

    private const SOC = [0, 100, '%'];

    /** By dotted path; what would contradict an extreme figure is not read. */
    private const FIELDS = [
        'vehicle.pack.usable_kwh' => [0.1, 2000, 'kWh'],
        'vehicle.pack.voltage_by_soc.0.0' => self::SOC,
        'vehicle.pack.voltage_by_soc.0.1' => self::VOLTS,
        'vehicle.charge_curve_kw.0.0' => self::SOC,
        'vehicle.charge_curve_kw.0.1' => self::CURVE_KW,
        'vehicle.km_per_kwh' => [0.05, 30, 'km/kWh'],
        'vehicle.inlets.0.dc.max_v' => self::VOLTS,
        'vehicle.inlets.0.dc.max_a' => self::AMPS,
        'vehicle.inlets.0.dc.max_kw' => self::KW,
        'vehicle.inlets.0.dc.boost_converter.max_kw' => self::KW,
        'vehicle.inlets.0.dc.boost_converter.max_input_a' => self::AMPS,
        'vehicle.inlets.0.dc.boost_converter.input_v' => self::VOLTS,
        'vehicle.inlets.0.dc.boost_converter.efficiency' => [0.01, 1, ''],
        'vehicle.inlets.0.ac.min_v' => self::VOLTS,
        'vehicle.inlets.0.ac.max_v' => self::VOLTS,
        'vehicle.inlets.0.ac.max_a' => self::AMPS,
        'vehicle.inlets.0.ac.max_kw' => self::KW,
        'adapters.0.plate.max_v' => self::VOLTS,
        'adapters.0.plate.continuous_a' => self::AMPS,
        'adapters.0.plate.boost_a' => self::AMPS,
        'adapters.0.plate.boost_minutes' => [0.01, 1440, 'min'],
        'adapters.0.plate.max_kw' => self::KW,
        'adapters.0.derate_c' => self::CELSIUS,
        'adapters.0.cutoff_c' => self::CELSIUS,
        'outlet.min_v' => self::VOLTS,
        'outlet.max_v' => self::VOLTS,
        'outlet.max_a' => self::AMPS,
        'outlet.max_kw' => self::KW,
        'outlet.sticker_kw' => self::KW,
        'outlet.cable.length_m' => [0, 50, 'm'],
        'outlet.cable.ageing' => [0.01, 1, ''],
        'outlet.cable.dry_a' => self::AMPS,
        'outlet.cabinet.kw' => self::KW,
        'outlet.cabinet.partner_kw' => self::CURVE_KW,
        'outlet.cabinet.module_kw' => self::KW,
        'outlet.supply.volts' => self::VOLTS,
        'outlet.supply.amps' => self::AMPS,
        'outlet.tariff.idle_grace_minutes' => self::MINUTES,
        'outlet.tariff.minute_bands.0.from_kw' => self::CURVE_KW,
        'conditions.soc_from' => self::SOC,
        'conditions.soc_to' => self::SOC,
        'conditions.ambient_c' => self::CELSIUS,
        'conditions.pack_c' => self::CELSIUS,
        'conditions.theta.a1' => [0, 5, ''],
        'conditions.faults.derated_kw' => self::KW,
        'conditions.faults.neighbour_at_minute' => self::MINUTES,
        'conditions.ageing' => [0.01, 1, ''],
        'conditions.rested_minutes' => [0, 44_640, 'min'],
        'conditions.idle_minutes' => self::MINUTES,
        'conditions.next_stop_kw' => self::KW,
    ];

    private const READ = ['soc_pct' => self::SOC, 'volts' => [0, 2000, 'V'], 'amps' => [0, 3000, 'A'], 'kw' => self::CURVE_KW, 'adapter_c' => [-273, 2000, '°C'], 'ambient_c' => [-273, 2000, '°C'], 't_s' => [0, 8_640_000, 's']];

    #[DataProvider('fields')]
    public function test_a_case(string $path, float $least, float $most, string $unit): void
    {
        $file = Cases::file(
            car: ['pack.voltage_by_soc' => [[0, 350]], 'charge_curve_kw' => [[0, 150]], 'inlets.0.ac.min_v' => null, 'inlets.0.ac.max_v' => null],
            outlet: ['min_v' => null, 'max_v' => null, 'cable.continuous_a' => null, 'tariff' => ['currency' => 'USD', 'minute_bands' => [['from_kw' => 0, 'per_minute' => '0.1']]]],
            adapters: [['plate' => ['continuous_a' => null, 'boost_minutes' => 10]]],
            case: ['conditions' => $path === 'conditions.soc_to' ? ['soc_from' => 0] : []],
        );
        $this->edges($path, $least, $most, $unit, static fn (float $value): string => Say::refusal(static fn () => Cases::read(Cases::changed($file, [$path => $value]))));
    }

    /** @return iterable<string, array{string, float, float, string}> */
    public static function fields(): iterable
    {
        foreach (self::FIELDS as $path => [$least, $most, $unit]) {
            yield $path => [$path, $least, $most, $unit];
        }
    }

    public function test_a_typed_reading_and_a_row_of_a_file_end_at_the_same_values(): void
    {
        foreach (self::READ as $field => [$least, $most, $unit]) {
            $this->edges($field, $least, $most, $unit, static fn (float $value): string => Say::refusal(static fn () => (new ReadingJsonReader)->reading(Node::of([$field => $value] + ['t_s' => 1, 'volts' => 400]))));
            $column = ReadingColumns::of(['t_s', 'volts', 'soc_pct', 'amps', 'kw', 'adapter_c', 'ambient_c'], NumberSigns::between(','))->numbers[$field];
            $this->edges($field, $least, $most, $unit, static fn (float $value): string => Say::refusal(static fn () => $column->read((string) json_encode($value))));
        }
    }

    public function test_whole_numbers_texts_and_lists(): void
    {
        $seed = static fn (array $fields): string => Say::refusal(static fn () => (new ScriptReader)->script(Node::of($fields + ['seed' => 1])));
        self::assertSame(['', '', '', 'every_s: must be from 1 to 3600', 'every_s: must be from 1 to 3600'], [$seed(['seed' => 0]), $seed(['every_s' => 1]), $seed(['every_s' => 3600]), $seed(['every_s' => 0]), $seed(['every_s' => 3601])]);

        $case = static fn (array $changes): string => Say::refusal(static fn () => Cases::read(Cases::changed(Cases::file(), $changes)));
        $stalls = static fn (int $n): array => array_fill(0, $n, ['label' => '1']);
        foreach ([
            'outlet.known_fault' => [str_repeat('é', 200), 'outlet.known_fault: is longer than 200 characters'],
            'vehicle.name' => [str_repeat('é', 500), 'vehicle.name: is longer than 500 characters'],
            'vehicle.programmes' => [[str_repeat('é', 500)], 'vehicle.programmes[0]: is longer than 500 characters'],
            'outlet.stalls' => [$stalls(2000), 'outlet.stalls: has more than 2000 entries'],
        ] as $path => [$longest, $complaint]) {
            $longer = match (true) {
                is_string($longest) => $longest.'x',
                is_string($longest[0]) => [$longest[0].'x'],
                default => $stalls(2001),
            };
            self::assertSame(['', $complaint], [$case([$path => $longest]), $case([$path => $longer])]);
        }
        foreach (['label', 'evse_id', 'uid', 'connector'] as $field) {
            $stall = static fn (int $n): string => $case(['outlet.stalls' => [[$field => str_repeat('é', $n)] + ['label' => '1']]]);
            self::assertSame(['', "outlet.stalls[0].{$field}: is longer than 48 characters"], [$stall(48), $stall(49)]);
        }
        foreach (['outlet.supply' => ['volts' => 230, 'amps' => 16], 'vehicle.inlets.0.ac' => ['max_kw' => 7]] as $path => $rest) {
            $phases = static fn (int $n): string => $case([$path => $rest + ['phases' => $n]]);
            self::assertSame(['', '', "{$path}.phases: must be from 1 to 3", "{$path}.phases: must be from 1 to 3"], array_map(static fn (string $t): string => str_replace('[0]', '.0', $t), [$phases(1), $phases(3), $phases(0), $phases(4)]));
        }
        // Windows whose ends meet are windows.
        self::assertSame('', $case(['outlet.min_v' => 400, 'outlet.max_v' => 400, 'vehicle.inlets.0.ac.min_v' => 230, 'vehicle.inlets.0.ac.max_v' => 230, 'conditions.soc_from' => 80]));
        self::assertStringContainsString('vehicle.inlets[0].ac.min_v: 231 V is above max_v', $case(['vehicle.inlets.0.ac.min_v' => 231, 'vehicle.inlets.0.ac.max_v' => 230]));
        self::assertStringContainsString('adapters[0].plate.limit_c: ', $case(['adapters' => [Cases::changed(Cases::ADAPTER, ['plate.rated_at_c' => 90, 'plate.limit_c' => 90])]]));
        self::assertSame('', $case(['adapters' => [Cases::changed(Cases::ADAPTER, ['plate.rated_at_c' => 89, 'plate.limit_c' => 90])]]));
        // What was given is quoted up to forty characters.
        $columns = ReadingColumns::of(['t_s', 'kw'], NumberSigns::between(','))->numbers['kw'];
        self::assertSame('kw: "'.str_repeat('é', 40).'" is not a number', Say::refusal(static fn () => $columns->read(str_repeat('é', 60))));
        // As deep as a file may nest, and one level more.
        $deep = static fn (int $levels): string => Say::refusal(static fn () => Node::fromJson(str_repeat('{"a":', $levels).'1'.str_repeat('}', $levels)));
        self::assertSame(['', true], [$deep(Node::DEEPEST_JSON - 1), str_contains($deep(Node::DEEPEST_JSON), 'not valid JSON')]);
        self::assertSame(64, Node::DEEPEST_JSON);
    }

    public function test_as_many_pieces_as_a_garage_may_have(): void
    {
        $garage = static fn (array $fields): string => Say::refusal(static fn () => (new CaseReader)->garage(Node::of($fields + ['format' => CaseReader::GARAGE_FORMAT, 'version' => 1, 'vehicles' => [], 'outlets' => []])));
        self::assertSame('', $garage([]));
        // One too many is refused before any is read; as many as may be are read, and the first is named.
        self::assertSame(['vehicles[0].inlets: is required', 'vehicles: has more than 20000 entries'], [$garage(['vehicles' => array_fill(0, 20_000, [])]), $garage(['vehicles' => array_fill(0, 20_001, [])])]);
        self::assertSame(['outlets[0].current: is required', 'outlets: has more than 20000 entries'], [$garage(['outlets' => array_fill(0, 20_000, [])]), $garage(['outlets' => array_fill(0, 20_001, [])])]);
        self::assertSame(['adapters[0].id: is required', 'adapters: has more than 1000 entries'], [$garage(['adapters' => array_fill(0, 1000, [])]), $garage(['adapters' => array_fill(0, 1001, [])])]);
    }

    /** @param  callable(float): string  $complaint */
    private function edges(string $path, float $least, float $most, string $unit, callable $complaint): void
    {
        $named = (string) preg_replace('/\.(\d+)/', '[$1]', $path);
        $span = trim(sprintf('%s to %s %s', $least, $most, $unit));
        self::assertSame(['', ''], [$complaint($least), $complaint($most)], $path);
        foreach ([round($least - 0.001, 3), round($most + 0.001, 3)] as $beyond) {
            self::assertSame(sprintf('%s: %s is outside %s', $named, $beyond, $span), $complaint($beyond));
        }
    }
}
