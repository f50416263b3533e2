<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Fit;

use Eris\Generators;
use Eris\TestTrait;
use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\Outcome;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Forecast\ForecastSpread;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Tests\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Facts that nobody has read, with what is usual in their place: what may rest on them, and what never does. */
final class TypicalFactsTest extends TestCase
{
    use TestTrait;

    /** Each with a spread around the standard car's own value. */
    private const DOUBTED = [
        'pack.voltage_by_soc' => ['low' => [[0, 290], [10, 300], [80, 340], [100, 360]], 'high' => [[0, 330], [10, 340], [80, 380], [100, 400]]],
        'pack.usable_kwh' => ['low' => 50, 'high' => 75],
        'charge_curve_kw' => ['low' => [[0, 100], [60, 100], [100, 5]], 'high' => [[0, 180], [60, 180], [100, 20]]],
        'inlets.0.dc.max_a' => ['low' => 300, 'high' => 600],
        'inlets.0.dc.max_kw' => ['low' => 120, 'high' => 170],
    ];

    public function test_a_typical_curve_is_told_as_about_with_its_band(): void
    {
        $answer = Cases::answer(self::withUnread(['charge_curve_kw'], car: ['inlets.0.dc.max_kw' => 170]))->best;

        // 150 kW flat stands there; the least is 100 kW, and at the most the inlet's 170 kW binds.
        self::assertSame(Outcome::Charges, $answer->outcome);
        self::assertSame([150.0, 100.0, 170.0], [$answer->expectedPeakKw(), $answer->bandKw()?->low, $answer->bandKw()?->high]);
        self::assertSame('power.about', $answer->given()?->code);
        self::assertSame([Fact::ChargeCurve], array_column($answer->assumed(), 'fact'));
    }

    public function test_what_was_read_is_not_about_anything(): void
    {
        $answer = Cases::answer(Cases::file(car: ['origins' => ['charge_curve_kw' => ['origin' => 'read', 'on' => '2031-05-02'], 'pack.usable_kwh' => ['origin' => 'imported']]]))->best;

        self::assertSame([[], null, 'power.known'], [$answer->assumed(), $answer->bandKw(), $answer->given()?->code]);
    }

    /** 60 kWh from 10 to 80 % at 150 kW flat to 60 %: the spread of the energy alone stretches the minutes in proportion. */
    public function test_the_band_of_the_minutes_follows_the_energy(): void
    {
        $spread = self::spread(self::withUnread(['pack.usable_kwh']));
        $read = self::minutes(Cases::file());

        self::assertEqualsWithDelta(self::minutes(Cases::file(car: ['pack.usable_kwh' => 50])), $spread?->minutes->low, 1e-6);
        self::assertEqualsWithDelta(self::minutes(Cases::file(car: ['pack.usable_kwh' => 75])), $spread?->minutes->high, 1e-6);
        self::assertTrue($spread?->minutes->low < $read && $read < $spread->minutes->high);
        self::assertEqualsWithDelta($read, $spread->openFacts[0]->minutesOnceRead->high, 1e-6);
    }

    public function test_the_fact_that_matters_most_is_told_first(): void
    {
        $spread = self::spread(self::withUnread(array_keys(self::DOUBTED)));
        $widths = array_map(static fn (\Harmozon\Core\Forecast\OpenFact $d): float => $d->minutesOnceRead->width(), $spread->openFacts ?? []);
        $sorted = $widths;
        sort($sorted);

        self::assertCount(5, $widths);
        self::assertSame($sorted, $widths);
        self::assertLessThan($spread?->minutes->width(), $widths[0]);
    }

