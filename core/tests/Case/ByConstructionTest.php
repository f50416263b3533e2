<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Case;

use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\Outcome;
use Harmozon\Core\Fit\StandardFact;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a standard or the car's own design fixes counts as known when nobody has read it. */
final class ByConstructionTest extends TestCase
{
    private const TYPE2_POST = [...Cases::AC_POST, 'coupler' => 'type2', 'supply' => ['volts' => 230, 'amps' => 32, 'phases' => 3]];

    private const GBT_POST = [...Cases::AC_POST, 'coupler' => 'gbt_ac', 'supply' => ['volts' => 220, 'amps' => 32, 'phases' => 3]];

    /** @return iterable<string, array{string, list<string>, bool}> DC coupler, the protocol that counts as known, whether any does */
    public static function dcProtocols(): iterable
    {
        yield 'ccs1' => ['ccs1', ['plc'], true];
        yield 'ccs2' => ['ccs2', ['plc'], true];
        yield 'chademo' => ['chademo', ['can_chademo'], true];
        yield 'gbt_dc' => ['gbt_dc', ['can_gbt'], true];
        yield 'j3400 leaves it open' => ['j3400', [], false];
    }

    /** @param  list<string>  $protocol */
    #[DataProvider('dcProtocols')]
    public function test_the_only_protocol_of_a_dc_coupler_is_known(string $coupler, array $protocol, bool $isKnown): void
    {
        $answer = self::answer(['inlets.0.coupler' => $coupler, 'inlets.0.dc.signalling' => null], ['coupler' => $coupler, 'signalling' => null]);
        $known = array_values(array_filter($answer->byStandard(), static fn (StandardFact $f): bool => $f->unread->asked !== Fact::InletMaxV));

        self::assertSame($isKnown ? Outcome::Charges : Outcome::Unverified, $answer->outcome);
        self::assertSame($isKnown ? [['outlet.signalling', $protocol], ['vehicle.inlets[0].dc.signalling', $protocol]] : [], array_map(static fn (StandardFact $f): array => [$f->path(), $f->value], $known));
    }

    public function test_what_was_read_beats_the_standard_and_is_told_as_a_contradiction(): void
    {
        $answer = self::answer(['inlets.0.dc.signalling' => ['can_legacy']], ['signalling' => null]);

        self::assertSame([Outcome::WontCharge, ['outlet.signalling']], [$answer->outcome, self::paths($answer->byStandard())]);
        self::assertSame(['vehicle.inlets[0].dc.signalling'], self::paths($answer->contradictions()));
        self::assertStringContainsString('DIN 70121', Say::it($answer->contradictions()[0]->contradiction()));
        // More than the standard asks for is no contradiction.
        self::assertSame([], self::answer(['inlets.0.dc.signalling' => ['plc', 'can_legacy']])->contradictions());
    }

    /** 380 V at full charge: an inlet for 379 V is not built for its own battery, unless half of it, or a converter, comes before. */
    public function test_an_inlet_is_built_for_its_own_battery(): void
    {
        $at = static fn (array $car): ChainAnswer => self::answer($car);
        $unread = $at(['inlets.0.dc.max_v' => null]);

        self::assertSame([Outcome::Charges, [360.0, true]], [$unread->outcome, [$unread->byStandard()[0]->value, $unread->byStandard()[0]->isAtLeast]]);
        self::assertSame([Outcome::Hazard, ['vehicle.inlets[0].dc.max_v']], [$at(['inlets.0.dc.max_v' => 350])->outcome, self::paths($at(['inlets.0.dc.max_v' => 350])->contradictions())]);
        self::assertSame([], $at(['inlets.0.dc.max_v' => 380])->contradictions());
        self::assertSame([], $at(['inlets.0.dc.max_v' => 200, 'inlets.0.dc.split_pack' => true])->contradictions());
        self::assertSame([], $at(['inlets.0.dc.max_v' => 200, 'inlets.0.dc.split_pack' => null])->contradictions());
        self::assertCount(1, $at(['inlets.0.dc.max_v' => 189, 'inlets.0.dc.split_pack' => true])->contradictions());
        self::assertSame([], $at(['inlets.0.dc.max_v' => 200, 'inlets.0.dc.boost_converter' => ['max_kw' => 50, 'input_v' => 200]])->contradictions());
    }

