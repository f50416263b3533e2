<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Readings;

use Harmozon\Core\Readings\AmbiguousFile;
use Harmozon\Core\Readings\ReadingsReader;
use Harmozon\Core\Readings\RejectedRow;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * 120 files of instruments that do not exist: 110 are read right at once, ten can be read in two ways and are asked about, none is
 * read wrong without a word.
 */
final class InventedFilesTest extends TestCase
{
    /** Time, hour, charge, volts, amps, power, handle, and two columns that hold nothing of ours. */
    private const HEADERS = [
        'en' => ['Timestamp', 'Hour', 'State of charge', 'Voltage', 'Current', 'Power', 'Handle temp', 'Odometer', '12 V battery'],
        'de' => ['Datum', 'Uhrzeit', 'Ladestand', 'Spannung', 'Strom', 'Leistung', 'Temp Stecker', 'Kilometer', 'Batterie 12V'],
        'fr' => ['Date', 'Heure', 'État de charge', 'Tension', 'Courant', 'Puissance', 'Temp poignée', 'Kilométrage', 'Max puissance'],
        'es' => ['Fecha', 'Hora', 'Estado de carga', 'Tensión', 'Corriente', 'Potencia', 'Temp empuñadura', 'Límite', 'km'],
        'it' => ['Data', 'Ora', 'Stato di carica', 'Tensione', 'Corrente', 'Potenza', 'Temp impugnatura', 'Max', 'km'],
        'nl' => ['Datum', 'Tijd', 'Laadniveau', 'Spanning', 'Stroom', 'Vermogen', 'Temp stekker', 'Kilometers', 'Max stroom'],
        'no' => ['Dato', 'Klokkeslett', 'Ladenivå', 'Spenning', 'Strøm', 'Effekt', 'Temp håndtak', 'Km', 'Maks'],
        'sv' => ['Datum', 'Klockslag', 'Laddning', 'Spänning', 'Ström', 'Effekt', 'Temp handtag', 'Km', 'Max'],
        'da' => ['Dato', 'Tid', 'Ladeniveau', 'Spænding', 'Strøm', 'Effekt', 'Temp håndtag', 'Km', 'Max'],
        'fi' => ['Aika', 'Kello', 'Varaus', 'Jännite', 'Virta', 'Teho', 'Lämpötila kahva', 'Km', 'Max'],
        'pl' => ['Data', 'Godzina', 'Poziom naładowania', 'Napięcie', 'Prąd', 'Moc', 'Temp uchwyt', 'Km', 'Limit'],
        'pt' => ['Data', 'Hora', 'Nível de carga', 'Tensão', 'Corrente', 'Potência', 'Temp punho', 'Km', 'Limite'],
    ];

    /** Clocks by which a session from 10:00:00 on the 14th is told. */
    private const CLOCKS = ['iso', 'epoch', 'epoch_ms', 'dotted', 'slashed', 'am_pm', 'am_pm_dated', 'two_columns', 'two_dotted', 'elapsed_s', 'elapsed_min', 'hms', 'm_ss'];

    private const BETWEEN = [';', "\t", '|', ','];

    private const THOUSANDS = ['', ' ', "'", 'other', "\u{202F}"];

    private const AROUND = ['', 'sep', 'title', 'comments'];

    /** @return iterable<string, array{list<string>}> */
    public static function sure(): iterable
    {
        for ($n = 0; $n < 110; $n++) {
            $language = array_keys(self::HEADERS)[$n % 12];
            $clock = self::CLOCKS[$n % 13];
            $delimiter = self::BETWEEN[intdiv($n, 3) % 4];
            $decimal = $n % 2 === 0 ? ',' : '.';
            yield "{$n}: {$language}, {$clock}, ".json_encode([$delimiter, $decimal], JSON_THROW_ON_ERROR) => [self::file($language, $clock, $delimiter, $decimal, $n)];
        }
    }

