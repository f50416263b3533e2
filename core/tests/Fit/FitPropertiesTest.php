<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Fit;

use Eris\Generator;
use Eris\Generators;
use Eris\TestTrait;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Fit\Answer;
use Harmozon\Core\Fit\Board;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Fit\Flow;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\Outcome;
use Harmozon\Core\Fit\Result;
use Harmozon\Core\Tests\Cases;
use PHPUnit\Framework\TestCase;

/** What must hold for every kit and every plate, whatever the figures. */
final class FitPropertiesTest extends TestCase
{
    use TestTrait;

    private const SHAPES = ['ccs1', 'j3400', 'type1', 'chademo'];

    public function test_a_larger_kit_never_worsens_the_best_answer(): void
    {
        $this->forAll(self::kits(), self::adapter(), Generators::elements(self::SHAPES))
            ->then(static function (array $kit, array $extra, string $outlet): void {
                $small = Cases::answer(self::at($outlet, $kit))->best;
                $large = Cases::answer(self::at($outlet, [...$kit, $extra]))->best;

                // A stack is looked at only while nothing else joins.
                self::assertTrue(count($small->chain->adapters) > 1 || $large->compare($small) <= 0);
            });
    }

    /** A fleet has the same adapter many times: its board looks at the first of each kind, and says the same. */
    public function test_a_second_piece_of_the_same_plate_changes_no_answer(): void
    {
        $this->forAll(self::kits(), Generators::elements(self::SHAPES))
            ->then(static function (array $kit, string $outlet): void {
                $case = Cases::read(self::atNamed($outlet, self::named([...$kit, ...$kit])));
                $answers = array_map(
                    static fn (array $adapters): Answer => (new Fitter($adapters, $case->conditions, $case->policy))->answer($case->outlet, $case->vehicle),
                    [$case->adapters, Board::distinct($case->adapters, $case->conditions)],
                );

                self::assertSame([$answers[0]->best->outcome, $answers[0]->best->expectedPeakKw()], [$answers[1]->best->outcome, $answers[1]->best->expectedPeakKw()]);
                self::assertSame($answers[0]->best->chain->adapterIds(), $answers[1]->best->chain->adapterIds());
                self::assertLessThanOrEqual(count($kit), count(array_filter(Board::distinct($case->adapters, $case->conditions), static fn (Adapter $a): bool => ! $a->input->is($a->output))));
            });
    }

    public function test_a_piece_that_is_warm_is_not_taken_for_a_cool_one_of_the_same_plate(): void
    {
        $case = Cases::read(Cases::file(adapters: [['id' => 'warm'], ['id' => 'cool'], ['id' => 'cool too']], case: ['conditions.theta' => ['warm' => 0.9]]));

        self::assertSame(['warm', 'cool'], array_map(static fn (Adapter $a): string => $a->id, Board::distinct($case->adapters, $case->conditions)));
    }

    public function test_of_equals_one_at_hand_goes_before_one_that_is_lent(): void
    {
        $distinct = static fn (array ...$kit): array => array_map(static fn (Adapter $a): string => $a->id, Board::distinct(($case = Cases::read(Cases::file(adapters: $kit)))->adapters, $case->conditions));
        $lent = ['lent_to' => 'Ida'];

        self::assertSame(['b'], $distinct(['id' => 'a', ...$lent], ['id' => 'b']));
        self::assertSame(['a'], $distinct(['id' => 'a'], ['id' => 'b', ...$lent]));
        self::assertSame(['a'], $distinct(['id' => 'a', ...$lent], ['id' => 'b', ...$lent]));
        self::assertSame(['b', 'c'], $distinct(['id' => 'a', ...$lent], ['id' => 'b'], ['id' => 'c', 'plate.max_v' => 500]));
    }

    public function test_the_order_of_the_kit_decides_between_equals_alone(): void
    {
        $this->forAll(self::kits(), Generators::elements(self::SHAPES))
            ->then(static function (array $kit, string $outlet): void {
                $named = self::named($kit);
                self::assertSame(
                    self::told(Cases::answer(self::atNamed($outlet, $named))),
                    self::told(Cases::answer(self::atNamed($outlet, array_reverse($named)))),
                );
            });
    }

