<?php

declare(strict_types=1);

namespace Tests\Attack;

use Harmozon\Core\Files\CaseReader;
use Harmozon\Core\Files\CheckWriter;
use Harmozon\Core\Files\FitWriter;
use Harmozon\Core\Files\ForecastWriter;
use Harmozon\Core\Files\ReadingsReader;
use Harmozon\Core\Files\RejectedRow;
use Harmozon\Core\Forecast\Forecaster;
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
