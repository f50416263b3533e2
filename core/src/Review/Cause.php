<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Power\BindingCode;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** What can limit a session: the limits of a chain, and other causes. The names are part of the files' contract. */
enum Cause: string implements Term
{
    case Handshake = 'handshake';
    case CoolingFailed = 'cooling_failed';
    case CableCurrent = 'cable_current';
    case AdapterCurrent = 'adapter_current';
    case AdapterPower = 'adapter_power';
    case StationPower = 'station_power';
    case StationCurrent = 'station_current';
    case ConverterPower = 'converter_power';
    case ConverterCurrent = 'converter_current';
    case SupplyCurrent = 'supply_current';
    case OnboardCharger = 'onboard_charger';
    case VehicleCurrent = 'vehicle_current';
    case Sharing = 'sharing';
    case ColdPack = 'cold_pack';
    case DeratedStall = 'derated_stall';
    case Settling = 'settling';
    case VehicleCurve = 'vehicle_curve';
    case Unexplained = 'unexplained';
    case NotEnoughReadings = 'not_enough_readings';

    public static function of(BindingCode $code): self
    {
        return match ($code) {
            BindingCode::Ramp => self::VehicleCurve,
            default => self::from($code->value),
        };
    }

    /** Whether it means that the readings alone can't decide. */
    public function isOpen(): bool
    {
        return $this === self::Unexplained || $this === self::NotEnoughReadings;
    }

    /** Whether the car itself is the limit, so that no other equipment would change it. */
    public function isCars(): bool
    {
        return in_array($this, [self::VehicleCurve, self::ColdPack, self::VehicleCurrent, self::OnboardCharger, self::Settling], true);
    }

    public function message(): Message
    {
        return Message::of('cause.'.$this->value);
    }

    public function tryNext(): Message
    {
        return Message::of('try_next.'.$this->value);
    }
}
