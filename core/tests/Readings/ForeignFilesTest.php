<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Readings;

use Eris\Generators;
use Eris\TestTrait;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Readings\AmbiguousFile;
use Harmozon\Core\Readings\Foreign\Encoding;
use Harmozon\Core\Readings\Foreign\FileHead;
use Harmozon\Core\Readings\Foreign\FormatGuess;
use Harmozon\Core\Readings\Foreign\Mapping;
use Harmozon\Core\Readings\Foreign\MappingReader;
use Harmozon\Core\Readings\Foreign\ReadingUnit;
use Harmozon\Core\Readings\ReadingsReader;
use Harmozon\Core\Readings\RejectedRow;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\EventCode;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Readings files of other instruments: guessed, or read as somebody said. */
final class ForeignFilesTest extends TestCase
{
    use TestTrait;

    /** A thermometer in °F, watts with decimal commas, a clock of the day: 50 °F are 10 °C, 212 °F are 100 °C. */
    public function test_fahrenheit_watts_and_decimal_commas_are_guessed(): void
    {
        $reader = new ReadingsReader;
        $rows = self::rows($reader, "Uhrzeit;Batt. [%];Leistung (W);Spannung [V];Temp. Adapter (°F)\n01.05.2026 10:00:00;20,5;50500,5;350,25;50\n01.05.2026 10:01:30;21;51000;351;212\n");

        self::assertEquals(new Reading(0, 20.5, 350.25, null, 50.5005, ['adapter' => 10.0]), self::rounded($rows[2]));
        self::assertEquals(new Reading(90_000, 21, 351, null, 51, ['adapter' => 100.0]), self::rounded($rows[3]));
        self::assertSame([
            'delimiter' => ';', 'decimal' => ',', 'encoding' => 'utf-8',
            'columns' => ['Batt. [%]' => ['field' => 'soc_pct'], 'Leistung (W)' => ['field' => 'kw', 'unit' => 'W'], 'Spannung [V]' => ['field' => 'volts'], 'Temp. Adapter (°F)' => ['field' => 'adapter_c', 'unit' => 'degF']],
            'time' => ['column' => 'Uhrzeit', 'format' => 'd.m.Y H:i:s'],
        ], $reader->guessed()?->toArray());
    }

    /** @return iterable<string, array{string, array<string, mixed>}> a header with its first row, and the columns */
    public static function headers(): iterable
    {
        yield 'seconds, volts and milliamps' => ["t [s],U [V],I [mA]\n0,350,250000", ['t [s]' => ['field' => 't_s'], 'U [V]' => ['field' => 'volts'], 'I [mA]' => ['field' => 'amps', 'unit' => 'mA']]];
        yield 'minutes since the start' => ["Elapsed (min),Power (kW)\n0.5,50", ['Elapsed (min)' => ['field' => 't_s', 'unit' => 'min'], 'Power (kW)' => ['field' => 'kw']]];
        yield 'a share of charge' => ["Elapsed (s)\tSOC\tPower, W\n0\t0.2\t5000\n10\t0.21\t5000", ['Elapsed (s)' => ['field' => 't_s'], 'SOC' => ['field' => 'soc_pct', 'unit' => 'share'], 'Power, W' => ['field' => 'kw', 'unit' => 'W']]];
        yield 'charging written as a discharge' => ["t (s);Current (A);Voltage (V)\n0;-250,5;350\n5;-251;350", ['t (s)' => ['field' => 't_s'], 'Current (A)' => ['field' => 'amps', 'sign' => -1], 'Voltage (V)' => ['field' => 'volts']]];
        yield 'two thermometers' => ["elapsed_s|ambient temp (F)|adapter temp (K)|volts\n0|68|300|350", ['elapsed_s' => ['field' => 't_s'], 'ambient temp (F)' => ['field' => 'ambient_c', 'unit' => 'degF'], 'adapter temp (K)' => ['field' => 'adapter_c', 'unit' => 'K'], 'volts' => ['field' => 'volts']]];
    }

