<?php

declare(strict_types=1);

namespace Harmozon\Core\Case;

use Harmozon\Core\Catalogue\CarAnswers;
use Harmozon\Core\Catalogue\CarKinds;
use Harmozon\Core\Catalogue\OnboardAnswer;
use Harmozon\Core\Catalogue\PackAnswer;
use Harmozon\Core\Catalogue\TypicalCurve;
use Harmozon\Core\Catalogue\TypicalFigure;
use Harmozon\Core\Equipment\CouplerFamily;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\Origin;
use Harmozon\Core\Equipment\PortCorner;
use Harmozon\Core\Equipment\Signalling;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Json\Range;
use Harmozon\Core\Words\Message;

/**
 * Turns a person's answers into a car in the words of the case file. What the answers leave open gets the typical value
 * of its kind, marked as typical, with its spread; what has to be read stays unread.
 */
final class NewCar
{
    private const MOST_INLETS = 2;

    /** The state of charge at which a car usually takes its peak (per cent). */
    private const PEAK_SOC = 10.0;

    /** An inlet is rated for more amps than the brochure's kW need: usual, least and most (factor). */
    private const INLET_SPARE = [1.1, 0.95, 1.5];

    /** Assumed supply voltage of an onboard charger (V): its amps are computed with it; the spread is 208 V to 250 V. */
    private const MAINS_V = [230.0, 250.0, 208.0];

    private readonly PackVolts $packVolts;

    public function __construct(private readonly CarKinds $kinds)
    {
        $this->packVolts = new PackVolts($kinds);
    }

    /** @throws FieldError */
    public function answers(Node $node): CarAnswers
    {
        $faces = $node->choices('faces', CouplerFamily::class) ?? [];
        if (count($faces) > self::MOST_INLETS || count($faces) !== count(array_unique(array_column($faces, 'value')))) {
            throw $node->fail('faces', Message::of('new_car.two_faces'));
        }
        foreach ($faces as $i => $face) {
            if ($face === CouplerFamily::Socket) {
                throw $node->fail("faces[{$i}]", Message::of('new_car.no_inlet'));
            }
        }
        $class = $node->textOrNull('pack_class');
        if ($class !== null && $this->kinds->class($class) === null) {
            throw $node->fail('pack_class', Message::of('new_car.no_class'));
        }
        $onboard = $node->objectOrNull('onboard');
        [$minV, $maxV] = [$onboard?->number('min_v', Range::volts()), $onboard?->number('max_v', Range::volts())];

        return new CarAnswers(
            $faces,
            $node->choices('languages', Signalling::class),
            new PackAnswer($class, $node->number('pack_nominal_v', Range::volts())),
            $node->number('usable_kwh', Range::kwh()),
            $node->number('peak_kw', Range::kw()),
            new OnboardAnswer($onboard?->number('kw', Range::kw()), $onboard?->wholeNumber('phases', 1, 3), $minV, $maxV),
            $node->number('inlet_max_v', Range::volts()),
            $node->choice('port', PortCorner::class),
        );
    }

    /**
     * @param  string  $day  on which the answers were given (ISO 8601)
     * @return array<string, mixed>|null a car's plate in the words of the case file; null while nobody has seen an inlet
     */
    public function plate(CarAnswers $answers, string $day): ?array
    {
        if ($answers->faces === []) {
            return null;
        }
        $origins = [];
        $inlets = [];
        foreach ($answers->faces as $i => $face) {
            $inlets[] = [
                'coupler' => $face->value,
                'port' => $answers->port?->value,
                'dc' => $face->carries(CurrentKind::Dc) ? $this->dc($answers, $face, "inlets.{$i}.dc", $origins, $day) : null,
                'ac' => CarAnswers::hasAc($face) ? $this->ac($answers, $face, "inlets.{$i}.ac", $origins, $day) : null,
            ];
        }
        $pack = [
            'usable_kwh' => $this->figure('pack.usable_kwh', $this->kinds->usableKwh($answers->usableKwh), $answers->usableKwh !== null, $origins, $day),
            'voltage_by_soc' => $answers->takesDc() ? $this->voltsByCharge($answers, $origins, $day) : null,
            ...($answers->pack->nominalV === null ? [] : ['nominal_v' => $answers->pack->nominalV]),
            ...($answers->pack->class === null ? [] : ['class' => $answers->pack->class]),
        ];
        $curve = $answers->takesDc() ? $this->kinds->curveKw($this->class($answers), $answers->usableKwh, $answers->peakKw) : null;
        if ($curve !== null) {
            $origins['charge_curve_kw'] = PackVolts::origin($curve, $day);
        }

        return [
            'pack' => $pack,
            'charge_curve_kw' => $curve === null ? null : PackVolts::pairs($curve->value),
            'km_per_kwh' => null,
            'inlets' => $inlets,
            'programmes' => null,
            'origins' => (object) $origins,
        ];
    }