    public function test_raising_a_plate_never_lowers_the_peak(): void
    {
        $paths = ['max_a', 'max_kw', 'cable.continuous_a'];
        $this->forAll(Generators::elements($paths), Generators::choose(20, 400), Generators::choose(0, 300))
            ->then(static function (string $path, int $low, int $more): void {
                $peak = static fn (int $value): ?float => Cases::answer(Cases::file(outlet: [$path => $value]))->best->expectedPeakKw();

                self::assertGreaterThanOrEqual($peak($low) - 1e-9, $peak($low + $more));
            });
    }

    public function test_the_peak_is_never_above_what_any_link_allows(): void
    {
        $this->forAll(Generators::choose(10, 600), Generators::choose(10, 500), Generators::choose(50, 600))
            ->then(static function (int $stationA, int $stationKw, int $adapterA): void {
                $answer = Cases::answer(Cases::file(
                    outlet: ['coupler' => 'j3400', 'max_a' => $stationA, 'max_kw' => $stationKw],
                    adapters: [['plate.continuous_a' => $adapterA, 'plate.boost_a' => null, 'plate.boost_minutes' => null]],
                ))->best;
                $highestV = 360.0;

                self::assertLessThanOrEqual(min($stationKw, 150, $stationA * $highestV / 1000, $adapterA * $highestV / 1000) + 1e-6, $answer->expectedPeakKw());
                self::assertLessThanOrEqual($answer->idealPeakKw + 1e-6, $answer->expectedPeakKw());
            });
    }

    public function test_a_fact_that_is_read_is_never_asked_for_again(): void
    {
        $facts = [
            'outlet.max_v' => [1000, GateName::Voltage],
            'outlet.min_v' => [150, GateName::Voltage],
            'outlet.access' => [['kind' => 'open'], GateName::Access],
            'outlet.signalling' => [['plc'], GateName::Signalling],
            'adapters.0.recalled' => [false, GateName::Adapter],
            'adapters.0.certification' => ['certified', GateName::Adapter],
            'adapters.0.plate.max_v' => [1000, GateName::Voltage],
        ];
        $file = Cases::file(outlet: ['coupler' => 'j3400'], adapters: [[]]);
        foreach ($facts as $path => [$known, $gate]) {
            $unknown = Cases::answer(Cases::changed($file, [$path => null]))->best;
            $read = Cases::answer(Cases::changed($file, [$path => $known]))->best;

            self::assertSame(Result::Unknown, Cases::gate($unknown, $gate)->result(), $path);
            self::assertSame('unverified', $unknown->outcome->value, $path);
            self::assertNotSame(Result::Unknown, Cases::gate($read, $gate)->result(), $path);
            self::assertSame('charges', $read->outcome->value, $path);
        }
    }