    /** @return iterable<string, array{list<string>}> that nothing inside tells how to read */
    public static function unsure(): iterable
    {
        foreach (['0:00;0:10;0:50', '1:05;1:20;2:10', '9:59;10:01;10:04'] as $times) {
            foreach ([';', ','] as $delimiter) {
                yield "a clock in two parts, {$times}, {$delimiter}" => [["Time{$delimiter}Power (kW)", ...array_map(static fn (string $t): string => "{$t}{$delimiter}50", explode(';', $times))]];
            }
        }
        foreach (['.', ','] as $sign) {
            yield "watts with {$sign}" => [['t_s;Power (W)', "0;50{$sign}123", "10;51{$sign}004", "20;49{$sign}871"]];
            yield "seconds with {$sign}" => [['Elapsed (s);Power (kW)', "1{$sign}000;50", "2{$sign}000;51", "3{$sign}000;52"]];
        }
    }

    /** @param  list<string>  $lines */
    #[DataProvider('sure')]
    public function test_it_is_read_right(array $lines): void
    {
        $reader = new ReadingsReader;
        $said = [];
        $readings = [];
        foreach ($reader->read($lines) as $row) {
            if ($row instanceof RejectedRow) {
                $said[] = Say::it($row->reason);
            } elseif ($row instanceof Reading) {
                $readings[] = $row;
            }
        }
        $text = implode("\n", [...array_slice($lines, 0, 8), '…', end($lines)]);

        self::assertSame([], array_values(array_diff($said, ['a line of totals, not a reading'])), $text);
        self::assertCount(20, $readings, $text);
        foreach ($readings as $i => $reading) {
            [$soc, $volts, $amps, $kw, $celsius] = self::truth($i);
            self::assertSame($i * 60_000, $reading->tMs, $text);
            self::assertEqualsWithDelta([$soc, $volts, $amps, $kw], [$reading->socPct, $reading->volts, $reading->amps, $reading->kw], 0.06, $text);
            self::assertEqualsWithDelta($i === 3 ? null : $celsius, $reading->celsius['handle'] ?? null, 0.06, $text);
        }
        self::assertCount(2, $reader->ignoredColumns(), 'both columns that hold nothing of ours are named: '.implode(', ', $reader->ignoredColumns())."\n{$text}");
    }

    /** @param  list<string>  $lines */
    #[DataProvider('unsure')]
    public function test_it_is_asked_about_with_both_readings(array $lines): void
    {
        try {
            iterator_to_array((new ReadingsReader)->read($lines), false);
            self::fail('it was read: '.implode(' / ', $lines));
        } catch (AmbiguousFile $unsure) {
            self::assertCount(2, $unsure->ways);
            self::assertNotSame(Say::it($unsure->ways[0]['words']), Say::it($unsure->ways[1]['words']));
            // Either mapping settles it, and the two read it otherwise.
            $seconds = $power = [];
            foreach ($unsure->ways as $way) {
                $rows = iterator_to_array((new ReadingsReader($way['mapping']))->read($lines), false);
                self::assertContainsOnlyInstancesOf(Reading::class, $rows);
                $seconds[] = array_map(static fn (object $r): int => $r instanceof Reading ? $r->tMs : -1, $rows);
                $power[] = array_map(static fn (object $r): ?float => $r instanceof Reading ? $r->kw : null, $rows);
            }
            self::assertNotSame([$seconds[0], $power[0]], [$seconds[1], $power[1]]);
        }
    }

    public function test_there_are_120(): void
    {
        self::assertSame([110, 10], [count(iterator_to_array(self::sure())), count(iterator_to_array(self::unsure()))]);
    }

    /** @return array{float, float, float, float, float} % of charge, V, A, kW, °C of the handle at minute $i */
    private static function truth(int $i): array
    {
        return [20.0 + 2 * $i, 380.0 + 0.5 * $i, 1150.0 - 23.4 * $i, round((380.0 + 0.5 * $i) * (1150.0 - 23.4 * $i) / 1000, 1), 24.0 + 1.3 * $i];
    }

