<?php

declare(strict_types=1);

namespace Tests\Attack;

use Harmozon\Core\Answers\CheckWriter;
use Harmozon\Core\Answers\FitWriter;
use Harmozon\Core\Answers\ForecastWriter;
use Harmozon\Core\Case\CaseReader;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Readings\Foreign\FileHead;
use Harmozon\Core\Readings\Foreign\MappingReader;
use Harmozon\Core\Readings\Foreign\Preview;
use Harmozon\Core\Readings\ReadingsReader;
use Harmozon\Core\Readings\RejectedRow;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use Harmozon\Core\Words\Refusal;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Mutated files: each is answered or refused by its field, and no row of a readings file disappears. */
final class FileFuzzTest extends TestCase
{
    private const JUNK = [null, '', 'x', '500', true, false, 0, -1, 1, 100, 1e308, -1e308, 0.000001, [], [[]], [[0, 1]], ['a' => 1], ['plc'], [null], 'ccs1', 'dc', "\u{202e}\0"];

    public function test_a_mutated_case_is_answered_or_refused(): void
    {
        $answered = $refused = 0;
        for ($seed = 0, $rounds = Rounds::of(300, 10_000); $seed < $rounds; $seed++) {
            $random = new Randomizer(new Mt19937($seed));
            $file = self::mutated(Cases::file(adapters: [[], ['id' => 'a2', 'input' => 'ccs1', 'output' => 'j3400']], outlet: ['coupler' => 'j3400', 'tariff' => ['currency' => 'USD', 'per_kwh' => '0.4'], 'cabinet' => ['kw' => 300, 'policy' => 'halves']]), $random, 1 + $seed % 4);
            try {
                $case = (new CaseReader)->json((string) json_encode($file, JSON_PARTIAL_OUTPUT_ON_ERROR));
                $answer = $case->fitter()->answer($case->outlet, $case->vehicle);
                $told = [(new FitWriter(Say::voice()))->answer($answer, []), (new ForecastWriter(Say::voice()))->forecast((new Forecaster)->forecast($answer->best, $case->conditions), $case->conditions)];
                self::assertJson((string) json_encode($told, JSON_THROW_ON_ERROR), "seed {$seed}");
                $answered++;
            } catch (Refusal $e) {
                self::assertNotSame('', Say::complaint($e), "seed {$seed}");
                $refused++;
            } catch (\Throwable $e) {
                self::fail("seed {$seed}: {$e->getMessage()} at {$e->getFile()}:{$e->getLine()}");
            }
        }
        // Both happen, or nothing was tried.
        self::assertGreaterThan(0, min($answered, $refused));
    }

    public function test_no_row_of_a_mutated_readings_file_disappears(): void
    {
        $case = Cases::read(Cases::file());
        $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
        for ($seed = 0, $rounds = Rounds::of(150, 5_000); $seed < $rounds; $seed++) {
            $random = new Randomizer(new Mt19937($seed));
            $rows = $sound = array_map(static fn (int $i): string => $i * 10 .",{$i},340,250,85,note {$i}", range(1, 30));
            foreach (range(1, 1 + $seed % 6) as $_) {
                $i = $random->getInt(0, 29);
                $at = $random->getInt(0, strlen($rows[$i]));
                $rows[$i] = substr($rows[$i], 0, $at).$random->shuffleArray(['"', '""', ',', ';', "\xff", "\0", '-', 'e9', ' ', '"x'])[0].substr($rows[$i], $at + $random->getInt(0, 2));
            }
            $seen = [];
            $judge = new Judge($answer, $case->conditions);
            $understood = $rejected = 0;
            try {
                foreach ((new ReadingsReader)->read(['t_s,soc_pct,volts,amps,kw,note', ...$rows]) as $line => $row) {
                    $seen[$line] = $row;
                    if ($row instanceof RejectedRow) {
                        $rejected++;
                    } else {
                        $understood++;
                        $judge->add($row);
                    }
                }
            } catch (\Throwable $e) {
                self::fail("seed {$seed}: {$e->getMessage()} at {$e->getFile()}:{$e->getLine()}");
            }
            // Whatever stands around it, a sound row is read, and a broken one is told by its line or lies in a record before it.
            foreach ($rows as $i => $row) {
                if ($row === $sound[$i]) {
                    self::assertInstanceOf(Reading::class, $seen[$i + 2] ?? null, "seed {$seed}, line ".($i + 2));
                    self::assertSame('note '.($i + 1), $seen[$i + 2]->note, "seed {$seed}");
                }
            }
            self::assertSame(count($seen), $understood + $rejected);
            self::assertSame($understood, (new CheckWriter(Say::voice()))->judgement($judge->judgement())['readings']);
        }
    }

