<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Review;

use Eris\Generators;
use Eris\TestTrait;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Review\Comparison;
use Harmozon\Core\Review\Confounder;
use Harmozon\Core\Review\RecordedSession;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** One session against another, both of a car of 60 kWh whose pack takes 95 % of what the plug gives. */
final class ComparisonTest extends TestCase
{
    use TestTrait;

    /** 100 kW take 60 · 0.5 / 0.95 / 100 h = 18.95 minutes for 50 %; 90 kW take 21.05. */
    public function test_a_slower_session_in_figures(): void
    {
        $comparison = Comparison::of(self::session(90.0), self::session(100.0));

        self::assertSame('slower', $comparison->answer->value);
        self::assertSame([10.0, 60.0], $comparison->sharedSoc);
        self::assertEqualsWithDelta(0.9, $comparison->ratio?->value, 0.002);
        self::assertEqualsWithDelta(60 * 60 * 0.5 / 0.95 * (1 / 90 - 1 / 100), $comparison->minutesDifference, 0.05);
        self::assertSame([], $comparison->confounders);
        self::assertSame('Slower by 2.1 min: 90 % of the power between 10 % and 60 % charge.', Say::it($comparison->sentence));
    }

    /** @return iterable<string, array{float, string}> */
    public static function scales(): iterable
    {
        yield 'the same' => [1.0, 'no_difference'];
        yield '2.9 % less' => [0.971, 'no_difference'];
        yield '3.5 % less' => [0.965, 'slower'];
        yield '2.9 % more' => [1.029, 'no_difference'];
        yield '3.5 % more' => [1.035, 'faster'];
    }

    #[DataProvider('scales')]
    public function test_what_counts_as_a_difference(float $scale, string $answer): void
    {
        self::assertSame($answer, Comparison::of(self::session(100 * $scale), self::session(100.0))->answer->value);
    }

    public function test_a_scaled_session_compares_at_its_scale(): void
    {
        $this->limitTo(25)->forAll(Generators::choose(40, 250), Generators::choose(30, 300), Generators::elements([5, 10, 30, 60]))
            ->then(static function (int $percent, int $kw, int $everyS): void {
                $ratio = Comparison::of(self::session($kw * $percent / 100, everyS: $everyS), self::session($kw, everyS: $everyS))->ratio;

                self::assertEqualsWithDelta($percent / 100, $ratio?->value, 0.02 * $percent / 100);
                self::assertLessThanOrEqual($ratio->value + 1e-9, $ratio->low);
                self::assertGreaterThanOrEqual($ratio->value - 1e-9, $ratio->high);
            });
    }

    public function test_whole_percents_of_a_screen_make_no_difference(): void
    {
        $exact = Comparison::of(self::session(90.0), self::session(100.0))->ratio;
        $whole = Comparison::of(self::session(90.0, rounds: true), self::session(100.0, rounds: true))->ratio;

        self::assertEqualsWithDelta($exact?->value, $whole?->value, 0.01);
    }

    public function test_one_that_differs_from_place_to_place_cannot_be_told(): void
    {
        $uneven = static fn (float $soc): float => (int) ($soc / 5) % 2 === 0 ? 70.0 : 130.0;
        $comparison = Comparison::of(self::session($uneven), self::session(100.0));

        self::assertSame('cannot_tell', $comparison->answer->value);
        self::assertLessThan(0.97, $comparison->ratio?->low);
        self::assertGreaterThan(1.03, $comparison->ratio?->high);
        self::assertStringStartsWith("These two sessions can't tell: ", Say::it($comparison->sentence));
    }

