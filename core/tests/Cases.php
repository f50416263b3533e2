<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests;

use Harmozon\Core\Case\CaseReader;
use Harmozon\Core\Case\FitCase;
use Harmozon\Core\Fit\Answer;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\GateResult;
use Harmozon\Core\Json\Node;

/** Case files for tests: pieces with round figures, changed field by field with dotted paths. */
final class Cases
{
    /** A 400 V-class car with a combined inlet: 320 V at 10 %, 360 V at 80 %, 150 kW flat. */
    public const CAR = [
        'id' => 'car', 'name' => 'Test car',
        'pack' => ['usable_kwh' => 60.0, 'voltage_by_soc' => [[0, 310], [10, 320], [80, 360], [100, 380]]],
        'charge_curve_kw' => [[0, 150], [60, 150], [100, 10]],
        'km_per_kwh' => 6.0,
        'inlets' => [[
            'coupler' => 'ccs1', 'port' => 'rear-left',
            'dc' => ['signalling' => ['plc'], 'max_v' => 500, 'max_a' => 500, 'max_kw' => 150, 'retrofit' => null, 'boost_converter' => null, 'split_pack' => false],
            'ac' => ['phases' => 1, 'max_a' => 48, 'max_kw' => 11.5, 'min_v' => 100, 'max_v' => 250],
        ]],
        'programmes' => ['ostler'],
    ];

    /** Its high-voltage sister: 600 V at 10 %, 750 V at 80 %. */
    public const HIGH_VOLTAGE = ['pack.voltage_by_soc' => [[0, 580], [10, 600], [80, 750], [100, 790]], 'inlets.0.dc.max_v' => 1000];

    public const DC_POST = [
        'id' => 'post', 'name' => 'Test post', 'coupler' => 'ccs1', 'current' => 'dc', 'signalling' => ['plc'],
        'min_v' => 150, 'max_v' => 1000, 'max_a' => 500, 'max_kw' => 350, 'sticker_kw' => 350,
        'cable' => ['length_m' => 5.0, 'cooled' => true, 'continuous_a' => 500],
        'access' => ['kind' => 'open'],
    ];

    public const AC_POST = [
        'id' => 'post', 'name' => 'Test post', 'coupler' => 'type1', 'current' => 'ac', 'signalling' => ['pwm'],
        'cable' => ['length_m' => 5.0, 'cooled' => false, 'continuous_a' => 48],
        'supply' => ['volts' => 240, 'amps' => 48, 'phases' => 1], 'access' => ['kind' => 'open'],
    ];

    public const ADAPTER = [
        'id' => 'a1', 'name' => 'A1', 'input' => 'j3400', 'output' => 'ccs1', 'current' => 'dc',
        'plate' => ['max_v' => 1000, 'continuous_a' => 300, 'boost_a' => 500, 'boost_minutes' => 15],
        'certification' => 'certified', 'maker_approved' => true, 'recalled' => false, 'damaged' => false, 'attach_order' => 'handle-first',
    ];

    /**
     * @param  array<string, mixed>  $car
     * @param  array<string, mixed>  $outlet
     * @param  list<array<string, mixed>>  $adapters  changes to the standard adapter, one set each
     * @param  array<string, mixed>  $case
     * @return array<string, mixed>
     */
    public static function file(array $car = [], array $outlet = [], array $adapters = [], array $case = [], array $post = self::DC_POST): array
    {
        return self::changed([
            'format' => 'harmozon/case', 'version' => 1,
            'vehicle' => self::changed(self::CAR, $car),
            'adapters' => array_map(static fn (array $a): array => self::changed(self::ADAPTER, $a), $adapters),
            'outlet' => self::changed($post, $outlet),
            'policy' => 'certified',
            'conditions' => ['soc_from' => 10, 'soc_to' => 80, 'ambient_c' => 25, 'pack_prepared' => true],
        ], $case);
    }

    /** @param  array<string, mixed>  $file */
    public static function read(array $file): FitCase
    {
        return (new CaseReader)->case(Node::of($file));
    }

    /** @param  array<string, mixed>  $file */
    public static function answer(array $file): Answer
    {
        $case = self::read($file);

        return $case->fitter()->answer($case->outlet, $case->vehicle);
    }

    public static function gate(ChainAnswer $answer, GateName $name): GateResult
    {
        foreach ($answer->gates() as $gate) {
            if ($gate->gate === $name) {
                return $gate;
            }
        }
        throw new \LogicException('every gate is always reported');
    }

    /**
     * @param  array<string, mixed>  $document
     * @param  array<string, mixed>  $changes  by dotted path
     * @return array<string, mixed>
     */
    public static function changed(array $document, array $changes): array
    {
        foreach ($changes as $path => $value) {
            $at = &$document;
            foreach (explode('.', $path) as $key) {
                if (! is_array($at)) {
                    $at = [];
                }
                $at = &$at[is_numeric($key) ? (int) $key : $key];
            }
            $at = $value;
            unset($at);
        }

        return $document;
    }
}