    /** @return iterable<string, array{string, array<string, mixed>, float, list<string>|null}> the supply's volts, and what is asked; null where it charges */
    public static function supplies(): iterable
    {
        $window = static function (string $inlet, array $post, float $low, float $high): iterable {
            yield "{$inlet} at {$low} V" => [$inlet, $post, $low, null];
            yield "{$inlet} at {$high} V" => [$inlet, $post, $high, null];
            yield "{$inlet} below it" => [$inlet, $post, $low - 1, ['inlets.0.ac.min_v']];
            yield "{$inlet} above it" => [$inlet, $post, $high + 1, ['inlets.0.ac.max_v']];
        };
        yield from $window('type1', Cases::AC_POST, 108.0, 250.0);
        yield from $window('j3400', [...Cases::AC_POST, 'coupler' => 'j3400'], 108.0, 250.0);
        yield from $window('ccs1', Cases::AC_POST, 108.0, 250.0);
        yield from $window('type2', self::TYPE2_POST, 207.0, 253.0);
        yield from $window('ccs2', self::TYPE2_POST, 207.0, 253.0);
        yield from $window('gbt_ac', self::GBT_POST, 198.0, 235.0);
    }

    /**
     * @param  array<string, mixed>  $post
     * @param  list<string>|null  $asks
     */
    #[DataProvider('supplies')]
    public function test_a_supply_inside_the_window_of_the_coupler_is_taken_and_outside_it_is_asked_about(string $inlet, array $post, float $volts, ?array $asks): void
    {
        $answer = self::answer(['inlets.0.coupler' => $inlet, 'inlets.0.ac.min_v' => null, 'inlets.0.ac.max_v' => null, 'inlets.0.ac.max_kw' => 3.0], ['supply.volts' => $volts], $post);
        $gate = $answer->gate(GateName::Voltage);

        self::assertSame($asks === null ? Outcome::Charges : Outcome::Unverified, $answer->outcome, Say::it($gate->reason()));
        self::assertSame($asks ?? [], array_column($gate->missing, 'path'));
        self::assertSame($asks === ['inlets.0.ac.max_v'], str_contains(Say::it($gate->reason()), 'must be rated for'));
        self::assertSame(['vehicle.inlets[0].ac.min_v', 'vehicle.inlets[0].ac.max_v'], self::paths($answer->byStandard()));
    }

    public function test_an_end_of_the_window_that_was_read_stays_what_was_read(): void
    {
        $at = static fn (?float $minV, ?float $maxV, float $volts): array => [self::answer(['inlets.0.ac.min_v' => $minV, 'inlets.0.ac.max_v' => $maxV], ['supply.volts' => $volts], Cases::AC_POST)->outcome->value, self::paths(self::answer(['inlets.0.ac.min_v' => $minV, 'inlets.0.ac.max_v' => $maxV], ['supply.volts' => $volts], Cases::AC_POST)->contradictions())];

        self::assertSame(['wont_charge', []], $at(200, null, 120));
        self::assertSame(['hazard', []], $at(null, 240, 250));
        self::assertSame(['charges', []], $at(null, 277, 277));
        // A charger that starts above all its standard names, or ends below: believed, told, and the other end stays open.
        self::assertSame(['unverified', ['vehicle.inlets[0].ac.min_v']], $at(260, null, 277));
        self::assertSame(['hazard', ['vehicle.inlets[0].ac.max_v']], $at(null, 100, 240));
    }

    /** A supply whose volts nobody has read may be more than the coupler's 250 V. */
    public function test_unread_volts_of_a_supply_name_what_the_inlet_is_sure_to_take(): void
    {
        $gate = self::answer(['inlets.0.ac.max_v' => null], ['supply.volts' => null], Cases::AC_POST)->gate(GateName::Voltage);

        self::assertSame([Fact::SupplyV], array_column($gate->missing, 'asked'));
        self::assertStringContainsString('250 V', Say::it($gate->reason()));
    }

    /** A rating that nobody has read fails no session: 251 V measured on a type1 inlet are not "over". */
    public function test_volts_by_standard_are_no_plate(): void
    {
        $plateV = static function (array $car): ?float {
            foreach (self::answer($car, [], Cases::AC_POST)->links() as $link) {
                if ($link->id === 'car#0') {
                    return $link->plate->maxV;
                }
            }

            return -1.0;
        };

        self::assertSame([250.0, null], [$plateV([]), $plateV(['inlets.0.ac.max_v' => null])]);
    }