    public function test_read_with_the_same_value_changes_no_answer_but_its_about(): void
    {
        $this->forAll(Generators::subset(array_keys(self::DOUBTED)), Generators::elements(300, 500, 1000), Generators::elements(150, 310, 345), Generators::elements(60, 200, 500))
            ->then(static function (array $paths, int $maxV, int $minV, int $amps): void {
                $outlet = ['max_v' => max($maxV, $minV), 'min_v' => $minV, 'max_a' => $amps];
                $about = Cases::answer(self::withUnread(array_values($paths), $outlet))->best;
                $read = Cases::answer(Cases::file(outlet: $outlet))->best;

                // 300 V to 340 V are usual at the start: where the station takes a part of that, nobody can tell.
                $isOpen = in_array('pack.voltage_by_soc', $paths, true) && ($outlet['min_v'] > 300 || $outlet['max_v'] < 340) && $outlet['min_v'] <= 340 && $outlet['max_v'] >= 300;
                self::assertSame($isOpen ? Outcome::Unverified : $read->outcome, $about->outcome);
                if (! $isOpen) {
                    self::assertSame([$read->expectedPeakKw(), $read->peak?->binding], [$about->expectedPeakKw(), $about->peak?->binding]);
                }
                self::assertSame($paths !== [] && array_values($paths) !== ['pack.usable_kwh'] && $about->outcome->mayFlow(), $about->assumed() !== []);
            });
    }

    public function test_narrowing_a_fact_never_widens_the_band(): void
    {
        $this->forAll(Generators::subset(array_keys(self::DOUBTED)), Generators::elements(array_keys(self::DOUBTED)), Generators::choose(0, 100), Generators::choose(60, 500))
            ->then(static function (array $paths, string $narrowed, int $percent, int $amps): void {
                $paths = array_values(array_unique([...$paths, $narrowed]));
                $wide = self::withUnread($paths, ['max_a' => $amps]);
                $tight = $wide;
                foreach (['low', 'high'] as $end) {
                    $tight['vehicle']['origins'][$narrowed][$end] = self::towards(self::DOUBTED[$narrowed][$end], array_reduce(explode('.', $narrowed), static fn (array $at, string $key): mixed => $at[$key], $wide['vehicle']), $percent / 100);
                }
                [$before, $after] = [Cases::answer($wide)->best->bandKw(), Cases::answer($tight)->best->bandKw()];
                self::assertSame($before === null, $after === null);
                if ($before !== null && $after !== null) {
                    self::assertGreaterThanOrEqual($before->low - 1e-9, $after->low);
                    self::assertLessThanOrEqual($before->high + 1e-9, $after->high);
                }
                [$before, $after] = [self::spread($wide), self::spread($tight)];
                self::assertGreaterThanOrEqual(($before->minutes->low ?? 0) - 1e-6, $after?->minutes->low);
                self::assertLessThanOrEqual(($before->minutes->high ?? 0) + 1e-6, $after?->minutes->high);
            });
    }

    /** 'Up to 180 kW of the the 150 kW this car could take' cannot be. */
    public function test_no_span_goes_beyond_what_the_car_could_take(): void
    {
        $this->forAll(Generators::subset(array_keys(self::DOUBTED)), Generators::elements(60, 200, 350, 500, 700), Generators::elements(null, 80, 350))
            ->then(static function (array $paths, int $amps, ?int $kw): void {
                $best = Cases::answer(self::withUnread(array_values($paths), ['max_a' => $amps, 'max_kw' => $kw]))->best;

                self::assertGreaterThanOrEqual($best->idealPeakKw, $best->idealMostKw());
                self::assertLessThanOrEqual(($best->idealMostKw() ?? 0) + 1e-9, max($best->expectedPeakKw() ?? 0.0, $best->bandKw()->high ?? 0.0));
            });
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, GateName}> what stands for a fact that has to be read */
    public static function mustBeRead(): iterable
    {
        yield 'the car\'s protocol, where the plug leaves it open' => [['inlets.0.dc.signalling'], [], GateName::Signalling, 'j3400'];
        yield 'the station\'s protocol, where the plug leaves it open' => [[], ['signalling'], GateName::Signalling, 'j3400'];
        yield 'the station\'s highest volts' => [[], ['max_v'], GateName::Voltage];
        yield 'who may start' => [[], ['access.kind'], GateName::Access];
    }

    /**
     * @param  list<string>  $car
     * @param  list<string>  $outlet
     */
    #[DataProvider('mustBeRead')]
    public function test_a_typical_value_never_decides_what_has_to_be_read(array $car, array $outlet, GateName $gate, string $coupler = 'ccs1'): void
    {
        $typical = static fn (array $paths): array => $paths === [] ? [] : ['origins' => array_fill_keys($paths, ['origin' => 'typical'])];
        $answer = Cases::answer(Cases::file(car: [...$typical($car), 'inlets.0.coupler' => $coupler], outlet: [...$typical($outlet), 'coupler' => $coupler]))->best;

        self::assertSame(Outcome::Unverified, $answer->outcome);
        self::assertTrue($answer->gate($gate)->isUnknown());
    }

