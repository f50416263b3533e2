<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Fit;

use Harmozon\Core\Fit\ShortReason;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ShortReasonTest extends TestCase
{
    /** @param  array<string, mixed>  $file */
    #[DataProvider('answers')]
    public function test_why_in_about_five_words(array $file, string $said): void
    {
        self::assertSame($said, Say::it(ShortReason::of(Cases::answer($file)->best)));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function answers(): iterable
    {
        yield 'the car itself' => [Cases::file(), "limit: car's charge curve"];
        yield 'held back' => [Cases::file(outlet: ['max_a' => 200]), "limit: station's maximum current"];
        yield 'unread power' => [Cases::file(outlet: ['max_kw' => null]), "limit: car's charge curve"];
        yield 'to be checked' => [Cases::file(outlet: ['max_v' => null]), "check the station's maximum voltage"];
        yield 'shapes' => [Cases::file(outlet: ['coupler' => 'gbt_dc']), "shapes don't fit"];
        yield 'current' => [Cases::file(car: ['inlets.0.dc' => null]), "AC and DC don't match"];
        yield 'language' => [Cases::file(car: ['inlets.0.dc.signalling' => ['can_legacy']]), 'no protocol in common'];
        yield 'volts' => [Cases::file(car: Cases::HIGH_VOLTAGE, outlet: ['max_v' => 500]), "voltages don't match"];
        yield 'access' => [Cases::file(outlet: ['access' => ['kind' => 'makes', 'makes' => ['other']]]), "this car isn't accepted"];
        yield 'policy' => [Cases::file(outlet: ['coupler' => 'j3400'], adapters: [['certification' => 'claims']]), 'your policy refuses the adapter'];
        yield 'a flat battery' => [Cases::file(car: ['inlets.0.coupler' => 'chademo', 'inlets.0.dc.signalling' => ['can_chademo']], adapters: [['input' => 'ccs1', 'output' => 'chademo', 'translates' => ['from' => ['plc'], 'to' => ['can_chademo']], 'battery_ok' => false]]), "the adapter isn't ready"];
        yield 'danger of volts' => [Cases::file(car: Cases::HIGH_VOLTAGE, outlet: ['coupler' => 'j3400'], adapters: [['plate.max_v' => 500]]), 'voltage above a rating'];
        yield 'danger of a piece' => [Cases::file(outlet: ['coupler' => 'j3400'], adapters: [['recalled' => true]]), "a piece that mustn't be used"];
        yield 'next to nothing' => [Cases::file(car: ['charge_curve_kw' => [[0, 0.4]]]), "next to nothing: car's charge curve"];
    }
}
