<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Fit;

use Harmozon\Core\Fit\Figure;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\Outcome;
use Harmozon\Core\Fit\Result;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** One table per gate at each of its edges, and the whole list of cautions in its order. */
final class EdgesTest extends TestCase
{
    public function test_a_piece_swapped_in_that_does_not_fit_is_named(): void
    {
        $case = Cases::read(Cases::file(adapters: [[]]));
        $answer = $case->fitter()->exactly($case->outlet, $case->adapters, $case->vehicle)->best;

        self::assertSame([Outcome::NoJoint, 'A1 takes J3400 on its charger side, not CCS1.'], [$answer->outcome, Say::it(Cases::gate($answer, GateName::Shape)->reason())]);
    }

    public function test_contacts_that_carry_no_such_current_are_named(): void
    {
        $answer = Cases::answer(Cases::file(outlet: ['coupler' => 'type1']))->best;

        self::assertSame([Outcome::WontCharge, "Type 1 has no contacts for DC, so this charger's record can't be right."], [$answer->outcome, Say::it(Cases::gate($answer, GateName::Current)->reason())]);
    }

    #[DataProvider('reaches')]
    public function test_reach(string $port, float $lengthM, string $result, string $told): void
    {
        $gate = Cases::gate(Cases::answer(Cases::file(car: ['inlets.0.port' => $port], outlet: ['cable.length_m' => $lengthM]))->best, GateName::Reach);

        self::assertSame($result, $gate->result()->value);
        self::assertStringContainsString($told, Say::it($gate->reason()));
        self::assertSame([$lengthM, 4.9], [$gate->figures()[0]->value, $gate->figures()[2]->value]);
    }

    /** @return iterable<string, array{string, float, string, string}> */
    public static function reaches(): iterable
    {
        yield 'either way round' => ['rear-left', 4.9, 'pass', 'whichever way you park'];
        yield 'a little less' => ['rear-left', 4.89, 'caution', 'back in; one bay is enough'];
        yield 'nose first' => ['front-left', 4.89, 'pass', 'nose first'];
        yield 'to the near corner' => ['front-right', 1.7, 'pass', 'nose first'];
        yield 'not quite to the near corner' => ['front-right', 1.69, 'caution', 'two bays'];
        yield 'back in, to the corner' => ['rear-right', 1.7, 'caution', 'back in'];
        yield 'not quite, backing in' => ['rear-right', 1.69, 'caution', 'two bays'];
        yield 'to the middle' => ['front-centre', 1.2, 'pass', 'nose first'];
        yield 'not quite to the middle' => ['front-centre', 1.19, 'caution', 'two bays'];
        yield 'backing in to the middle' => ['rear-centre', 1.2, 'caution', 'back in'];
        yield 'across two bays' => ['rear-left', 1.0, 'caution', 'two bays'];
        yield 'too short' => ['rear-left', 0.99, 'caution', "probably won't reach"];
    }

    #[DataProvider('volts')]
    public function test_volts(array $car, array $outlet, string $result, string $told): void
    {
        $gate = Cases::gate(Cases::answer(Cases::file(car: $car, outlet: $outlet))->best, GateName::Voltage);

        self::assertSame([$result, true], [$gate->result()->value, str_contains(Say::it($gate->reason()), $told)], Say::it($gate->reason()));
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, string, string}> */
    public static function volts(): iterable
    {
        // 320 V at 10 %, 360 V at 80 %.
        yield 'the station ends where the pack ends' => [[], ['max_v' => 360], 'pass', ''];
        yield 'a volt less' => [[], ['max_v' => 359], 'caution', 'stops near 78 %'];
        yield 'at the start' => [[], ['max_v' => 320], 'caution', 'stops near 10 %'];
        yield 'below the start' => [[], ['max_v' => 319], 'fail', ''];
        yield 'the station begins where the pack begins' => [[], ['min_v' => 320], 'pass', ''];
        yield 'a volt more' => [[], ['min_v' => 321], 'fail', ''];
        yield 'the inlet is rated for just as much' => [['inlets.0.dc.max_v' => 360], [], 'pass', ''];
        yield 'the inlet sees a volt more' => [['inlets.0.dc.max_v' => 359], [], 'fail', '359 V'];
    }

    /**
     * @param  array<string, mixed>  $file
     * @param  list<string>  $figures
     */
    #[DataProvider('sentences')]
    public function test_what_a_gate_says_to_the_letter(array $file, GateName $name, string $result, string $told, array $figures = []): void
    {
        $gate = Cases::gate(Cases::answer(Cases::file(...$file))->best, $name);

        self::assertSame([$result, $told], [$gate->result()->value, Say::it($gate->reason())]);
        self::assertSame($figures, array_map(static fn (Figure $f): string => "{$f->name} {$f->value} {$f->unit}", $gate->figures()));
    }

