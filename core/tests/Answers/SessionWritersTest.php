<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Answers;

use Harmozon\Core\Answers\ReviewWriter;
use Harmozon\Core\Answers\TrustWriter;
use Harmozon\Core\Ocpi\CdrSession;
use Harmozon\Core\Ocpi\CdrWriter;
use Harmozon\Core\Readings\CsvLine;
use Harmozon\Core\Readings\Foreign\FormatGuess;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Review\DutyStrip;
use Harmozon\Core\Review\Memory\Grades;
use Harmozon\Core\Review\RecordedSession;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\TestCase;

/** What a session says, as it is written: by hand, figure by figure. */
final class SessionWritersTest extends TestCase
{
    /** 400 A through 250 A for good and 400 A for ten minutes: θ at 300 s is 2.56 · (1 − e^(−5 / 20.19)) = 0.5616, and the boost is spent at 600 s. */
    public function test_a_strip_of_amps_and_heat_is_written_with_its_moments(): void
    {
        $recorded = self::recorded(array_map(static fn (int $i): Reading => new Reading(30_000 * $i, 10 + $i / 10, 330, 400.04, 132, ['adapter' => 31.26]), range(0, 30)));
        $writer = new ReviewWriter(Say::voice());
        $strips = array_column(array_map($writer->duty(...), DutyStrip::each($recorded->diagnosis)), null, 'link');

        self::assertSame(['link' => 'a1', 'name' => 'A1', 'spent_at_s' => 600.0], array_diff_key($strips['a1'], ['points' => 0]));
        self::assertSame(['t_s' => 300.0, 'a' => 400.0, 'allowed_a' => 400.0, 'theta' => 0.562], $strips['a1']['points'][10]);
        self::assertSame([['point' => 'adapter', 'points' => 31, 'c' => 31.3]], array_map(static fn (array $w): array => ['point' => $w['point'], 'points' => count($w['points']), 'c' => $w['points'][7]['c']], $writer->warmth($recorded)));
    }

    public function test_a_charge_detail_record_tells_energy_time_and_the_highest_power(): void
    {
        $outlet = Cases::read(Cases::file())->outlet;
        $at = static fn (string $hour): \DateTimeImmutable => new \DateTimeImmutable("2026-05-01T{$hour}+02:00");
        $record = CdrWriter::record(new CdrSession('S1', $outlet, null, $at('10:00:00'), $at('10:22:13'), 41.23456, 149.98765, ['amount' => '18.40', 'currency' => 'EUR']), 'USD', $at('12:00:00'));

        self::assertSame(['2026-05-01T08:00:00Z', '2026-05-01T08:22:13Z', '2026-05-01T10:00:00Z', 'EUR'], [$record['start_date_time'], $record['end_date_time'], $record['last_updated'], $record['currency']]);
        // 22 min 13 s are 0.37028 h.
        self::assertSame([['type' => 'ENERGY', 'volume' => 41.235], ['type' => 'TIME', 'volume' => 0.3703], ['type' => 'MAX_POWER', 'volume' => 149.988]], $record['charging_periods'][0]['dimensions']);
        self::assertSame([['excl_vat' => 18.4], 41.235, 0.3703], [$record['total_cost'], $record['total_energy'], $record['total_time']]);

        $unread = CdrWriter::record(new CdrSession('S1', $outlet, null, $at('10:00:00'), $at('10:00:00'), null, null, null), 'USD', $at('12:00:00'));
        self::assertSame([['type' => 'TIME', 'volume' => 0.0]], $unread['charging_periods'][0]['dimensions']);
        self::assertSame(['USD', false, false], [$unread['currency'], isset($unread['total_cost']), isset($unread['total_energy'])]);
    }

    /** Errors of +1.117 and −0.114 minutes: 0.6155 on the mean, leaning by 0.5015. */
    public function test_grades_are_written_to_the_hundredth(): void
    {
        $grade = static fn (float $took, float $error, float $bias): array => ['minutes' => 20.0, 'measured_minutes' => $took, 'mean_error_kw' => $error, 'bias_kw' => $bias];
        $told = (new TrustWriter(Say::voice()))->grades(Grades::of([$grade(21.117, 6.125, -4.0), $grade(19.886, 2.0, 1.0)]));

        self::assertSame([2, 0.62, 0.5, 4.06, -1.5], [$told['sessions'], $told['mean_minutes'], $told['lean_minutes'], $told['mean_kw'], $told['bias_kw']]);
        self::assertSame([], (new TrustWriter(Say::voice()))->grades(null));
    }

    public function test_a_decimal_sign_is_the_one_that_is_used_more(): void
    {
        $decimal = static fn (string ...$cells): ?string => FormatGuess::guess(['t (s);U [V];I [A]', ...array_map(static fn (string $c): string => "1;{$c}", $cells)])?->decimal;

        self::assertSame([',', '.', '.'], [$decimal('350,5;250,5', '351;250.5'), $decimal('350,5;250.5', '351;250'), $decimal('350.5;250.5', '351;250,5')]);
    }

    public function test_a_column_of_words_is_no_quantity_whatever_its_name(): void
    {
        $guess = FormatGuess::guess(["t (s);Power (kW);Current (A)\n", "0;idle;250\n", "1;idle;250\n", "2;50;250\n"]);

        self::assertSame(['t (s)', 'Current (A)'], array_keys($guess->columns ?? []));
        self::assertSame(['t (s)', 'Power (kW)'], array_keys(FormatGuess::guess(["t (s);Power (kW)\n", "0;idle\n", "1;50\n"])->columns ?? []));
    }

    public function test_a_cell_is_quoted_where_it_must_be(): void
    {
        self::assertSame("a,\"b,c\",\"say \"\"so\"\"\",\"two\nlines\",\r\n", CsvLine::of(['a', 'b,c', 'say "so"', "two\nlines", '']));
    }

    /** @param  list<Reading>  $readings */
    private static function recorded(array $readings): RecordedSession
    {
        $case = Cases::read(Cases::file(case: ['outlet.coupler' => 'j3400', 'adapters' => [['id' => 'a1', 'name' => 'A1', 'input' => 'j3400', 'output' => 'ccs1', 'current' => 'dc', 'certification' => 'certified', 'holds_back' => true,
            'plate' => ['max_v' => 1000, 'continuous_a' => 250, 'boost_a' => 400, 'boost_minutes' => 10]]]]));
        $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
        $judge = new Judge($answer, $case->conditions);
        array_map($judge->add(...), $readings);

        return RecordedSession::of($answer, $case->conditions, $judge->judgement(), []);
    }
}
