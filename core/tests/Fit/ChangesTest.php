<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Fit;

use Harmozon\Core\Case\CatalogueReader;
use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Catalogue\ChargerKind;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\CouplerFamily;
use Harmozon\Core\Fit\AdapterPolicy;
use Harmozon\Core\Fit\Change;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\Outcome;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\TestCase;

final class ChangesTest extends TestCase
{
    public function test_the_catalogue_knows_every_shape_and_says_what_to_see_and_what_to_read(): void
    {
        $catalogue = self::catalogue();
        $families = array_unique(array_map(static fn (ChargerKind $k): string => $k->outlet->coupler->family->value, $catalogue->chargers()));

        self::assertEqualsCanonicalizing(array_map(static fn (CouplerFamily $f): string => $f->value, CouplerFamily::cases()), $families);
        foreach ($catalogue->chargers() as $kind) {
            self::assertArrayHasKey($kind->group, $catalogue->groups());
            self::assertNotSame('', $kind->seen);
            self::assertSame($kind->group === 'historic', $kind->read === [], $kind->id);
        }
        $ids = [...array_map(static fn (ChargerKind $k): string => $k->id, $catalogue->chargers()), ...array_map(static fn (Adapter $a): string => $a->id, $catalogue->adapters())];
        self::assertSame($ids, array_values(array_unique($ids)));
    }

    public function test_a_kind_knows_nothing_of_the_piece_that_will_be_bought(): void
    {
        foreach (self::catalogue()->adapters() as $kind) {
            self::assertSame([null, null, null, null, null], [$kind->trust->certification, $kind->trust->makerApproved, $kind->trust->recalled, $kind->trust->damaged, $kind->handling->batteryOk], $kind->id);
        }
        foreach (self::catalogue()->chargers() as $kind) {
            self::assertSame([null, null, null], [$kind->outlet->fittings->attachedAdapter?->trust->certification, $kind->outlet->fittings->attachedAdapter?->trust->recalled, $kind->outlet->fittings->attachedAdapter?->trust->damaged], $kind->id);
        }
    }

    public function test_a_gain_of_a_twentieth_is_not_worth_telling(): void
    {
        // Half of 200 kW beside the neighbour; alone the post's own kW: 104.9 or 105.1 of a car's 150.
        $nothing = static fn (): array => [];
        $told = static function (float $kw) use ($nothing): bool {
            $case = Cases::read(Cases::file(outlet: ['max_kw' => $kw, 'cabinet' => ['kw' => 200, 'policy' => 'halves', 'partner_active' => true]]));
            $changes = $case->changes(new Catalogue($nothing, $nothing, $nothing))->changes($case->fitter()->answer($case->outlet, $case->vehicle)->best, $case->outlet, $case->vehicle);

            return in_array('change.neighbour', array_map(static fn (Change $c): string => $c->message->code, $changes), true);
        };

        self::assertSame([false, true], [$told(104.9), $told(105.1)]);
    }

    public function test_nothing_is_given_where_nothing_flows_or_is_known(): void
    {
        $given = static fn (array $file): string => Say::it(Cases::answer($file)->best->given());

        self::assertSame(['150 kW', 'at most 150 kW', '', ''], [
            $given(Cases::file()), $given(Cases::file(outlet: ['max_kw' => null])), $given(Cases::file(outlet: ['coupler' => 'gbt_dc'])),
            $given(Cases::file(car: ['pack' => null, 'charge_curve_kw' => null, 'inlets.0.dc' => []], outlet: ['max_kw' => null, 'max_a' => null, 'cable' => null])),
        ]);
    }

    public function test_what_could_be_bought_is_told_as_a_condition(): void
    {
        $case = Cases::read(Cases::file(outlet: ['coupler' => 'j3400', 'max_a' => 300]));
        foreach ([[AdapterPolicy::Certified, 'A certified adapter of this kind would do'], [AdapterPolicy::Any, 'A certified adapter of this kind would do'], [AdapterPolicy::Maker, "An adapter of this kind that the car's maker approves would do"]] as [$policy, $said]) {
            $best = (new Fitter(self::catalogue()->forSale(), $case->conditions, $policy))->answer($case->outlet, $case->vehicle)->best;

            self::assertSame([Outcome::Limited, true], [$best->outcome, $best->isToBuy()]);
            self::assertSame('would charge, limited', Say::it($best->word()));
            self::assertStringStartsWith($said, Say::it(Cases::gate($best, GateName::Adapter)->reason()));
        }
        $own = Cases::answer(Cases::file(outlet: ['coupler' => 'j3400', 'max_a' => 300], adapters: [['holds_back' => true]]))->best;
        self::assertSame([false, 'charges, limited'], [$own->isToBuy(), Say::it($own->word())]);
    }

    public function test_an_answer_that_charges_needs_no_change(): void
    {
        self::assertSame([], self::changes(Cases::file()));
    }

