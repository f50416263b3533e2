<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Fit;

use Harmozon\Core\Fit\Brief;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BriefTest extends TestCase
{
    /** @param  array<string, mixed>  $file */
    #[DataProvider('answers')]
    public function test_why_in_about_five_words(array $file, string $said): void
    {
        self::assertSame($said, Say::it(Brief::of(Cases::answer($file)->best)));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function answers(): iterable
    {
        yield 'the car itself' => [Cases::file(), "limit: car's own charge curve"];
        yield 'held back' => [Cases::file(outlet: ['max_a' => 200]), "limit: station's amps"];
        yield 'unread power' => [Cases::file(outlet: ['max_kw' => null]), "limit: car's own charge curve"];
        yield 'to be checked' => [Cases::file(outlet: ['max_v' => null]), "check the station's highest volts"];
        yield 'shapes' => [Cases::file(outlet: ['coupler' => 'gbt_dc']), 'the shapes do not mate'];
        yield 'current' => [Cases::file(car: ['inlets.0.dc' => null]), 'AC and DC do not meet'];
        yield 'language' => [Cases::file(car: ['inlets.0.dc.signalling' => ['can_legacy']]), 'no language in common'];
        yield 'volts' => [Cases::file(car: Cases::HIGH_VOLTAGE, outlet: ['max_v' => 500]), 'the volts do not meet'];
        yield 'access' => [Cases::file(outlet: ['access' => ['kind' => 'makes', 'makes' => ['other']]]), 'this car is not admitted'];
        yield 'policy' => [Cases::file(outlet: ['coupler' => 'j3400'], adapters: [['certification' => 'claims']]), 'your policy refuses the adapter'];
        yield 'a flat battery' => [Cases::file(car: ['inlets.0.coupler' => 'chademo', 'inlets.0.dc.signalling' => ['can_chademo']], adapters: [['input' => 'ccs1', 'output' => 'chademo', 'translates' => ['from' => ['plc'], 'to' => ['can_chademo']], 'battery_ok' => false]]), 'the adapter is not ready'];
        yield 'danger of volts' => [Cases::file(car: Cases::HIGH_VOLTAGE, outlet: ['coupler' => 'j3400'], adapters: [['plate.max_v' => 500]]), 'more volts than a rating'];
        yield 'danger of a piece' => [Cases::file(outlet: ['coupler' => 'j3400'], adapters: [['recalled' => true]]), 'a piece must not be used'];
        yield 'next to nothing' => [Cases::file(car: ['charge_curve_kw' => [[0, 0.4]]]), "next to nothing: car's own charge curve"];
    }
}
