<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Review;

use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Review\Headline;
use Harmozon\Core\Review\LogWords;
use Harmozon\Core\Review\Memory\Sums;
use Harmozon\Core\Review\Memory\Visit;
use Harmozon\Core\Review\Proof;
use Harmozon\Core\Review\RecordedSession;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\TestCase;

/** The sentences that stand first, what is proven, and what sessions add up to. */
final class HeadlineTest extends TestCase
{
    private const ADAPTED = ['outlet.coupler' => 'j3400', 'adapters' => [Cases::ADAPTER]];

    public function test_what_cost_the_most_stands_first(): void
    {
        $derated = self::session(60.0);

        self::assertStringStartsWith('Within all ratings; a derated stall cost ', Say::it(Headline::of($derated)));
        self::assertSame('Change stalls. If the next one gives as little, the cause is elsewhere.', Say::it(Headline::beside($derated)[0]));
    }

    /** 90 kW for 18.25 minutes beyond the ramp, where the car alone takes 150: 7.3 minutes longer, as was known. */
    public function test_what_was_known_to_cost_is_told_against_the_car(): void
    {
        $known = self::session(90.0, ['outlet.max_kw' => 90]);

        self::assertSame('Within all ratings, and as forecast.', Say::it(Headline::of($known)));
        self::assertSame("No time lost against the forecast. The station's maximum power made it 7.3 min longer than the car alone would take.", Say::it(Headline::beside($known)[0]));
    }

    /** Against a car that takes 90 kW at every charge, by its entered curve. */
    public function test_as_forecast_needs_a_mean_error_below_8_percent(): void
    {
        $headline = static fn (float $kw, float $minutes = 20): string => Say::it(Headline::of(self::session($kw, ['vehicle.charge_curve_kw' => [[0, 90], [100, 90]]], minutes: $minutes)));

        self::assertSame('Within all ratings, and as forecast.', $headline(96.0));
        self::assertMatchesRegularExpression('/^Within all ratings, and (9\.9|10) kW above the forecast on average\.$/', $headline(100.0));
        self::assertMatchesRegularExpression('/^Within all ratings; power was (9\.9|10) kW off the forecast on average\.$/', $headline(80.0, 6));
    }

    public function test_what_went_over_stands_before_what_it_cost(): void
    {
        $over = self::session(120.0, ['vehicle.inlets.0.dc.max_a' => 300]);

        self::assertStringContainsString('it is rated 300 A', Say::it(Headline::of($over)));
    }

    public function test_nothing_lost_and_nothing_to_grade(): void
    {
        self::assertSame(['No time lost.'], array_map(Say::it(...), Headline::beside(self::session(150.0))));
        self::assertSame(['Within all ratings.', []], [Say::it(Headline::of(self::session(150.0, soc: false))), Headline::beside(self::session(150.0, soc: false))]);
    }

    public function test_what_is_proven(): void
    {
        self::assertSame(['A1 carried 147 A for 10 minutes; rated 300 A continuous.', 'Left to prove: from 147 A to 300 A.', 'Not proven: 1000 V (340 V seen).'], array_map(Say::it(...), Proof::of(self::session(50.0, self::ADAPTED))));
        self::assertSame(['A1: no 10-minute current reading, so nothing is proven yet.', 'Not proven: 1000 V (340 V seen).'], array_map(Say::it(...), Proof::of(self::session(50.0, self::ADAPTED, minutes: 5))));
        self::assertSame([], Proof::of(self::session(50.0)));
    }

    public function test_sums(): void
    {
        $sums = new Sums;
        $sums->add(10.5, 30.0, ['amount' => '0.10', 'currency' => 'USD']);
        $sums->add(null, null, ['amount' => '0.20', 'currency' => 'USD']);
        $sums->add(4.0, 60.0, ['amount' => '5', 'currency' => 'EUR']);

        self::assertSame(['sessions' => 3, 'kwh' => 14.5, 'hours' => 1.5, 'money' => [['currency' => 'EUR', 'amount' => '5'], ['currency' => 'USD', 'amount' => '0.30']]], $sums->told());
    }

    public function test_a_visit_that_was_kept_without_power(): void
    {
        self::assertNull(Visit::fromArray(['outlet' => 'post'])->peakKw);
    }

    public function test_a_line_of_the_log_says_what_it_came_to_what_limited_it_and_what_it_proved(): void
    {
        $says = static fn (RecordedSession $session): array => array_map(Say::it(...), LogWords::of($session));
        $gentle = $says(self::session(50.0, self::ADAPTED));
        self::assertSame(Say::it(Headline::of(self::session(50.0, self::ADAPTED))), $gentle[0]);
        self::assertContains('A1 carried 147 A for 10 minutes; rated 300 A continuous.', $gentle);
        self::assertSame(['Within all ratings.'], $says(self::session(150.0, soc: false)));

        // A chain that was advised against is marked before anything else, once.
        $refused = $says(self::session(50.0, [...self::ADAPTED, 'outlet.signalling' => ['can_chademo']]));
        self::assertSame('Run against advice: fits, won\'t charge.', $refused[0]);
        self::assertStringNotContainsString('Harmozon advises', implode(' ', $refused));
    }

    /** @param  array<string, mixed>  $changes */
    private static function session(float $kw, array $changes = [], float $minutes = 20, bool $soc = true): RecordedSession
    {
        $case = Cases::read(Cases::file(case: $changes));
        $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
        $judge = new Judge($answer, $case->conditions);
        for ($tS = 0; $tS <= 60 * $minutes; $tS += 20) {
            $charge = 10 + $kw * $tS / 3600 * 0.95 / 60 * 100;
            $now = min($kw, $charge <= 60 ? 150.0 : 150 - ($charge - 60) * 3.5);
            $judge->add(new Reading(1000 * $tS, $soc ? min(100.0, $charge) : null, 340, $now * 1000 / 340, $now));
        }

        return RecordedSession::of($answer, $case->conditions, $judge->judgement());
    }
}