    /** @return iterable<string, array{string, list<string>}> a header, and what its columns hold in turn */
    public static function languages(): iterable
    {
        yield 'English' => ['Time;State of charge;Battery voltage;Charge current;Power;12 V battery;Max current;Odometer', ['soc_pct', 'volts', 'amps', 'kw']];
        yield 'German' => ['Zeit;Ladestand;Spannung;Ladestrom;Leistung;Temperatur Griff;Sollstrom', ['soc_pct', 'volts', 'amps', 'kw', 'handle_c']];
        yield 'French' => ['Heure;État de charge;Tension;Courant;Puissance;Température poignée;Courant max', ['soc_pct', 'volts', 'amps', 'kw', 'handle_c']];
        yield 'Spanish' => ['Hora;Estado de carga;Tensión;Corriente;Potencia;Temperatura exterior', ['soc_pct', 'volts', 'amps', 'kw', 'ambient_c']];
        yield 'Italian' => ['Ora;Stato di carica;Tensione;Corrente;Potenza;Temperatura cavo', ['soc_pct', 'volts', 'amps', 'kw', 'cable_c']];
        yield 'Dutch' => ['Tijd;Laadniveau;Spanning;Stroom;Vermogen;Temperatuur buiten', ['soc_pct', 'volts', 'amps', 'kw', 'ambient_c']];
        yield 'Norwegian' => ['Tid;Ladenivå;Spenning;Strøm;Effekt;Temperatur håndtak', ['soc_pct', 'volts', 'amps', 'kw', 'handle_c']];
        yield 'Swedish' => ['Tid;Laddnivå;Spänning;Ström;Effekt;Temperatur kabel', ['soc_pct', 'volts', 'amps', 'kw', 'cable_c']];
        yield 'Danish' => ['Tidspunkt;Ladeniveau;Spænding;Strøm;Effekt;Adapter temperatur', ['soc_pct', 'volts', 'amps', 'kw', 'adapter_c']];
        yield 'Finnish' => ['Aika;Varaustaso;Jännite;Virta;Teho;Kaapeli lämpötila', ['soc_pct', 'volts', 'amps', 'kw', 'cable_c']];
        yield 'Polish' => ['Czas;Stan naładowania;Napięcie;Prąd;Moc;Temperatura adaptera', ['soc_pct', 'volts', 'amps', 'kw', 'adapter_c']];
        yield 'Portuguese' => ['Hora;Nível de carga;Tensão;Corrente;Potência;Temperatura do punho', ['soc_pct', 'volts', 'amps', 'kw', 'handle_c']];
        yield 'letters' => ['t;SoC;U;I;P;T', ['t_s', 'soc_pct', 'volts', 'amps', 'kw']];
        yield 'a battery that is warm, and no more' => ['Time;Battery temperature;V;A', ['volts', 'amps']];
    }

    /** @param  list<string>  $fields */
    #[DataProvider('languages')]
    public function test_headers_of_many_languages_are_understood(string $header, array $fields): void
    {
        $row = implode(';', ['10:00:00', ...array_fill(0, substr_count($header, ';'), '40')]);
        $columns = FormatGuess::guess([$header, str_starts_with($header, 't;') ? str_replace('10:00:00', '0', $row) : $row])?->toArray()['columns'] ?? [];

        self::assertSame($fields, array_column($columns, 'field'));
    }

    /** @return iterable<string, array{string, float}> a cell of watts, and its kW */
    public static function thousands(): iterable
    {
        yield 'a space' => ['50 500,5', 50.5005];
        yield 'a space that does not break' => ["50\u{A0}500,5", 50.5005];
        yield 'a narrow space' => ["150\u{202F}000", 150.0];
        yield 'an apostrophe' => ["150'000", 150.0];
        yield 'points before a comma' => ['50.500,5', 50.5005];
        yield 'more than one' => ['1 050 500', 1050.5];
    }

    #[DataProvider('thousands')]
    public function test_thousands_are_told_from_decimals(string $cell, float $kw): void
    {
        $rows = self::rows(new ReadingsReader, "Heure;Puissance (W);Tension (V)\n10:00:00;{$cell};350,5\n10:00:30;{$cell};351,5\n");

        self::assertEquals([new Reading(0, kw: $kw, volts: 350.5), new Reading(30_000, kw: $kw, volts: 351.5)], array_map(self::rounded(...), array_values($rows)));
    }