    /** A foreign file and what is said of its columns: each row is read or told by its line, or all of it is refused by a field. */
    public function test_a_mutated_mapping_and_a_foreign_file_are_read_or_refused(): void
    {
        $told = ['delimiter' => ';', 'decimal' => ',', 'encoding' => 'windows-1252', 'columns' => ['Batt. [%]' => ['field' => 'soc_pct'], 'I (mA)' => ['field' => 'amps', 'unit' => 'mA', 'sign' => -1], 'T' => ['field' => 'adapter_c', 'unit' => 'degF']], 'time' => ['column' => 'Zeit', 'format' => 'd.m.Y H:i:s', 'zone' => 'Europe/Oslo']];
        $lines = ["Zeit;Batt. [%];I (mA);T\n", ...array_map(static fn (int $i): string => sprintf("01.05.2026 10:%02d:00;%d,5;-%d;70\n", $i, 20 + $i, 250_000 + $i), range(0, 19))];
        $read = $refused = 0;
        for ($seed = 0, $rounds = Rounds::of(300, 10_000); $seed < $rounds; $seed++) {
            $random = new Randomizer(new Mt19937($seed));
            $text = implode('', $lines);
            for ($i = $random->getInt(0, 4); $i > 0; $i--) {
                $at = $random->getInt(0, strlen($text));
                $text = substr($text, 0, $at).$random->shuffleArray(['"', ';', ',', "\n", "\xff", "\0", '-', 'x', "\r\n", "\t", '""'])[0].substr($text, $at + $random->getInt(0, 3));
            }
            $some = preg_split('/(?<=\n)/', $text) ?: [];
            try {
                $mapping = $seed % 3 === 0 ? null : (new MappingReader)->mapping(Node::fromJson((string) json_encode($seed % 3 === 1 ? $told : self::mutated($told, $random, 1 + $seed % 3), JSON_PARTIAL_OUTPUT_ON_ERROR)));
                $head = FileHead::of($some, $mapping);
                self::assertCount(count($head->headers), $head->samples, "seed {$seed}");
                $look = Preview::of($some, $mapping, $random->getInt(-600_000, 600_000), 1_000);
                self::assertTrue($look->problem !== null || $look->understood + $look->rejected->count > 0, "seed {$seed}");
                $look->problem === null ? $read++ : $refused++;
            } catch (Refusal $e) {
                self::assertNotSame('', Say::complaint($e), "seed {$seed}");
                $refused++;
            } catch (\Throwable $e) {
                self::fail("seed {$seed}: {$e->getMessage()} at {$e->getFile()}:{$e->getLine()}");
            }
        }
        self::assertGreaterThan(0, min($read, $refused));
    }

    /**
     * @param  array<array-key, mixed>  $document
     * @return array<array-key, mixed>
     */
    private static function mutated(array $document, Randomizer $random, int $times): array
    {
        for ($i = 0; $i < $times; $i++) {
            $at = &$document;
            for ($depth = $random->getInt(1, 5); $depth > 0 && is_array($at) && $at !== []; $depth--) {
                $at = &$at[$random->pickArrayKeys($at, 1)[0]];
            }
            $at = self::JUNK[$random->getInt(0, count(self::JUNK) - 1)];
            unset($at);
        }

        return $document;
    }
}