    /** @return iterable<string, array{string, int|null, array{int, bool}|null}> outlet, phases read, and what counts */
    public static function supplyPhases(): iterable
    {
        foreach (['type1', 'j3400', 'socket:5-15', 'socket:14-50', 'socket:household-230', 'socket:blue-32'] as $one) {
            yield $one => [$one, null, [1, false]];
        }
        yield 'red' => ['socket:red-32', null, [3, false]];
        yield 'type2' => ['type2', null, [1, true]];
        yield 'gbt_ac' => ['gbt_ac', null, [1, true]];
        yield 'a socket that no standard here names' => ['socket:unheard-of', null, null];
        yield 'read' => ['type2', 3, null];
    }

    /** @param  array{int, bool}|null  $counts */
    #[DataProvider('supplyPhases')]
    public function test_phases_of_a_supply(string $outlet, ?int $read, ?array $counts): void
    {
        $inlet = str_starts_with($outlet, 'socket:') ? 'type2' : $outlet;
        $supply = ['id' => 'supply', 'name' => 'Supply', 'input' => $outlet, 'output' => 'type2', 'current' => 'ac', 'plate' => ['max_v' => 250, 'continuous_a' => 48], 'holds_back' => true];
        $file = Cases::file(['inlets.0.coupler' => $inlet], ['coupler' => $outlet, 'supply.volts' => 230, 'supply.phases' => $read], str_starts_with($outlet, 'socket:') ? [$supply] : [], post: Cases::AC_POST);
        $facts = array_values(array_filter(Cases::answer($file)->best->byStandard(), static fn (StandardFact $f): bool => $f->unread->asked === Fact::SupplyPhases));

        self::assertEquals($counts === null ? [] : [$counts], array_map(static fn (StandardFact $f): array => [$f->value, $f->isAtLeast], $facts));
    }

    /**
     * 32 A at 230 V: 7.36 kW on one phase, 22.08 kW on three. One phase is promised, three are told of; what a read count, or a
     * limit, rules out is not.
     */
    public function test_one_phase_is_promised_and_three_are_told_of(): void
    {
        $at = static function (?int $supply, ?int $charger, ?float $kw = 22.0): array {
            $answer = self::answer(['inlets.0.coupler' => 'type2', 'inlets.0.ac.phases' => $charger, 'inlets.0.ac.max_a' => 32, 'inlets.0.ac.max_kw' => $kw], ['supply.phases' => $supply], self::TYPE2_POST);
            $told = array_values(array_filter(array_map(Say::it(...), $answer->cautions()), static fn (string $c): bool => str_contains($c, 'With three')));

            return [$answer->outcome->value, round($answer->expectedPeakKw() ?? 0, 2), $answer->isAtMost(), $told];
        };

        self::assertSame(['charges', 7.36, false, ['Calculated with one phase, which is certain. With three, up to 22 kW.']], $at(3, null));
        self::assertSame(['charges', 7.36, false, ['Calculated with one phase, which is certain. With three, up to 22 kW.']], $at(null, null));
        self::assertSame(['charges', 7.36, false, ['Calculated with one phase, which is certain. With three, up to 11 kW.']], $at(null, null, 11.0));
        self::assertSame(['charges', 7.36, false, []], $at(1, null));
        self::assertSame(['charges', 7.0, false, []], $at(null, null, 7.0));
        self::assertSame(['charges', 22.0, false, []], $at(3, 3));
    }

    public function test_an_origin_is_never_entered_as_fixed_by_a_standard(): void
    {
        $this->expectExceptionObject(FieldError::at('vehicle.origins.charge_curve_kw.origin', \Harmozon\Core\Words\Message::of('field.origin_standard')));
        Cases::read(Cases::file(car: ['origins' => ['charge_curve_kw' => ['origin' => 'standard']]]));
    }

    /**
     * @param  array<string, mixed>  $car
     * @param  array<string, mixed>  $outlet
     * @param  array<string, mixed>  $post
     */
    private static function answer(array $car, array $outlet = [], array $post = Cases::DC_POST): ChainAnswer
    {
        return Cases::answer(Cases::file($car, $outlet, post: $post))->best;
    }

    /**
     * @param  list<StandardFact>  $facts
     * @return list<string>
     */
    private static function paths(array $facts): array
    {
        return array_map(static fn (StandardFact $f): string => $f->path(), $facts);
    }
}