    public function test_milliseconds_since_1970_are_guessed_and_can_be_mapped(): void
    {
        $text = "timestamp_ms;Power (kW)\n1935482400000;50\n1935482401500;51\n";
        $reader = new ReadingsReader;
        $guessed = array_values(self::rows($reader, $text));
        $mapping = $reader->guessed()?->toArray();

        self::assertEquals([new Reading(0, kw: 50.0), new Reading(1_500, kw: 51.0)], $guessed);
        self::assertSame(['column' => 'timestamp_ms', 'format' => 'U', 'unit' => 'ms'], $mapping['time'] ?? null);
        self::assertEquals($guessed, array_values(self::rows(new ReadingsReader((new MappingReader)->mapping(Node::of($mapping))), $text)));
    }

    public function test_a_space_that_is_not_between_thousands_is_no_number(): void
    {
        $rows = self::rows(new ReadingsReader, "t_s,kw\n0,50 5\n1,50\n");

        self::assertInstanceOf(RejectedRow::class, $rows[2]);
    }

    public function test_marks_for_no_value_are_no_rows_that_are_wrong(): void
    {
        $rows = self::rows(new ReadingsReader, "time,kw,volts,handle_c\n1:59:50 PM,50,-,n/a\n2:00:20 pm,NaN,350,--\n12:00:00 AM,51,,null\n");

        self::assertEquals([new Reading(0, kw: 50.0), new Reading(30_000, volts: 350.0), new Reading(36_010_000, kw: 51.0)], array_values($rows));
    }

    /** @return iterable<string, array{list<string>, string|null, string|null}> headers, the field of all of them, and the unit if it isn't the field's own */
    public static function units(): iterable
    {
        yield 'another unit is never passed over' => [['Power (hp)', 'Power [PS]', 'Power_kVA', 'Battery (kWh)', 'SoC [Ah]', 'Charge rate (%/h)', 'Power (mW)', 'Voltage (daV)', 'Temp adapter (degR)'], null, null];
        yield 'nor another scale' => [['Power (10 W)', 'Current A/10', 'Current (x10)', 'Amps (0.1A)', 'Amps (deci)'], null, null];
        yield 'a cell, a phase and a sensor are not the battery' => [['Cell voltage (V)', 'Zellspannung [V]', 'Power per phase (kW)', 'Cable temp (mV)', 'Shunt (mV)'], null, null];
        yield 'watts wherever they stand' => [['Power (W)', 'Puissance_W', 'Leistung/W', 'Power W peak', 'Power in watts', 'Watt'], 'kw', 'W'];
        yield 'what else stands in brackets is no unit' => [['Power (DC)', 'Power (pack)', 'Power (kW, mean)', 'Power [kW DC]', 'Power KW', 'Power (kW) 10 s mean'], 'kw', null];
        yield 'amps' => [['Current (A DC)', 'DC Current (Amps)', 'Courant (ampères)', 'I in A', 'A'], 'amps', null];
        yield 'kelvin' => [['Handle (Kelvin)', 'Handle temperature [K]'], 'handle_c', 'K'];
    }

    /** @param  list<string>  $headers */
    #[DataProvider('units')]
    public function test_a_unit_is_read_or_the_column_is_left_to_be_told(array $headers, ?string $field, ?string $unit): void
    {
        foreach ($headers as $header) {
            $column = FormatGuess::guess(["Elapsed;SoC %;{$header}", '0;10;50', '30;11;51'])?->toArray()['columns'][$header] ?? [];
            self::assertSame([$field, $unit], [$column['field'] ?? null, $column['unit'] ?? null], $header);
        }
    }

    /** @return iterable<string, array{string, array<string, string>}> columns after the time, and those that are used */
    public static function manyColumns(): iterable
    {
        yield 'DC goes before AC, wherever it stands' => ['AC power (kW);DC power (kW);AC voltage;DC voltage (V)', ['DC power (kW)' => 'kw', 'DC voltage (V)' => 'volts']];
        yield 'AC where there is nothing else' => ['Grid voltage (V);Grid current (A)', ['Grid voltage (V)' => 'volts', 'Grid current (A)' => 'amps']];
        yield 'what was asked for is not what flows' => ['Requested current (A);EVSE_Max_Current;MaxPower;Measured current (A);Power', ['Measured current (A)' => 'amps', 'Power' => 'kw']];
        yield 'the least and the most are not the mean' => ['Power min;Power avg;Power max (kW)', ['Power avg' => 'kw']];
        yield 'a peak only if nothing else' => ['Peak power (kW);Current', ['Peak power (kW)' => 'kw', 'Current' => 'amps']];
        yield 'a share of something else' => ['Humidity (%);Fan [%];Battery health (%);Battery (%)', ['Battery (%)' => 'soc_pct']];
        yield 'other batteries and drives' => ['DC-DC current;12 V battery;Heater power (kW);PackVoltage;HV_current', ['PackVoltage' => 'volts', 'HV_current' => 'amps']];
        yield 'a time of charging is no charge' => ['Charge time left;Charge rate (kW);Charge %', ['Charge rate (kW)' => 'kw', 'Charge %' => 'soc_pct']];
        yield 'German' => ['Strom Soll;Verfügbarer Strom;Strom Ist;Netzspannung;Spannung Batterie', ['Strom Ist' => 'amps', 'Spannung Batterie' => 'volts']];
        yield 'only a unit is known' => ['Foo [V];Bar [A]', ['Foo [V]' => 'volts', 'Bar [A]' => 'amps']];
    }