    /**
     * @param  array<string, mixed>  $origins
     * @return list<array{float, float}>
     */
    private function voltsByCharge(CarAnswers $answers, array &$origins, string $day): array
    {
        $volts = $this->volts($answers);
        $origins['pack.voltage_by_soc'] = [...PackVolts::origin($volts, $day), ...($this->class($answers) === null ? ['most' => PackVolts::pairs($this->kinds->mostVolts)] : [])];

        return PackVolts::pairs($volts->value);
    }

    /** The curve of the given class; else of the usual one. */
    private function volts(CarAnswers $answers): TypicalCurve
    {
        return $this->packVolts->curve($answers->pack->nominalV, $answers->pack->class) ?? $this->kinds->usualVolts;
    }

    private function class(CarAnswers $answers): ?string
    {
        return $answers->pack->nominalV === null ? $answers->pack->class : $this->packVolts->classOf($answers->pack->nominalV);
    }

    /**
     * @param  array<string, mixed>  $origins
     * @return array<string, mixed>
     */
    private function dc(CarAnswers $answers, CouplerFamily $face, string $at, array &$origins, string $day): array
    {
        // What was told of a car with a closed and an open plug is told of the open one.
        $isTold = CarAnswers::hasOpenProtocol($face) || array_filter($answers->faces, CarAnswers::hasOpenProtocol(...)) === [];
        $languages = $isTold ? $answers->languages : null;
        foreach (['signalling' => $languages, 'max_v' => $answers->inletMaxV, 'max_kw' => $answers->peakKw] as $fact => $read) {
            if ($read !== null) {
                $origins["{$at}.{$fact}"] = ['origin' => Origin::Read->value, 'on' => $day];
            }
        }

        return [
            'signalling' => $languages === null ? null : array_column($languages, 'value'),
            'max_v' => $answers->inletMaxV,
            'max_a' => $this->inletA($answers, "{$at}.max_a", $origins, $day),
            'max_kw' => $answers->peakKw,
            'retrofit' => null,
            'boost_converter' => null,
            'split_pack' => null,
        ];
    }

    /** @param  array<string, mixed>  $origins */
    private function inletA(CarAnswers $answers, string $path, array &$origins, string $day): float
    {
        $volts = $this->volts($answers);
        $peak = $this->kinds->peakKw($this->class($answers), $answers->usableKwh, $answers->peakKw);
        [$usual, $least, $most] = self::INLET_SPARE;
        $amps = static fn (float $kw, float $volts, float $spare): float => round($kw * 1000 / $volts * $spare);

        return $this->figure($path, new TypicalFigure(
            $amps($peak->value, $volts->value->at(self::PEAK_SOC), $usual),
            $amps($peak->low, $volts->high->at(self::PEAK_SOC), $least),
            $amps($peak->high, $volts->low->at(self::PEAK_SOC), $most),
        ), false, $origins, $day);
    }

    /**
     * @param  array<string, mixed>  $origins
     * @return array<string, mixed>
     */
    private function ac(CarAnswers $answers, CouplerFamily $face, string $at, array &$origins, string $day): array
    {
        $phases = CarAnswers::hasOnePhase($face) ? null : $answers->onboard->phases;
        $kw = $answers->onboard->kw === null ? $this->kinds->onboardKw : TypicalFigure::exactly($answers->onboard->kw);
        foreach (['phases' => $phases, 'min_v' => $answers->onboard->minV, 'max_v' => $answers->onboard->maxV] as $fact => $read) {
            if ($read !== null) {
                $origins["{$at}.{$fact}"] = ['origin' => Origin::Read->value, 'on' => $day];
            }
        }
        [$usual, $most, $least] = self::MAINS_V;
        $amps = static fn (float $kw, float $volts): float => round($kw * 1000 / ($phases ?? 1) / $volts, 1);

        return [
            'phases' => $phases,
            'max_a' => $this->figure("{$at}.max_a", new TypicalFigure($amps($kw->value, $usual), $amps($kw->low, $most), $amps($kw->high, $least)), false, $origins, $day),
            'max_kw' => $this->figure("{$at}.max_kw", $kw, $answers->onboard->kw !== null, $origins, $day),
            'min_v' => $answers->onboard->minV,
            'max_v' => $answers->onboard->maxV,
        ];
    }

    /** @param  array<string, mixed>  $origins */
    private function figure(string $path, TypicalFigure $figure, bool $isRead, array &$origins, string $day): float
    {
        $origins[$path] = $isRead
            ? ['origin' => Origin::Read->value, 'on' => $day]
            : ['origin' => Origin::Typical->value, 'on' => $day, 'low' => $figure->low, 'high' => $figure->high];

        return $figure->value;
    }
}
