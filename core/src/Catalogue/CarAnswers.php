<?php

declare(strict_types=1);

namespace Harmozon\Core\Catalogue;

use Harmozon\Core\Equipment\CouplerFamily;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\PortCorner;
use Harmozon\Core\Equipment\Signalling;
use Harmozon\Core\Equipment\Standards;

/** What a person knows about a car without its data sheet. Null: "I don't know". */
final readonly class CarAnswers
{
    /**
     * @param  list<CouplerFamily>  $faces  of its inlets
     * @param  list<Signalling>|null  $languages  of its DC side
     * @param  float|null  $peakKw  as its brochure says
     * @param  float|null  $inletMaxV  as the label at the DC inlet says
     */
    public function __construct(
        public array $faces,
        public ?array $languages,
        public PackAnswer $pack,
        public ?float $usableKwh,
        public ?float $peakKw,
        public OnboardAnswer $onboard = new OnboardAnswer,
        public ?float $inletMaxV = null,
        public ?PortCorner $port = null,
    ) {
    }

    public function takesDc(): bool
    {
        return array_filter($this->faces, static fn (CouplerFamily $f): bool => $f->carries(CurrentKind::Dc)) !== [];
    }

    public function takesAc(): bool
    {
        return array_filter($this->faces, self::hasAc(...)) !== [];
    }

    public static function hasAc(CouplerFamily $face): bool
    {
        return $face->carries(CurrentKind::Ac) || $face->acHalf() !== null;
    }

    /** Whether this coupler's standard has one phase only; others have one or three. */
    public static function hasOnePhase(CouplerFamily $face): bool
    {
        return Standards::chargerPhases($face)?->isAtLeast === false;
    }

    /** Whether this coupler leaves open which DC protocol is used. */
    public static function hasOpenProtocol(CouplerFamily $face): bool
    {
        return $face->carries(CurrentKind::Dc) && Standards::dcProtocol($face) === null;
    }

    /** @return list<CarQuestion> those that make a difference for a car with these inlets */
    public function asks(): array
    {
        $isOpen = array_filter($this->faces, self::hasOpenProtocol(...)) !== [];
        $isUnseen = $this->faces === [];

        return array_values(array_filter(CarQuestion::cases(), fn (CarQuestion $q): bool => match ($q) {
            CarQuestion::Inlet, CarQuestion::Energy => true,
            CarQuestion::Language => $isOpen || $isUnseen,
            CarQuestion::Pack, CarQuestion::Peak => $this->takesDc() || $isUnseen,
            CarQuestion::Onboard => $this->takesAc() || $isUnseen,
        }));
    }

    /** Whether a question has an answer other than "I don't know". */
    public function answers(CarQuestion $question): bool
    {
        return match ($question) {
            CarQuestion::Inlet => $this->faces !== [],
            CarQuestion::Language => $this->languages !== null,
            CarQuestion::Pack => $this->pack->isGiven(),
            CarQuestion::Energy => $this->usableKwh !== null,
            CarQuestion::Peak => $this->peakKw !== null,
            CarQuestion::Onboard => $this->onboard->kw !== null,
        };
    }
}