    /** @param  array<string, string>  $used */
    #[DataProvider('manyColumns')]
    public function test_of_many_columns_the_right_one_is_used(string $header, array $used): void
    {
        $row = str_repeat(';50', substr_count($header, ';') + 1);
        $columns = FormatGuess::guess(["Elapsed;{$header}", "0{$row}", "30{$row}"])?->toArray()['columns'] ?? [];

        self::assertSame(['Elapsed' => 't_s', ...$used], array_map(static fn (array $c): string => $c['field'], $columns));
    }

    public function test_power_without_a_unit_is_weighed_against_volts_and_amps(): void
    {
        $kw = static fn (string ...$rows): array => array_map(static fn (Reading|RejectedRow $r): ?float => $r instanceof Reading ? $r->kw : null, array_values(self::rows(new ReadingsReader, "Elapsed;Power;Voltage;Current (mA)\n".implode("\n", $rows)."\n")));

        self::assertSame([0.0, 3.5, 4.0], $kw('0;0;350;0', '10;3500;350;10000', '20;4000;400;10000'));
        self::assertSame([1200.0, 1201.5], $kw('0;1200;800;1500000', '10;1201.5;801;1500000'));
        self::assertSame([4.14, 4.14], $kw('0;4140;230;6000', '10;4140;230;6000'), 'three phases of 6 A');
        self::assertSame([35.0, 36.0], $kw('0;35000;;', '10;36000;;'));
        self::assertSame([35.0, 3.0], $kw('0;35;;', '10;3;;'));
    }

    public function test_power_that_may_be_watts_of_a_car_or_kilowatts_of_a_truck_is_asked(): void
    {
        $text = "Elapsed;Power\n0;0\n10;2500\n20;2250\n";
        try {
            self::rows(new ReadingsReader, $text);
            self::fail('it was read');
        } catch (AmbiguousFile $unsure) {
            self::assertSame(['Power', '2500'], [$unsure->column, $unsure->example]);
            self::assertStringContainsString('column "Power": 2500 could be 2500 W or 2500 kW', Say::complaint($unsure));
            self::assertSame([[0.0, 2.5, 2.25], [0.0, 2500.0, 2250.0]], array_map(
                static fn (array $way): array => array_map(static fn (Reading|RejectedRow $r): ?float => $r instanceof Reading ? $r->kw : null, array_values(self::rows(new ReadingsReader($way['mapping']), $text))),
                $unsure->ways,
            ));
        }
        self::assertCount(3, self::rows(new ReadingsReader, str_replace('Power', 'Power (kW)', $text)));
        self::assertCount(3, self::rows(new ReadingsReader, str_replace(['2500', '2250'], ['2500 W', '2250 W'], $text)));
        self::assertCount(3, self::rows(new ReadingsReader, "t_s,kw\n0,0\n10,2500\n20,2250\n"));
    }

    public function test_temperatures_without_a_unit_are_fahrenheit_where_the_air_would_be_too_hot(): void
    {
        $warmth = static fn (string $header, string ...$rows): array => array_map(static fn (Reading|RejectedRow $r): array => $r instanceof Reading ? array_map(static fn (float $c): float => round($c, 1), $r->celsius) : [], array_values(self::rows(new ReadingsReader, "Elapsed;Power (kW);{$header}\n".implode("\n", $rows)."\n")));

        self::assertSame([['handle' => 30.0, 'ambient' => 20.0], ['handle' => 35.0, 'ambient' => 20.0]], $warmth('Handle temp;Outside temp', '0;50;86;68', '10;50;95;68'));
        self::assertSame([['handle' => 20.0], ['handle' => 86.0]], $warmth('Handle temp', '0;50;20', '10;50;86'), 'it began cool: °C');
        self::assertSame([['handle' => 60.0]], $warmth('Handle temp (°C)', '0;50;60'));
    }