    public function test_a_retrofit_is_found_by_running_the_gates_with_it(): void
    {
        $file = Cases::file(car: ['inlets.0.dc.signalling' => ['can_legacy'], 'inlets.0.dc.retrofit' => ['adds' => ['plc'], 'state' => 'available']]);

        self::assertContains('a retrofit for Test car that adds power-line communication: charges 150', self::changes($file));
        self::assertStringNotContainsString('retrofit', implode(self::changes(Cases::changed($file, ['vehicle.inlets.0.dc.retrofit' => 'impossible']))));
        // A retrofit that adds the language is of no use where another gate fails too.
        self::assertStringNotContainsString('retrofit', implode(self::changes(Cases::changed($file, ['outlet.min_v' => 450]))));
    }

    public function test_a_missing_adapter_is_named_with_its_pair_and_plate(): void
    {
        $changes = self::changes(Cases::file(outlet: ['coupler' => 'j3400']));

        self::assertContains('a certified DC adapter, J3400 to CCS1, 1000 V 350 A (500 A for 12 min): charges 150', $changes);
    }

    public function test_one_s_own_active_adapter_wants_charging(): void
    {
        $file = Cases::file(
            car: ['inlets.0.coupler' => 'chademo', 'inlets.0.dc.signalling' => ['can_chademo'], 'inlets.0.dc.max_kw' => 40, 'charge_curve_kw' => [[0, 40]]],
            adapters: [['input' => 'ccs1', 'output' => 'chademo', 'translates' => ['from' => ['plc'], 'to' => ['can_chademo']], 'battery_ok' => false]],
        );

        self::assertContains("charging A1's own battery: charges 40", self::changes($file));
    }

    public function test_arriving_lower_helps_where_the_ceiling_is_above_the_empty_pack(): void
    {
        // 580 V empty, 600 V at 10 %: a 590 V station meets it at 5 %.
        $file = Cases::file(car: Cases::HIGH_VOLTAGE, outlet: ['max_v' => 590]);

        self::assertContains('arriving with less than 5 %: charges 150', self::changes($file));
        self::assertStringNotContainsString('arriving', implode(self::changes(Cases::changed($file, ['outlet.max_v' => 500]))));
    }

    public function test_other_hardware_admission_and_a_neighbour_who_leaves(): void
    {
        $hub = ['coupler' => 'j3400', 'max_v' => 500, 'signalling' => ['plc'], 'min_v' => 50];
        $high = Cases::HIGH_VOLTAGE + ['inlets.0.coupler' => 'j3400'];
        self::assertContains('another stall: Closed hub, third generation in full: charges 150', self::changes(Cases::file(car: $high, outlet: $hub)));

        $closed = Cases::file(outlet: ['access' => ['kind' => 'makes', 'makes' => ['sluice']]]);
        self::assertContains('an account or approval that lets this car start here: charges 150', self::changes($closed));

        $shared = Cases::file(outlet: ['cabinet' => ['kw' => 200, 'policy' => 'halves', 'partner_active' => true]]);
        self::assertContains('waiting until the neighbour on the cabinet has left: charges 150', self::changes($shared));

        $extended = Cases::file(outlet: ['extension' => true]);
        self::assertContains('leaving out the extension lead: charges 150', self::changes($extended));
    }

    public function test_changes_are_ranked_by_gain_and_every_one_improves_the_answer(): void
    {
        $file = Cases::file(outlet: ['max_a' => 100, 'cabinet' => ['kw' => 60, 'policy' => 'halves', 'partner_active' => true]]);
        $case = Cases::read($file);
        $now = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
        $changes = $case->changes(self::catalogue())->changes($now, $case->outlet, $case->vehicle);
        $gains = array_map(static fn (Change $c): array => [$c->answer->outcome->rank(), $c->answer->expectedPeakKw()], $changes);
        $sorted = $gains;
        rsort($sorted);

        self::assertGreaterThan(1, count($changes));
        self::assertSame($sorted, $gains);
        foreach ($changes as $change) {
            self::assertGreaterThan($now->expectedPeakKw(), $change->answer->expectedPeakKw());
        }
    }

    /**
     * @param  array<string, mixed>  $file
     * @return list<string>
     */
    private static function changes(array $file): array
    {
        $case = Cases::read($file);
        $now = $case->fitter()->answer($case->outlet, $case->vehicle)->best;

        return array_map(
            static fn (Change $c): string => sprintf('%s: %s %d', Say::it($c->message), $c->answer->outcome->value, round($c->answer->expectedPeakKw() ?? 0)),
            $case->changes(self::catalogue())->changes($now, $case->outlet, $case->vehicle),
        );
    }

    private static function catalogue(): Catalogue
    {
        $folder = dirname(__DIR__, 2).'/catalogue';

        return (new CatalogueReader)->catalogue((string) file_get_contents("{$folder}/charger-kinds.json"), (string) file_get_contents("{$folder}/adapter-kinds.json"));
    }
}
