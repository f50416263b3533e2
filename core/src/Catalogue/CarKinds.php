<?php

declare(strict_types=1);

namespace Harmozon\Core\Catalogue;

use Harmozon\Core\Equipment\CouplerFamily;
use Harmozon\Core\Equipment\Curve;

/** Typical values of cars with their spread, compiled by us. They stand in for what nobody has read yet. */
final readonly class CarKinds
{
    /** Typical values for a car of unknown class and size. */
    private const MIDDLING_CLASS = '400';

    private const MIDDLING_SIZE = 'middle';

    /**
     * @param  list<PackClass>  $classes
     * @param  list<PackSize>  $sizes  from the smallest up
     * @param  list<CarKind>  $kinds
     * @param  list<OnboardCharger>  $onboardChargers  from the weakest up
     * @param  TypicalCurve  $usualVolts  of a pack whose class nobody has told: the two classes below 500 V together
     * @param  Curve  $mostVolts  of any pack
     */
    public function __construct(
        public array $classes,
        private array $sizes,
        private array $kinds,
        private array $onboardChargers,
        public TypicalCurve $usualVolts,
        public Curve $mostVolts,
        public TypicalFigure $onboardKw,
    ) {
    }

    /** @return list<OnboardCharger> those that a car with these inlets may have */
    public function onboardChargers(CarAnswers $answers): array
    {
        $isSingle = array_filter($answers->faces, static fn (CouplerFamily $f): bool => CarAnswers::hasAc($f) && ! CarAnswers::hasOnePhase($f)) === [];

        return array_values(array_filter($this->onboardChargers, static fn (OnboardCharger $o): bool => $o->isSingle === $isSingle));
    }

    public function class(?string $id): ?PackClass
    {
        foreach ($this->classes as $class) {
            if ($class->id === $id) {
                return $class;
            }
        }

        return null;
    }

    /** Usable kWh: as read, or typical for cars of any size. */
    public function usableKwh(?float $read): TypicalFigure
    {
        if ($read !== null) {
            return TypicalFigure::exactly($read);
        }
        $all = array_map(static fn (PackSize $s): TypicalFigure => $s->usableKwh, $this->sizes);

        return new TypicalFigure(
            $this->size(null)->usableKwh->value,
            min([INF, ...array_map(static fn (TypicalFigure $f): float => $f->low, $all)]),
            max([0.0, ...array_map(static fn (TypicalFigure $f): float => $f->high, $all)]),
        );
    }

    /** kW at the plug: as read, or typical for a battery of so many kWh. */
    public function peakKw(?string $class, ?float $usableKwh, ?float $read): TypicalFigure
    {
        return $read !== null ? TypicalFigure::exactly($read) : $this->kind($class, $usableKwh)->peakPerKwh->times($this->usableKwh($usableKwh));
    }

    public function curveKw(?string $class, ?float $usableKwh, ?float $peakKw): TypicalCurve
    {
        return $this->kind($class, $usableKwh)->shape->times($this->peakKw($class, $usableKwh, $peakKw));
    }

    private function kind(?string $class, ?float $usableKwh): CarKind
    {
        $size = $this->size($usableKwh)->id;
        foreach ($this->kinds as $kind) {
            if ($kind->class === ($class ?? self::MIDDLING_CLASS) && $kind->size === $size) {
                return $kind;
            }
        }
        throw new \LogicException('every class has a kind of every size');
    }

    private function size(?float $usableKwh): PackSize
    {
        foreach ($this->sizes as $size) {
            if ($usableKwh === null ? $size->id === self::MIDDLING_SIZE : ($size->belowKwh === null || $usableKwh < $size->belowKwh)) {
                return $size;
            }
        }
        throw new \LogicException('the largest size has no end');
    }
}