    public function test_too_little_charge_in_common(): void
    {
        $nothing = Comparison::of(self::session(90.0, 10, 25), self::session(100.0, 30, 60));
        $little = Comparison::of(self::session(50.0, 10, 44.5), self::session(100.0, 30, 60));
        $enough = Comparison::of(self::session(50.0, 10, 46), self::session(100.0, 30, 60));

        self::assertSame(['cannot_tell', null, 'These two sessions share no charge range.'], [$nothing->answer->value, $nothing->ratio, Say::it($nothing->sentence)]);
        self::assertSame(['cannot_tell', 'These two sessions share 14 % of charge; it takes 15 % to tell.'], [$little->answer->value, Say::it($little->sentence)]);
        self::assertSame('slower', $enough->answer->value);
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, string|null, string}> changes, of the session too, its code, its words */
    public static function confounders(): iterable
    {
        yield 'starts 6 points apart' => [[], ['from' => 16.0], 'start_soc', 'Started at 16 %, the other session at 10 %.'];
        yield 'starts 5 points apart' => [[], ['from' => 15.0], null, ''];
        yield '6 K warmer air' => [['conditions.ambient_c' => 31], [], 'ambient', 'Ambient was 31 °C, 6 K warmer than in the other session (25 °C).'];
        yield '5 K warmer air' => [['conditions.ambient_c' => 30], [], null, ''];
        yield '6 K colder air, as read' => [[], ['celsius' => ['ambient' => 19.0]], 'ambient', 'Ambient was 19 °C, 6 K colder than in the other session (25 °C).'];
        yield 'another station' => [['outlet.id' => 'other', 'outlet.name' => 'Other post'], [], 'station', 'At Other post, the other session at Test post.'];
        yield 'another stall' => [[], ['stall' => '3'], 'stall', 'At stall 3, the other session at stall 2.'];
        yield 'a prepared pack' => [['conditions.pack_prepared' => false, 'conditions.pack_c' => 30], [], 'preparation', 'The battery was warmed up for one session and not for the other.'];
        yield 'prepared for some minutes' => [['conditions.pack_prepared' => 5, 'conditions.pack_c' => 30], [], 'preparation', 'The battery was warmed up for one session and not for the other.'];
        yield 'preparation that nobody noted' => [['conditions.pack_prepared' => null], [], 'preparation', 'Not noted for both sessions: whether the battery was warmed up.'];
        yield 'another cable' => [['outlet.cable.continuous_a' => 400], [], 'cable', 'A cooled cable of 400 A, in the other session a cooled cable of 500 A.'];
        yield 'an uncooled cable' => [['outlet.cable.cooled' => false], [], 'cable', 'An uncooled cable of 500 A, in the other session a cooled cable of 500 A.'];
        yield 'estimated power' => [[], ['amps' => true], 'estimated', 'Charge or power in one of them is estimated, not read.'];
        yield 'charge that nobody read' => [[], ['soc' => false], 'estimated', 'Charge or power in one of them is estimated, not read.'];
    }

    /**
     * @param  array<string, mixed>  $changes
     * @param  array<string, mixed>  $how
     */
    #[DataProvider('confounders')]
    public function test_what_else_was_different(array $changes, array $how, ?string $code, string $words): void
    {
        $with = self::session(90.0, $how['from'] ?? 10.0, 60, 10, $changes, $how['celsius'] ?? [], $how['stall'] ?? '2', $how['amps'] ?? false, $how['soc'] ?? true);
        foreach ([Comparison::of($with, self::session(100.0, stall: '2'))] as $comparison) {
            self::assertSame($code === null ? [] : [$code], array_map(static fn (Confounder $c): string => $c->code, $comparison->confounders));
            self::assertSame($words, $code === null ? '' : Say::it($comparison->confounders[0]->detail));
        }
        self::assertSame($code === null ? [] : [$code], array_map(static fn (Confounder $c): string => $c->code, Comparison::of(self::session(100.0, stall: '2'), $with)->confounders));
    }

    public function test_two_confounders_stand_beside_the_difference(): void
    {
        $comparison = Comparison::of(self::session(90.0, changes: ['conditions.ambient_c' => 40, 'outlet.id' => 'other']), self::session(100.0));

        self::assertSame('Slower by 2.1 min: 90 % of the power between 10 % and 60 % charge. But the ambient temperature and the station differed too.', Say::it($comparison->sentence));
        self::assertStringNotContainsString('differed too', Say::it(Comparison::of(self::session(90.0, changes: ['outlet.id' => 'other']), self::session(100.0))->sentence));
    }

    public function test_rises_stand_side_by_side(): void
    {
        $rises = Comparison::of(self::session(90.0, celsius: ['adapter' => 40.0, 'handle' => 33.0, 'ambient' => 22.0]), self::session(100.0, celsius: ['handle' => 30.0, 'ambient' => 20.0]))->risesK;

        self::assertEquals(['adapter' => [18.0, null], 'handle' => [11.0, 10.0]], $rises);
    }

    /**
     * @param  float|\Closure(float): float  $kw  at the plug, or by charge
     * @param  array<string, mixed>  $changes
     * @param  array<string, float>  $celsius
     */
    private static function session(float|\Closure $kw, float $from = 10.0, float $to = 60.0, int $everyS = 10, array $changes = [], array $celsius = [], ?string $stall = null, bool $onlyAmps = false, bool $readsSoc = true, bool $rounds = false): RecordedSession
    {
        $case = Cases::read(Cases::file(case: ['conditions.soc_from' => $from, ...$changes]));
        $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
        $judge = new Judge($answer, $case->conditions);
        $soc = $from;
        $tS = 40;
        while (true) {
            $now = $kw instanceof \Closure ? $kw($soc) : $kw;
            $shown = $rounds ? floor($soc) : $soc;
            $judge->add($onlyAmps
                ? new Reading(1000 * $tS, $shown, null, $now * 1000 / (320 + ($soc - 10) * 4 / 7), null, $celsius)
                : new Reading(1000 * $tS, $readsSoc ? $shown : null, 340, $now * 1000 / 340, $now, $celsius));
            if ($soc >= $to) {
                break;
            }
            $step = min($everyS, max(1, (int) round(($to - $soc) / ($now * 0.95 / 60 / 36))));
            $soc = min($to, $soc + $now * $step / 3600 * 0.95 / 60 * 100);
            $tS += $step;
        }

        return RecordedSession::of($answer, $case->conditions, $judge->judgement(), [], $stall);
    }
}
