<?php

declare(strict_types=1);

namespace Harmozon\Core\Power;

/** What holds the power where it is. The order is the order of precedence between equal limits. */
enum BindingCode: string
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

    /** Whether the vehicle would meet this limit at an ideal station too. */
    public function isVehiclesOwn(): bool
    {
        return match ($this) {
            self::VehicleCurve, self::ColdPack, self::VehicleCurrent, self::OnboardCharger, self::Ramp, self::Handshake => true,
            default => false,
        };
    }

    /**
     * Of several links that bind at once, the lowest is named: one that is not the vehicle's own first, since it is what
     * could be changed; then by the order of the cases.
     *
     * @return array{bool, int|false}
     */
    public function precedence(): array
    {
        return [$this->isVehiclesOwn(), array_search($this, self::cases(), true)];
    }

    public function words(): string
    {
        return match ($this) {
            self::VehicleCurve => "the car's own charge curve",
            self::ColdPack => 'a cold pack',
            self::VehicleCurrent => "the amps of the car's inlet",
            self::OnboardCharger => "the car's onboard charger",
            self::StationPower => "the station's kW",
            self::StationCurrent => "the station's amps",
            self::Sharing => 'the cabinet shared with the neighbour',
            self::CableCurrent => "the cable's amps",
            self::AdapterCurrent => "the adapter's amps",
            self::AdapterPower => "the adapter's kW",
            self::ConverterPower => "the kW of the car's step-up",
            self::ConverterCurrent => "the amps of the car's step-up",
            self::SupplyCurrent => 'the amps of the supply',
            self::Ramp => 'the rise after the start',
            self::Handshake => 'the handshake',
        };
    }
}