    public function test_a_handle_that_is_hot_from_the_start_may_be_in_fahrenheit_and_is_asked(): void
    {
        $text = "Elapsed;Power (kW);Handle temp;Cable temp\n0;50;68;66\n10;50;86;70\n";
        try {
            self::rows(new ReadingsReader, $text);
            self::fail('it was read');
        } catch (AmbiguousFile $unsure) {
            self::assertStringContainsString('column "Handle temp": 68 could be 68 °F or 68 °C', Say::complaint($unsure));
            self::assertSame([['handle' => 30.0, 'cable' => 21.1], ['handle' => 86.0, 'cable' => 70.0]], array_map(static function (array $way) use ($text): array {
                $last = self::rows(new ReadingsReader($way['mapping']), $text)[3];

                return $last instanceof Reading ? array_map(static fn (float $c): float => round($c, 1), $last->celsius) : [];
            }, $unsure->ways));
        }
    }

    public function test_what_is_known_of_a_file_that_can_not_be_read_is_kept_for_whoever_names_the_rest(): void
    {
        $begun = FileHead::of(["Elapsed (min);Power (hp);Handle (°F)\n", "0;50;86\n"])->begun?->toArray();
        self::assertSame(['Elapsed (min)' => ['field' => 't_s', 'unit' => 'min'], 'Handle (°F)' => ['field' => 'handle_c', 'unit' => 'degF']], $begun['columns'] ?? null);
        self::assertSame(['Elapsed' => ['field' => 't_s'], 'Power' => ['field' => 'kw']], FormatGuess::begun(['Elapsed;Power', '0;2500'])?->toArray()['columns'] ?? null, 'what is asked is not settled by it');
        self::assertNull(FormatGuess::begun(['name;address', 'x;y']));
    }

    public function test_of_two_columns_with_one_name_the_second_is_named_as_not_used(): void
    {
        $reader = new ReadingsReader;
        $rows = self::rows($reader, "Elapsed;Power (kW);Power (kW);Mood\n0;50;7;x\n10;51;7;x\n");

        self::assertSame([50.0, 51.0], array_map(static fn (Reading|RejectedRow $r): ?float => $r instanceof Reading ? $r->kw : null, array_values($rows)));
        self::assertSame(['Power (kW)', 'Mood'], $reader->ignoredColumns());
    }

    public function test_a_first_column_called_after_its_unit_is_the_time(): void
    {
        foreach (['sec' => null, 's' => null, 'ms' => 'ms', 'min' => 'min', 'h' => 'h', 'time (sec)' => null] as $header => $unit) {
            self::assertSame(['field' => 't_s', ...($unit === null ? [] : ['unit' => $unit])], FormatGuess::guess(["{$header};Power", '0;50', '1;51'])?->toArray()['columns'][$header] ?? null, $header);
        }
        foreach (['Time (UTC)', 'Time (CEST)', 'Time of day', 'Zeit (24h)', 'Time (hh:mm:ss)'] as $clock) {
            self::assertSame(['column' => $clock], FormatGuess::guess(["{$clock};Power;min", '10:00:00;50;1', '10:00:10;51;1'])?->toArray()['time'] ?? null, $clock);
        }
        foreach (['Time [0.1 s]', 'Elapsed (µs)', 'Time (days)'] as $scaled) {
            self::assertNull(FormatGuess::guess(["{$scaled};Power", '0;50', '1;51']), $scaled);
        }
    }

    public function test_a_unit_that_is_not_known_is_named_where_nothing_else_can_be_read(): void
    {
        self::assertSame('readings: the unit of Power (hp) is not known. Write it as s, min, V, A, W, kW, %, °C, °F or K, or say what the column holds', Say::refusal(static fn () => self::rows(new ReadingsReader, "Elapsed;Power (hp);Mood\n0;50;x\n")));
        self::assertStringStartsWith('readings: the units of Power (hp), Current (0.1 A) are not known. Write them as', Say::refusal(static fn () => self::rows(new ReadingsReader, "Elapsed;Power (hp);Current (0.1 A)\n0;50;1\n")));
    }