    public function test_nor_does_it_stand_for_the_plate_of_an_adapter(): void
    {
        $file = Cases::file(outlet: ['coupler' => 'j3400'], adapters: [['origins' => ['plate.continuous_a' => ['origin' => 'estimated']]]]);

        self::assertSame(Outcome::Unverified, Cases::answer($file)->best->outcome);
    }

    public function test_a_hazard_is_never_told_on_volts_that_nobody_has_read(): void
    {
        // Read, 360 V at 80 % are above an inlet for 350 V: a hazard. Typical, they have to be read.
        $read = Cases::answer(Cases::file(car: ['inlets.0.dc.max_v' => 350]))->best;
        $typical = Cases::answer(self::withUnread(['pack.voltage_by_soc'], car: ['inlets.0.dc.max_v' => 350]))->best;
        // Nor is it told that all is well while the upper end of what is usual lies above the plate: 380 V over 370 V.
        $edge = Cases::answer(self::withUnread(['pack.voltage_by_soc'], car: ['inlets.0.dc.max_v' => 370]))->best;
        $level = Cases::answer(self::withUnread(['pack.voltage_by_soc'], car: ['inlets.0.dc.max_v' => 380]))->best;

        self::assertSame([Outcome::Hazard, Outcome::Unverified, Outcome::Unverified, Outcome::Charges], [$read->outcome, $typical->outcome, $edge->outcome, $level->outcome]);
        self::assertSame([Fact::PackV], array_column($edge->gate(GateName::Voltage)->missing, 'asked'));
    }

    /**
     * Nothing says that the adapter holds back at its 500 A. 150 kW at 320 V are 469 A; a curve that may reach 180 kW comes to
     * 563 A, and 150 kW at the 280 V that the pack may have to 536 A. What it may be asked for rests on no typical value.
     */
    public function test_an_adapter_is_warned_of_what_a_typical_car_may_ask_for(): void
    {
        $adapters = [['plate.continuous_a' => 500, 'plate.boost_a' => null, 'plate.boost_minutes' => null]];
        $station = ['coupler' => 'j3400', 'max_a' => 900, 'cable.continuous_a' => 900];
        $curve = ['charge_curve_kw' => ['origin' => 'typical', 'low' => [[0, 120]], 'high' => [[0, 180]]]];
        $volts = ['pack.voltage_by_soc' => ['origin' => 'typical', 'low' => [[0, 280]], 'high' => [[0, 400]]]];
        foreach ([[[], null, null], [$curve, 562.5, 'charges'], [$volts, 535.7, 'charges']] as [$origins, $couldA, $outcome]) {
            $car = ['inlets.0.dc.max_a' => 800, 'inlets.0.dc.max_kw' => 200, ...($origins === [] ? [] : ['origins' => $origins])];
            $file = Cases::file(car: $car, outlet: $station, adapters: $adapters);
            $answer = self::best($file);
            $passed = (new Forecaster)->forecast($answer, $answer->conditions)->advice->passed;

            self::assertSame(Outcome::Charges, $answer->outcome);
            self::assertSame($couldA === null ? 'adapter.certified' : 'adapter.may_not_hold', $answer->gate(GateName::Adapter)->reason()->code);
            self::assertEqualsWithDelta($couldA, $passed?->wouldCarryA, 30.0);
            self::assertSame($couldA === null, $passed === null);
        }
    }

