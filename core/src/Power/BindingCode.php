<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** What limits the power. The order of the cases is the order of precedence between equal limits. */
enum BindingCode: string implements Term
{
    case VehicleCurve = 'vehicle_curve';
    case ColdPack = 'cold_pack';
    case VehicleCurrent = 'vehicle_current';
    case OnboardCharger = 'onboard_charger';
    case StationPower = 'station_power';
    case StationCurrent = 'station_current';
    case Sharing = 'sharing';
    case CableCurrent = 'cable_current';
    case AdapterCurrent = 'adapter_current';
    case AdapterPower = 'adapter_power';
    case ConverterPower = 'converter_power';
    case ConverterCurrent = 'converter_current';
    case SupplyCurrent = 'supply_current';
    case Ramp = 'ramp';
    case Handshake = 'handshake';

    /** Whether this limit would apply at an ideal station too. */
    public function isVehiclesOwn(): bool
    {
        return match ($this) {
            self::VehicleCurve, self::ColdPack, self::VehicleCurrent, self::OnboardCharger, self::Ramp, self::Handshake => true,
            default => false,
        };
    }

    /** Whether it is a rated power. */
    public function isRating(): bool
    {
        return match ($this) {
            self::StationPower, self::AdapterPower, self::ConverterPower => true,
            default => false,
        };
    }

    /**
     * Of several links that bind at once, the lowest is named: one that is not the vehicle's own first, since it is what
     * could be changed; then by the order of the cases.
     */
    public function precedence(): int
    {
        /** @var array<string, int>|null $places */
        static $places = null;
        $places ??= array_flip(array_column(self::cases(), 'value'));

        return $places[$this->value] + ($this->isVehiclesOwn() ? count($places) : 0);
    }

    public function message(): Message
    {
        return Message::of('binding.'.$this->value);
    }

    /** Without an article, for a legend. */
    public function label(): Message
    {
        return Message::of('binding_label.'.$this->value);
    }
}