    /** @return iterable<string, array{0: array<string, mixed>, 1: GateName, 2: string, 3: string, 4?: list<string>}> */
    public static function sentences(): iterable
    {
        $with = static fn (array ...$adapters): array => ['outlet' => ['coupler' => 'j3400'], 'adapters' => $adapters];
        yield 'no adapter' => [[], GateName::Adapter, 'pass', 'No adapter needed.'];
        // 150 kW at 320 V.
        yield 'a boost that may be overrun' => [$with([]), GateName::Adapter, 'caution', "A1 may not limit the current itself. It is rated 300 A continuous and 500 A for 15 min; everything else here can carry 469 A. Lower the car's charging limit, pick a weaker stall, or stop by the minute given in the forecast."];
        yield 'a rating that may be overrun' => [$with(['plate.boost_a' => null, 'plate.boost_minutes' => null]), GateName::Adapter, 'caution', "A1 may not limit the current itself. It is rated 300 A continuous; everything else here can carry 469 A. Lower the car's charging limit or pick a weaker stall."];
        yield 'one that holds back' => [$with(['holds_back' => true]), GateName::Adapter, 'pass', 'A1 is certified by a test laboratory.'];
        yield 'one that only claims' => [$with(['certification' => 'claims']), GateName::Adapter, 'fail', 'A1 is said to be built to the standard, but not certified. Your policy requires certified adapters.'];
        yield 'an extension lead' => [['outlet' => ['extension' => true], 'post' => Cases::AC_POST], GateName::Adapter, 'caution', "There's an extension lead in the chain. Use one only if the supply's handbook allows it."];
        yield 'no DC side' => [['car' => ['inlets.0.dc' => null]], GateName::Signalling, 'fail', 'This inlet has no DC side, so it has no DC protocol.'];
        yield 'the pilot' => [['post' => Cases::AC_POST], GateName::Signalling, 'pass', 'Both use the AC control pilot.'];
        yield 'one language' => [[], GateName::Signalling, 'pass', 'Both use power-line communication.'];
        $chademo = ['inlets.0.dc.signalling' => ['can_chademo']];
        $translates = ['translates' => ['from' => ['plc'], 'to' => ['can_chademo']]];
        yield 'one translated into' => [['car' => $chademo, ...$with($translates)], GateName::Signalling, 'pass', 'A1 translates to CHAdeMO signalling, which Test car uses.'];
        yield 'translated away' => [['outlet' => ['coupler' => 'j3400', 'signalling' => null], 'adapters' => [$translates]], GateName::Signalling, 'fail', "Test car uses power-line communication, which can't reach it this way, whatever the station uses."];
        yield 'translated, if the station speaks it' => [['car' => $chademo, 'outlet' => ['coupler' => 'j3400', 'signalling' => null], 'adapters' => [$translates]], GateName::Signalling, 'unknown', 'Not known yet: which communication protocol this station uses.'];
        yield 'none in common' => [['outlet' => ['signalling' => ['can_chademo']]], GateName::Signalling, 'fail', "The station uses CHAdeMO signalling; Test car uses only power-line communication. Not known: whether there's a retrofit."];
        yield 'the car unread' => [['car' => ['inlets.0.coupler' => 'j3400', 'inlets.0.dc.signalling' => null], 'outlet' => ['coupler' => 'j3400']], GateName::Signalling, 'unknown', 'Not known yet: which DC protocols Test car uses.'];
        yield 'a recall that nobody looked up' => [$with(['recalled' => null]), GateName::Adapter, 'unknown', "Not known yet: whether A1 is under recall. If A1 is recalled, don't connect it."];
        yield 'damage that nobody looked for' => [$with(['damaged' => null]), GateName::Adapter, 'unknown', "Not known yet: whether A1 is damaged. If A1 is damaged, don't connect it."];
        yield 'amps that nobody read' => [$with(['plate.continuous_a' => null, 'plate.boost_a' => null, 'plate.boost_minutes' => null]), GateName::Adapter, 'unknown', "Not known yet: A1's current rating."];
        yield 'a rating that nobody read' => [$with(['plate.max_v' => null]), GateName::Voltage, 'unknown', "Not known yet: A1's voltage rating. A1 must be rated for at least 360 V."];
        yield 'more than a rating' => [$with(['plate.max_v' => 350]), GateName::Voltage, 'fail', 'A1 would see 360 V; it is rated for 350 V.', ['volts 360 V', 'rated 350 V']];
        yield 'volts' => [[], GateName::Voltage, 'pass', "The battery runs from 320 V to 360 V; the station's range is 150 V to 1000 V.", ['pack_at_start 320 V', 'pack_at_target 360 V', 'station_min 150 V', 'station_max 1000 V']];
        yield 'volts of the mains' => [['post' => Cases::AC_POST], GateName::Voltage, 'pass', "240 V is within the onboard charger's range.", ['supply 240 V']];
        yield 'half a pack' => [['car' => [...Cases::HIGH_VOLTAGE, 'inlets.0.dc.split_pack' => true], 'outlet' => ['max_v' => 500]], GateName::Voltage, 'pass', "The car switches its battery to two halves, which are within the station's 500 V.", ['pack_at_start 600 V', 'pack_at_target 750 V', 'station_min 150 V', 'station_max 500 V']];
        yield 'shapes' => [$with([]), GateName::Shape, 'pass', 'J3400 fits CCS1 through A1.'];
        yield 'current' => [$with([]), GateName::Current, 'pass', 'DC all the way.'];
        yield 'access' => [[], GateName::Access, 'pass', 'Open to everyone. Start as the stall says.'];
    }