    /**
     * 500 A, and a pack that may lie anywhere from 300 V to 800 V: 150 kW to 400 kW. A station that ends at 500 V gives 250 kW to a
     * pack that just meets it, and nothing to one above; one that ends at 300 V, or at 800 V, is met by all that it can be met by.
     */
    public function test_a_pack_of_which_nobody_knows_the_class_spans_every_class(): void
    {
        $anywhere = ['origin' => 'typical', 'low' => [[0, 300]], 'high' => [[0, 800]]];
        $band = static function (int $maxV, array $volts) {
            $car = ['pack.voltage_by_soc' => null, 'charge_curve_kw' => [[0, 1000]], 'inlets.0.dc.max_kw' => 1000, 'inlets.0.dc.max_v' => 1000, 'origins' => ['pack.voltage_by_soc' => $volts]];
            $answer = self::best(Cases::file(car: $car, outlet: ['max_v' => $maxV, 'max_kw' => 1000]));
            self::assertSame([Outcome::Unverified, null], [$answer->outcome, $answer->expectedPeakKw()]);

            return $answer->bandKw() === null ? null : [$answer->bandKw()->low, $answer->bandKw()->high];
        };

        self::assertSame([150.0, 400.0], $band(1000, $anywhere));
        self::assertSame([150.0, 400.0], $band(800, $anywhere));
        self::assertSame([0.0, 250.0], $band(500, $anywhere));
        self::assertSame([0.0, 150.0], $band(300, $anywhere));
        self::assertSame([0.0, 0.0], $band(299, $anywhere));
        self::assertNull($band(1000, ['origin' => 'typical', 'low' => [[0, 300]]]));
        self::assertNull($band(1000, ['origin' => 'typical', 'high' => [[0, 800]]]));
        self::assertNull($band(1000, ['origin' => 'typical']));
    }

    public function test_a_cabinet_whose_kw_nobody_has_read_bounds_the_power_all_the_same(): void
    {
        $answer = self::best(Cases::file(outlet: ['cabinet' => ['kw' => 90], 'origins' => ['cabinet.kw' => ['origin' => 'typical', 'low' => 60, 'high' => 120]]]));

        self::assertSame([90.0, 60.0, 120.0], [$answer->expectedPeakKw(), $answer->bandKw()?->low, $answer->bandKw()?->high]);
    }

    /** Amounts stay decimal: 60 kWh at 0.45 to the plug's losses, at both ends of the spread. */
    public function test_the_span_of_a_price_is_decimal(): void
    {
        $tariff = ['tariff' => ['currency' => 'USD', 'per_kwh' => '0.45', 'per_minute' => '0', 'session_fee' => '0', 'idle_per_minute' => '0', 'idle_grace_minutes' => 5]];
        // 70 % of 50 and of 75 kWh, through 95 %, at 0.45.
        self::assertSame(['16.58', '24.87'], self::spread(self::withUnread(['pack.usable_kwh'], $tariff))?->amounts);
        unset($tariff['tariff']['per_minute']);
        // Without the price of a minute it is what is known of it.
        self::assertSame(['16.58', '24.87'], self::spread(self::withUnread(['pack.usable_kwh'], $tariff))?->amounts);
    }

    /** 320 V at the start is typical, 300 V to 340 V are usual: the whole class, a part of it, or none fits the station. */
    public function test_a_typical_pack_passes_with_a_caution_where_its_whole_class_fits(): void
    {
        $at = static fn (int $minV, int $maxV): ChainAnswer => Cases::answer(self::withUnread(['pack.voltage_by_soc'], ['min_v' => $minV, 'max_v' => $maxV]))->best;
        $code = static fn (int $minV, int $maxV): string => $at($minV, $maxV)->gate(GateName::Voltage)->reason()->code;

        self::assertSame([Outcome::Charges, 'voltage.typical'], [$at(300, 500)->outcome, $code(300, 500)]);
        foreach ([[301, 500], [340, 500], [150, 339], [150, 300]] as [$minV, $maxV]) {
            self::assertSame([Outcome::Unverified, [Fact::PackV]], [$at($minV, $maxV)->outcome, array_column($at($minV, $maxV)->gate(GateName::Voltage)->missing, 'asked')], "{$minV} to {$maxV} V");
        }
        self::assertSame([Outcome::WontCharge, Outcome::WontCharge], [$at(341, 500)->outcome, $at(150, 299)->outcome]);
        // It meets 340 V on the way: both are told.
        self::assertSame(['voltage.stops_near', 'voltage.typical'], array_column($at(150, 340)->gate(GateName::Voltage)->cautions(), 'code'));
    }