    /** @param  array<string, mixed>  $columns */
    #[DataProvider('headers')]
    public function test_headers_are_understood(string $text, array $columns): void
    {
        self::assertSame($columns, FormatGuess::guess(explode("\n", $text))?->toArray()['columns'] ?? null);
    }

    public function test_a_file_of_ours_needs_no_guess(): void
    {
        $reader = new ReadingsReader;
        self::rows($reader, "t_s,kw,mood\n0,50,fine\n");

        self::assertNull($reader->guessed());
        self::assertSame(['mood'], $reader->ignoredColumns());
    }

    public function test_what_cannot_be_guessed_is_refused_as_ever(): void
    {
        foreach (["name,address\nx,y\n" => 'the header needs a column t_s (seconds) or time', "Time,Mood\n10:00,fine\n" => 'the header has none of '.implode(', ', Reading::quantities())] as $text => $words) {
            try {
                self::rows(new ReadingsReader, $text);
                self::fail($text);
            } catch (FieldError $e) {
                self::assertSame($words, Say::it($e->problem));
            }
        }
    }

    public function test_letters_of_windows_and_a_time_zone(): void
    {
        $mapping = self::mapping(['delimiter' => ';', 'decimal' => ',', 'encoding' => 'windows-1252', 'columns' => ['Größe (V)' => ['field' => 'volts'], 'Bemerkung' => ['field' => 'note']], 'time' => ['column' => 'Zeit', 'format' => 'd.m.Y H:i:s', 'zone' => 'Europe/Oslo']]);
        // The night in which clocks go back: 02:59:30 is followed by an hour that lasts twice as long by the clock.
        $rows = self::rows(new ReadingsReader($mapping), (string) mb_convert_encoding("Zeit;Größe (V);Bemerkung\n25.10.2026 01:59:30;350,5;heiß\n25.10.2026 03:00:30;351;\n", 'Windows-1252', 'UTF-8'));

        self::assertEquals(new Reading(0, volts: 350.5, note: 'heiß'), $rows[2]);
        self::assertEquals(new Reading(1000 * (3600 + 3600 + 60), volts: 351.0), $rows[3]);
    }

    public function test_rows_that_do_not_fit_the_mapping_are_told_by_line(): void
    {
        $mapping = self::mapping(['columns' => ['V' => ['field' => 'volts', 'unit' => 'mV']], 'time' => ['column' => 'T', 'format' => 'H:i:s']]);
        $rows = self::rows(new ReadingsReader($mapping), "T,V\n10:00:00,350000\nsoon,350000\n10:00:05,9999999999\n10:00:10,x\n");

        self::assertEquals(new Reading(0, volts: 350.0), $rows[2]);
        $reasons = array_map(static fn (mixed $r): string => $r instanceof RejectedRow ? Say::it($r->reason) : 'kept', array_slice($rows, 1));
        self::assertSame(['T: "soon" does not match H:i:s', 'V: 9999999999, read as 9999999.999, is outside 0 to 2000 V', 'V: "x" is not a number'], array_values($reasons));
    }

    /** Texts and events as well, a name however long, and nothing where the whole row is meant. */
    public function test_a_row_left_out_names_its_column_as_the_file_does(): void
    {
        $long = str_repeat('Spannung', 20);
        $mapping = self::mapping(['columns' => ['t' => ['field' => 't_s'], $long => ['field' => 'volts'], 'Gerät' => ['field' => 'source'], 'Bemerkung' => ['field' => 'note'], 'Was' => ['field' => 'event']]]);
        $text = str_repeat('x', 301);
        $rows = self::rows(new ReadingsReader($mapping), "t,{$long},Gerät,Bemerkung,Was\nsoon,1,,,\n1,x,,,\n2,1,{$text},,\n3,1,,{$text},\n4,,,,nothing\n5,1,,,,6\n");
        $names = array_map(static fn (mixed $r): string => $r instanceof RejectedRow ? explode(':', Say::it($r->reason))[0] : 'kept', array_values($rows));

        self::assertSame(['t', mb_substr($long, 0, Node::LONGEST_QUOTE), 'Gerät', 'Bemerkung', 'Was', 'row'], $names);
    }