    /** What nobody has read is the reason of an answer only where it keeps the answer open. */
    public function test_why(): void
    {
        $why = static fn (array $outlet): string => Say::it(Cases::answer(Cases::file(outlet: $outlet))->best->why());

        self::assertSame("Limited by the car's charge curve.", $why(['cable' => ['length_m' => null, 'cooled' => true, 'continuous_a' => 500]]));
        self::assertSame("Not known yet: the station's maximum voltage.", $why(['max_v' => null, 'cable' => null]));
    }

    /** Each adapter is held against what stands before it, not against the station. */
    public function test_the_half_of_a_shape_counts_for_the_piece_that_goes_in(): void
    {
        $case = Cases::read(Cases::file(
            outlet: ['coupler' => 'type1'], post: Cases::AC_POST,
            adapters: [['id' => 'x', 'input' => 'type1', 'output' => 'ccs1', 'current' => 'ac'], ['id' => 'y', 'input' => 'ccs1', 'output' => 'ccs1', 'current' => 'ac']],
        ));
        $current = static fn (array $adapters): string => Cases::gate($case->fitter()->exactly($case->outlet, $adapters, $case->vehicle)->best, GateName::Current)->result()->value;

        self::assertSame(['pass', 'fail'], [$current($case->adapters), $current([$case->adapters[1]])]);
    }

    public function test_the_better_of_two_outcomes(): void
    {
        $ranks = array_map(static fn (Outcome $o): int => $o->rank(), [Outcome::Charges, Outcome::Limited, Outcome::Unverified, Outcome::Hazard, Outcome::WontCharge, Outcome::NoJoint]);
        $sorted = array_unique($ranks);
        rsort($sorted);

        self::assertSame($sorted, $ranks);
    }

    public function test_the_whole_list_of_cautions_in_its_order(): void
    {
        $file = Cases::file(
            outlet: ['coupler' => 'j3400', 'max_kw' => null, 'known_fault' => 'latch sticks.', 'cable.length_m' => 1.9, 'access' => ['kind' => 'account']],
            adapters: [['test_overdue' => true, 'attach_order' => 'car-first', 'plate.boost_a' => null, 'plate.boost_minutes' => null]],
        );
        $told = array_map(Say::it(...), Cases::answer($file)->best->cautions());

        $parts = ['Needs an account', 'A1 is due for a test', 'back in; one bay is enough', 'Known fault at this stall: latch sticks.', 'Not read yet: ', 'A1: adapter into the car first', 'Look for debris', 'Stop the session first'];
        self::assertCount(count($parts), $told);
        foreach ($parts as $i => $part) {
            self::assertStringContainsString($part, $told[$i]);
        }
        self::assertStringContainsString('may not limit the current itself', $told[1]);

        $ac = array_map(Say::it(...), Cases::answer(Cases::file(post: Cases::AC_POST))->best->cautions());
        self::assertStringContainsString('licensed electrician', $ac[count($ac) - 1]);
        self::assertStringNotContainsString('pull a connector', implode(' ', $ac));
    }

    public function test_an_adapter_that_may_not_hold_back_is_told_of_even_while_its_gate_asks_something_else(): void
    {
        $best = Cases::answer(Cases::file(outlet: ['coupler' => 'j3400'], adapters: [['damaged' => null, 'attach_order' => null]]))->best;
        $told = array_map(Say::it(...), $best->cautions());

        self::assertSame(Result::Unknown, Cases::gate($best, GateName::Adapter)->result());
        self::assertStringContainsString('may not limit the current itself', implode(' ', $told));
        self::assertStringContainsString('A1: connecting order not known', implode(' ', $told));
        self::assertStringNotContainsString('may not limit the current', implode(' ', array_map(Say::it(...), Cases::answer(Cases::file(outlet: ['coupler' => 'j3400'], adapters: [['damaged' => null, 'holds_back' => true]]))->best->cautions())));
        self::assertSame([], Cases::answer(Cases::file(outlet: ['coupler' => 'gbt_dc']))->best->cautions(), 'where nothing can flow there is nothing to be careful about');
    }