    /** @return list<string> */
    private static function file(string $language, string $clock, string $delimiter, string $decimal, int $n): array
    {
        [$time, $hour, $soc, $volts, $amps, $power, $handle, $other, $another] = self::HEADERS[$language];
        $thousands = self::THOUSANDS[$n % 5];
        $thousands = $thousands === 'other' ? ($decimal === '.' ? ',' : '.') : $thousands;
        $isWatts = $n % 3 === 0;
        $isFahrenheit = $n % 7 === 2;
        $units = ['%', 'V', 'A', $isWatts ? 'W' : 'kW', $isFahrenheit ? '°F' : '°C'];
        $place = ['brackets', 'row', 'cells'][$n % 3];
        $named = static fn (string $header, string $unit): string => $place === 'brackets' ? "{$header} ({$unit})" : $header;
        $header = [
            ...self::clockHeaders($clock, $time, $hour),
            ...array_map($named, [$soc, $volts, $amps, $power, $handle], $units), $other, $another,
        ];
        $rows = [];
        foreach (range(0, 19) as $i) {
            [$charge, $v, $a, $kw, $c] = self::truth($i);
            $figures = [$charge, $v, $a, $isWatts ? 1000 * $kw : $kw, $isFahrenheit ? $c * 9 / 5 + 32 : $c];
            $cells = array_map(static fn (float $f, string $unit): string => self::number($f, $decimal, $thousands).($place === 'cells' ? " {$unit}" : ''), $figures, $units);
            $cells[4] = $i === 3 ? ['-', '--', 'n/a', 'NaN', ''][$n % 5] : $cells[4];
            $rows[] = [...self::clockCells($clock, $i), ...$cells, '48211', '13'];
        }
        if ($n % 5 === 1) {
            $rows = array_reverse($rows);
        }
        $table = [
            $header,
            ...($place === 'row' ? [[...array_fill(0, count($header) - 7, ''), ...$units, '', '']] : []),
            ...$rows,
            ...($n % 4 === 1 ? [['Total', ...array_fill(0, count($header) - 2, ''), '999']] : []),
        ];
        $lines = array_map(static fn (array $cells): string => implode($delimiter, array_map(static fn (string $c): string => str_contains($c, $delimiter) ? "\"{$c}\"" : $c, $cells)), $table);

        return [...match (self::AROUND[$n % 4]) {
            'sep' => ["sep={$delimiter}"],
            'title' => ['Session 12', "Recorder{$delimiter}unit 4", ''],
            'comments' => ['# made by nobody', '# power in the table below'],
            default => [],
        }, ...$lines];
    }

    /** @return list<string> */
    private static function clockHeaders(string $clock, string $time, string $hour): array
    {
        return match ($clock) {
            'two_columns', 'two_dotted' => [$time, $hour],
            'elapsed_s' => ['Elapsed (s)'],
            'elapsed_min' => ['Elapsed (min)'],
            default => [$time],
        };
    }

    /** @return list<string> */
    private static function clockCells(string $clock, int $minute): array
    {
        $at = (new \DateTimeImmutable('2031-05-14 10:50:00', new \DateTimeZone('UTC')))->modify("+{$minute} minutes");

        return match ($clock) {
            'iso' => [$at->format('Y-m-d\TH:i:s')],
            'epoch' => [$at->format('U')],
            'epoch_ms' => [$at->format('U').'000'],
            'dotted' => [$at->format('d.m.Y H:i:s')],
            'slashed' => [$at->format('m/d/Y H:i:s')],
            'am_pm' => [$at->modify('+1 hour')->format('g:i:s A')],
            'am_pm_dated' => [$at->format('n/j/Y g:i:s A')],
            'two_columns' => [$at->format('Y-m-d'), $at->format('H:i:s')],
            'two_dotted' => [$at->format('j.n.Y'), $at->format('H:i')],
            'elapsed_s' => [(string) ($minute * 60)],
            'elapsed_min' => [(string) $minute],
            'hms' => [$at->format('H:i:s')],
            default => [sprintf('%d:00', 10 + $minute)],
        };
    }

    private static function number(float $figure, string $decimal, string $thousands): string
    {
        return number_format($figure, 1, $decimal, $thousands);
    }
}