    /** But for the car's own inlet, which is built for its own battery (rated volts of a vehicle inlet). */
    public function test_an_unread_fact_never_turns_a_danger_into_a_charge(): void
    {
        $dangers = [
            'a recall' => [['outlet.coupler' => 'j3400', 'adapters.0.recalled' => true], Cases::DC_POST],
            'damage' => [['outlet.coupler' => 'j3400', 'adapters.0.damaged' => true], Cases::DC_POST],
            'volts on an adapter' => [['outlet.coupler' => 'j3400', 'adapters.0.plate.max_v' => 350], Cases::DC_POST],
            'volts on an inlet' => [['vehicle.inlets.0.dc.max_v' => 350, 'adapters' => []], Cases::DC_POST],
            '277 V on an inlet' => [['outlet.supply.volts' => 277, 'adapters' => []], Cases::AC_POST],
            '277 V on an adapter' => [['outlet.coupler' => 'j3400', 'outlet.supply.volts' => 277, 'adapters.0.output' => 'type1', 'adapters.0.current' => 'ac', 'adapters.0.plate.max_v' => 250], Cases::AC_POST],
            'an AC adapter at DC' => [['vehicle.inlets.0.coupler' => 'j3400', 'adapters.0.input' => 'ccs1', 'outlet.coupler' => 'ccs1', 'adapters.0.output' => 'j3400', 'adapters.0.current' => 'ac', 'adapters.0.plate.max_v' => 250], Cases::DC_POST],
            'an extension lead' => [['outlet.extension' => true, 'adapters' => []], Cases::DC_POST],
        ];
        $facts = [
            'vehicle.pack.voltage_by_soc', 'vehicle.charge_curve_kw', 'vehicle.inlets.0.dc.signalling', 'vehicle.inlets.0.dc.max_a', 'vehicle.inlets.0.ac.min_v', 'vehicle.inlets.0.ac.max_v', 'vehicle.inlets.0.ac.phases',
            'outlet.signalling', 'outlet.min_v', 'outlet.max_v', 'outlet.max_kw', 'outlet.access', 'outlet.supply.volts', 'outlet.supply.phases',
            'adapters.0.recalled', 'adapters.0.damaged', 'adapters.0.current', 'adapters.0.certification', 'adapters.0.plate.max_v', 'adapters.0.plate.continuous_a',
        ];
        foreach ($dangers as $name => [$danger, $post]) {
            self::assertSame(Outcome::Hazard, Cases::answer(Cases::changed(Cases::file(adapters: [['holds_back' => true]], post: $post), $danger))->best->outcome, $name);
        }
        $this->forAll(Generators::elements(array_keys($dangers)), Generators::subset($facts))
            ->then(static function (string $name, array $unread) use ($dangers): void {
                [$danger, $post] = $dangers[$name];
                $file = Cases::changed(Cases::file(adapters: [['holds_back' => true]], post: $post), $danger);
                $unread = array_filter($unread, static fn (string $path): bool => $file['adapters'] !== [] || ! str_starts_with($path, 'adapters.'));
                $best = Cases::answer(Cases::changed($file, array_fill_keys($unread, null)))->best;

                self::assertNotSame(Flow::Yes, $best->outcome->flow(), $name.': '.implode(', ', $unread));
            });
    }

    /** @param  list<array<string, mixed>>  $kit */
    private static function at(string $outlet, array $kit): array
    {
        return self::atNamed($outlet, self::named($kit));
    }

    private static function atNamed(string $outlet, array $named): array
    {
        return Cases::file(outlet: ['coupler' => $outlet, 'signalling' => ['plc'], 'current' => $outlet === 'type1' ? 'ac' : 'dc', 'supply' => ['volts' => 240, 'amps' => 40, 'phases' => 1]], adapters: $named);
    }

    private static function named(array $kit): array
    {
        return array_map(static fn (array $a, int $i): array => ['id' => "a{$i}", 'name' => "A{$i}", ...$a], array_values($kit), array_keys(array_values($kit)));
    }

    /** The answer, and every chain that is as good: only among those does the order of the kit decide. */
    private static function told(Answer $answer): array
    {
        $equals = array_filter([$answer->best, ...$answer->alternatives], static fn (ChainAnswer $a): bool => $a->compare($answer->best) === 0);
        $chains = array_map(static fn (ChainAnswer $a): string => implode(' ', $a->chain->linkIds()), $equals);
        sort($chains);

        return [$answer->best->outcome, $chains, $answer->best->expectedPeakKw()];
    }

    private static function kits(): Generator
    {
        return Generators::bind(Generators::choose(0, 5), static fn (int $size): Generator => Generators::vector($size, self::adapter()));
    }

    private static function adapter(): Generator
    {
        return Generators::map(
            static fn (array $p): array => ['input' => $p[0], 'output' => $p[1], 'current' => $p[2], 'plate.continuous_a' => $p[3], 'plate.boost_a' => $p[3] + 50, 'certification' => $p[4], 'recalled' => $p[5]],
            Generators::tuple(
                Generators::elements(self::SHAPES), Generators::elements(self::SHAPES), Generators::elements(['dc', 'ac', null]),
                Generators::choose(30, 500), Generators::elements(['certified', 'claims', null]), Generators::elements([false, false, true, null]),
            ),
        );
    }
}