    /** @param  list<string>  $asked */
    #[DataProvider('unreadFacts')]
    public function test_every_unread_fact_is_asked_for(array $car, array $outlet, array $adapter, array $asked, array $post = Cases::DC_POST): void
    {
        $best = Cases::answer(Cases::file($car, $outlet, $adapter === [] ? [] : [$adapter], post: $post))->best;
        $paths = [];
        foreach ($best->gates() as $gate) {
            foreach ($gate->missing as $unread) {
                $paths[] = $unread->path;
            }
        }
        foreach ($best->limits->unread ?? [] as $unread) {
            $paths[] = $unread->path;
        }

        self::assertSame($asked, array_values(array_unique($paths)));
    }

    /** @return iterable<string, array{0: array<string, mixed>, 1: array<string, mixed>, 2: array<string, mixed>, 3: list<string>, 4?: array<string, mixed>}> */
    public static function unreadFacts(): iterable
    {
        $hub = ['coupler' => 'j3400'];
        $held = ['holds_back' => true];
        yield 'nothing' => [[], [], [], []];
        yield 'station volts' => [[], ['max_v' => null], [], ['max_v']];
        yield 'station volts at the low end' => [[], ['min_v' => null], [], ['min_v']];
        yield 'station amps' => [[], ['max_a' => null], [], ['max_a']];
        yield 'station kW' => [[], ['max_kw' => null], [], ['max_kw']];
        yield 'protocols of the station' => [['inlets.0.coupler' => 'j3400'], ['signalling' => null] + $hub, [], ['signalling']];
        yield 'protocols of the car' => [['inlets.0.coupler' => 'j3400', 'inlets.0.dc.signalling' => null], $hub, [], ['inlets.0.dc.signalling']];
        yield 'pack volts' => [['pack.voltage_by_soc' => null], [], [], ['pack.voltage_by_soc']];
        yield 'charge curve' => [['charge_curve_kw' => null], [], [], ['charge_curve_kw']];
        yield 'inlet amps' => [['inlets.0.dc.max_a' => null], [], [], ['inlets.0.dc.max_a']];
        yield 'port corner' => [['inlets.0.port' => null], [], [], ['inlets.0.port']];
        yield 'cable length' => [[], ['cable.length_m' => null], [], ['cable.length_m']];
        yield 'access' => [[], ['access' => ['kind' => null]], [], ['access.kind']];
        yield 'who is admitted' => [[], ['access' => ['kind' => 'makes', 'makes' => null]], [], ['access.makes']];
        yield 'programmes of the car' => [['programmes' => null], ['access' => ['kind' => 'makes', 'makes' => ['ostler']]], [], ['programmes']];
        yield 'certification' => [[], $hub, ['certification' => null] + $held, ['certification']];
        yield 'recall' => [[], $hub, ['recalled' => null] + $held, ['recalled']];
        yield 'damage' => [[], $hub, ['damaged' => null] + $held, ['damaged']];
        yield 'adapter volts' => [[], $hub, ['plate.max_v' => null] + $held, ['plate.max_v']];
        yield 'adapter amps' => [[], $hub, ['plate.continuous_a' => null, 'plate.boost_a' => null, 'plate.boost_minutes' => null] + $held, ['plate.continuous_a']];
        yield 'what an adapter is wired for' => [[], $hub, ['current' => null] + $held, ['current']];
        yield 'cabinet kW' => [[], ['cabinet' => ['policy' => 'halves', 'partner_active' => true]], [], ['cabinet.kw']];
        yield 'how a cabinet shares' => [[], ['cabinet' => ['kw' => 300, 'partner_active' => true]], [], ['cabinet.policy']];
        yield 'blocks of a cabinet' => [[], ['cabinet' => ['kw' => 300, 'policy' => 'modules', 'partner_active' => true]], [], ['cabinet.module_kw']];
        yield 'supply volts' => [[], ['supply.volts' => null], [], ['supply.volts'], Cases::AC_POST];
        yield 'supply amps' => [[], ['supply.amps' => null], [], ['supply.amps'], Cases::AC_POST];
        yield 'onboard volts below what a standard asks for' => [['inlets.0.ac.min_v' => null], ['supply.volts' => 100], [], ['inlets.0.ac.min_v'], Cases::AC_POST];
        yield 'onboard kW' => [['inlets.0.ac.max_kw' => null], [], [], ['inlets.0.ac.max_kw'], Cases::AC_POST];
        yield 'onboard volts above it' => [['inlets.0.ac.max_v' => null], ['supply.volts' => 277], [], ['inlets.0.ac.max_v'], Cases::AC_POST];
    }
}