    public function test_a_column_that_is_not_there_is_named(): void
    {
        $this->expectExceptionObject(FieldError::at('mapping.columns', \Harmozon\Core\Words\Message::of('mapping.no_column', name: 'Volt')));
        self::rows(new ReadingsReader(self::mapping(['columns' => ['Volt' => ['field' => 'volts'], 't' => ['field' => 't_s']]])), "t,V\n0,1\n");
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function badMappings(): iterable
    {
        $good = ['columns' => ['t' => ['field' => 't_s'], 'V' => ['field' => 'volts']]];
        yield 'no such field' => [['columns' => ['t' => ['field' => 't_s'], 'V' => ['field' => 'mood']]], 'columns.V.field'];
        yield 'a unit of something else' => [['columns' => ['t' => ['field' => 't_s'], 'V' => ['field' => 'volts', 'unit' => 'kW']]], 'columns.V.unit'];
        yield 'a sign of its own' => [['columns' => ['t' => ['field' => 't_s'], 'V' => ['field' => 'volts', 'sign' => 0]]], 'columns.V.sign'];
        yield 'the same field twice' => [['columns' => ['t' => ['field' => 't_s'], 'V' => ['field' => 'volts'], 'W' => ['field' => 'volts']]], 'columns'];
        yield 'a delimiter of its own' => [['delimiter' => 'x', ...$good], 'delimiter'];
        yield 'one sign for both' => [['delimiter' => ',', 'decimal' => ',', ...$good], 'decimal'];
        yield 'no time at all' => [['columns' => ['V' => ['field' => 'volts']]], 'time'];
        yield 'no such zone' => [['time' => ['column' => 'T', 'zone' => 'Middle/Earth'], ...$good], 'time.zone'];
        yield 'no such encoding' => [['encoding' => 'morse', ...$good], 'encoding'];
        yield 'no columns' => [['delimiter' => ';'], 'columns'];
    }

    /** @param  array<string, mixed>  $mapping */
    #[DataProvider('badMappings')]
    public function test_a_mapping_that_cannot_be_is_refused_by_its_path(array $mapping, string $path): void
    {
        try {
            self::mapping($mapping);
            self::fail('accepted');
        } catch (FieldError $e) {
            self::assertSame($path, $e->path);
        }
    }

    public function test_a_mapping_that_was_written_reads_the_same(): void
    {
        $mapping = self::mapping(['delimiter' => "\t", 'decimal' => ',', 'encoding' => 'utf-16le', 'columns' => ['I' => ['field' => 'amps', 'unit' => 'mA', 'sign' => -1]], 'time' => ['column' => 'Zeit', 'format' => 'd.m.Y H:i:s', 'zone' => 'Europe/Oslo']]);

        self::assertEquals($mapping, self::mapping($mapping->toArray()));
    }

    /** 0 °C is 32 °F and 273.15 K; 1 kV is 1000 V is 1,000,000 mV. */
    public function test_units_come_back_as_they_went(): void
    {
        $this->limitTo(60)->forAll(Generators::elements(ReadingUnit::cases()), Generators::choose(-5000, 5000))
            ->then(static function (ReadingUnit $unit, int $value): void {
                $kept = $value * $unit->factor() + $unit->offset();
                self::assertEqualsWithDelta($value, ($kept - $unit->offset()) / $unit->factor(), 1e-6);
                self::assertSame($unit, ReadingUnit::written($unit->value));
            });
        self::assertEqualsWithDelta(0.0, 32 * ReadingUnit::Fahrenheit->factor() + ReadingUnit::Fahrenheit->offset(), 1e-9);
        self::assertEqualsWithDelta(100.0, 212 * ReadingUnit::Fahrenheit->factor() + ReadingUnit::Fahrenheit->offset(), 1e-9);
        self::assertEqualsWithDelta(20.0, 293.15 * ReadingUnit::Kelvin->factor() + ReadingUnit::Kelvin->offset(), 1e-9);
        self::assertSame([1000.0, 0.001, 60.0, 3600.0, 100.0], [ReadingUnit::KiloVolts->factor(), ReadingUnit::MilliAmps->factor(), ReadingUnit::Minutes->factor(), ReadingUnit::Hours->factor(), ReadingUnit::Share->factor()]);
    }

    public function test_units_are_known_by_the_words_of_headers(): void
    {
        $words = [
            'celsius' => ['°C', 'C', 'Celsius', 'degC', 'deg. C'], 'fahrenheit' => ['°F', 'F', 'degF', 'Fahrenheit'], 'seconds' => ['sec', 'Seconds', 'Sek.'], 'minutes' => ['Mins', 'minute'],
            'hours' => ['hrs', 'Std.'], 'percent' => ['Prozent', 'pct'], 'volts' => ['V', 'Volt'], 'amps' => ['A', 'amps', 'Ampere'], 'kilowatts' => ['kW', 'KW'], 'watts' => ['W', 'Watts'],
        ];
        $units = ['celsius' => ReadingUnit::Celsius, 'fahrenheit' => ReadingUnit::Fahrenheit, 'seconds' => ReadingUnit::Seconds, 'minutes' => ReadingUnit::Minutes, 'hours' => ReadingUnit::Hours, 'percent' => ReadingUnit::Percent, 'volts' => ReadingUnit::Volts, 'amps' => ReadingUnit::Amps, 'kilowatts' => ReadingUnit::KiloWatts, 'watts' => ReadingUnit::Watts];
        foreach ($words as $unit => $written) {
            foreach ($written as $word) {
                self::assertSame($units[$unit], ReadingUnit::written($word), $word);
            }
        }
        foreach (['', 'x', 'volt-ampere', 'temperature'] as $other) {
            self::assertNull(ReadingUnit::written($other), $other);
        }
    }

    public function test_encodings_are_told_by_their_first_bytes(): void
    {
        $text = "t_s,kw,note\n0,50,heiß 🔌\n";
        foreach (['UTF-16LE' => Encoding::Utf16Le, 'UTF-16BE' => Encoding::Utf16Be] as $name => $encoding) {
            $bytes = (string) mb_convert_encoding($text, $name, 'UTF-8');
            self::assertSame($encoding, Encoding::of($bytes));
            self::assertSame($encoding, Encoding::of(($encoding === Encoding::Utf16Le ? "\xFF\xFE" : "\xFE\xFF").$bytes));
            // Cut anywhere, it is put together again.
            for ($cut = 1; $cut < strlen($bytes); $cut++) {
                $piece = substr($bytes, 0, $cut);
                $held = $encoding->openEnd($piece);
                self::assertSame($text, $encoding->toUtf8(substr($piece, 0, $cut - $held)).$encoding->toUtf8(substr($bytes, $cut - $held)));
            }
        }
        self::assertSame(Encoding::Utf8, Encoding::of($text));
        self::assertSame(Encoding::Windows1252, Encoding::of((string) mb_convert_encoding('Größe', 'Windows-1252', 'UTF-8')));
    }

    public function test_events_stand_beside_readings(): void
    {
        $rows = [];
        foreach ((new ReadingsReader)->read(explode("\n", "t_s,kw,event,note\n0,,plugged,\n45,50,current_flows,at last\n60,51,exploded,\n90,52,,\n")) as $line => $row) {
            $rows[] = [$line, $row];
        }

        self::assertEquals([
            [2, new Event(EventCode::Plugged, 0)],
            [3, new Reading(45_000, kw: 50.0, note: 'at last')],
            [3, new Event(EventCode::CurrentFlows, 45_000, 'at last')],
            [4, new Reading(60_000, kw: 51.0)],
        ], array_slice($rows, 0, 4));
        self::assertInstanceOf(RejectedRow::class, $rows[4][1]);
        self::assertStringStartsWith('event: "exploded" is not one of plugged, ', Say::it($rows[4][1]->reason));
        self::assertEquals([5, new Reading(90_000, kw: 52.0)], $rows[5]);
    }

    /** @param  array<string, mixed>  $mapping */
    private static function mapping(array $mapping): Mapping
    {
        return (new MappingReader)->mapping(Node::of($mapping));
    }

    /** @return array<int, Reading|Event|RejectedRow> by line */
    private static function rows(ReadingsReader $reader, string $text): array
    {
        return iterator_to_array($reader->read(explode("\n", $text)));
    }

    private static function rounded(Reading|Event|RejectedRow $row): Reading|Event|RejectedRow
    {
        return ! $row instanceof Reading ? $row : new Reading($row->tMs, $row->socPct, $row->volts, $row->amps, $row->kw === null ? null : round($row->kw, 6), array_map(static fn (float $c): float => round($c, 6), $row->celsius), $row->source, $row->note);
    }
}