    /** A class that nobody has told: usually below 500 V, at the most 900 V. It fits the station, and says nothing of ratings. */
    public function test_a_usual_pack_fits_a_station_and_rates_no_adapter(): void
    {
        $usual = static function (array $file): ChainAnswer {
            $file['vehicle']['origins']['pack.voltage_by_soc']['most'] = [[0, 900]];

            return Cases::answer($file)->best;
        };
        $at = $usual(self::withUnread(['pack.voltage_by_soc'], ['max_v' => 500]));
        $through = $usual([...self::withUnread(['pack.voltage_by_soc'], ['coupler' => 'j3400', 'max_v' => 500]), 'adapters' => [Cases::changed(Cases::ADAPTER, ['plate.max_v' => 500, 'holds_back' => true])]]);

        self::assertSame([Outcome::Charges, ['voltage.usual_class']], [$at->outcome, array_column($at->gate(GateName::Voltage)->cautions(), 'code')]);
        self::assertSame([Outcome::Unverified, [Fact::PackV]], [$through->outcome, array_column($through->gate(GateName::Voltage)->missing, 'asked')]);
        self::assertSame(Outcome::Charges, $usual([...self::withUnread(['pack.voltage_by_soc'], ['coupler' => 'j3400', 'max_v' => 500]), 'adapters' => [Cases::changed(Cases::ADAPTER, ['plate.max_v' => 900, 'holds_back' => true])]])->outcome);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        yield 'an origin that is none' => [['charge_curve_kw' => ['origin' => 'guessed']], 'vehicle.origins.charge_curve_kw.origin'];
        yield 'no origin' => [['charge_curve_kw' => ['on' => '2031-05-02']], 'vehicle.origins.charge_curve_kw.origin'];
        yield 'a day that is none' => [['charge_curve_kw' => ['origin' => 'read', 'on' => '2031-02-30']], 'vehicle.origins.charge_curve_kw.on'];
        yield 'no day at all' => [['charge_curve_kw' => ['origin' => 'read', 'on' => 'May']], 'vehicle.origins.charge_curve_kw.on'];
        yield 'ends that are crossed' => [['pack.usable_kwh' => ['origin' => 'typical', 'low' => 60.1, 'high' => 60]], 'vehicle.origins.pack.usable_kwh.low'];
        yield 'curves that cross' => [['pack.voltage_by_soc' => ['origin' => 'typical', 'low' => [[0, 300], [100, 400]], 'high' => [[0, 310], [100, 390]]]], 'vehicle.origins.pack.voltage_by_soc.low'];
        yield 'a figure where a curve belongs' => [['charge_curve_kw' => ['origin' => 'typical', 'low' => 100]], 'vehicle.origins.charge_curve_kw.low'];
        yield 'a list' => [['charge_curve_kw'], 'vehicle.origins'];
    }

    /** @param  array<string, mixed>  $origins */
    #[DataProvider('refused')]
    public function test_an_origin_that_cannot_be_read_is_named_by_its_path(array $origins, string $path): void
    {
        try {
            Cases::read(Cases::file(car: ['origins' => $origins]));
            self::fail('it was read');
        } catch (FieldError $e) {
            self::assertSame($path, $e->path);
        }
    }

    /**
     * @param  list<string>  $paths
     * @param  array<string, mixed>  $outlet
     * @param  array<string, mixed>  $car
     * @return array<string, mixed>
     */
    private static function withUnread(array $paths, array $outlet = [], array $car = []): array
    {
        $origins = array_map(static fn (array $ends): array => ['origin' => 'typical', ...$ends], array_intersect_key(self::DOUBTED, array_flip($paths)));

        return Cases::file(car: [...$car, ...($origins === [] ? [] : ['origins' => $origins])], outlet: $outlet);
    }

    private static function towards(mixed $end, mixed $value, float $share): mixed
    {
        return is_array($end)
            ? array_map(static fn (array $pair, array $own): array => [$pair[0], $pair[1] + $share * ($own[1] - $pair[1])], $end, $value)
            : $end + $share * ($value - $end);
    }

    /** @param  array<string, mixed>  $file */
    private static function spread(array $file): ?ForecastSpread
    {
        return ForecastSpread::of((new Forecaster)->forecast(self::best($file), Cases::read($file)->conditions), Cases::read($file)->conditions);
    }

    /** @param  array<string, mixed>  $file */
    private static function minutes(array $file): ?float
    {
        return (new Forecaster)->forecast(self::best($file), Cases::read($file)->conditions)->totals->minutes;
    }

    /** @param  array<string, mixed>  $file */
    private static function best(array $file): ChainAnswer
    {
        return Cases::answer($file)->best;
    }
}
