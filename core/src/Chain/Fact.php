<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

/** Every fact that an answer may ask for: its piece, its path in the record, and the kind of answer it takes. */
enum Fact: string
{
    case StationMaxV = 'station_max_v';
    case StationMinV = 'station_min_v';
    case StationA = 'station_a';
    case StationKw = 'station_kw';
    case StationLanguages = 'station_languages';
    case SupplyV = 'supply_v';
    case SupplyA = 'supply_a';
    case SupplyPhases = 'supply_phases';
    case Access = 'access';
    case AdmittedMakes = 'admitted_makes';
    case CableLength = 'cable_length';
    case CabinetPolicy = 'cabinet_policy';
    case CabinetKw = 'cabinet_kw';
    case CabinetModuleKw = 'cabinet_module_kw';
    case CabinetPartnerKw = 'cabinet_partner_kw';
    case PackV = 'pack_v';
    case UsableKwh = 'usable_kwh';
    case ChargeCurve = 'charge_curve';
    case KmPerKwh = 'km_per_kwh';
    case Programmes = 'programmes';
    case VehicleLanguages = 'vehicle_languages';
    case ConverterKw = 'converter_kw';
    case ConverterV = 'converter_v';
    case SplitPack = 'split_pack';
    case InletMaxV = 'inlet_max_v';
    case InletA = 'inlet_a';
    case InletKw = 'inlet_kw';
    case AcMinV = 'ac_min_v';
    case AcMaxV = 'ac_max_v';
    case AcA = 'ac_a';
    case AcKw = 'ac_kw';
    case AcPhases = 'ac_phases';
    case PortCorner = 'port_corner';
    case AdapterA = 'adapter_a';
    case AdapterMaxV = 'adapter_max_v';
    case AdapterCurrent = 'adapter_current';
    case Recall = 'recall';
    case Damage = 'damage';
    case Battery = 'battery';
    case MakerApproval = 'maker_approval';
    case Certification = 'certification';

    public function owner(): FactOwner
    {
        return match ($this) {
            self::StationMaxV, self::StationMinV, self::StationA, self::StationKw, self::StationLanguages, self::SupplyV, self::SupplyA, self::SupplyPhases, self::Access, self::AdmittedMakes,
            self::CableLength, self::CabinetPolicy, self::CabinetKw, self::CabinetModuleKw, self::CabinetPartnerKw => FactOwner::Outlet,
            self::PackV, self::UsableKwh, self::ChargeCurve, self::KmPerKwh, self::Programmes => FactOwner::Vehicle,
            self::VehicleLanguages, self::ConverterKw, self::ConverterV, self::SplitPack, self::InletMaxV, self::InletA, self::InletKw,
            self::AcMinV, self::AcMaxV, self::AcA, self::AcKw, self::AcPhases, self::PortCorner => FactOwner::Inlet,
            self::AdapterA, self::AdapterMaxV, self::AdapterCurrent, self::Recall, self::Damage, self::Battery, self::MakerApproval, self::Certification => FactOwner::Adapter,
        };
    }

    /** The fact at a path of a car's or an outlet's record (`inlets.0.dc.max_v`); null for any other figure. */
    public static function at(string $path): ?self
    {
        $inlet = preg_replace('/^inlets\.\d+\./', '', $path);
        foreach (self::cases() as $fact) {
            $isThere = match ($fact->owner()) {
                FactOwner::Vehicle, FactOwner::Outlet => $fact->path() === $path,
                FactOwner::Inlet => $inlet !== $path && $fact->path() === $inlet,
                FactOwner::Adapter => false,
            };
            if ($isThere) {
                return $fact;
            }
        }

        return null;
    }

    /** The dotted path of the field in its owner's record, as in the case file. */
    public function path(): string
    {
        return match ($this) {
            self::StationMaxV => 'max_v',
            self::StationMinV => 'min_v',
            self::StationA => 'max_a',
            self::StationKw => 'max_kw',
            self::StationLanguages => 'signalling',
            self::SupplyV => 'supply.volts',
            self::SupplyA => 'supply.amps',
            self::SupplyPhases => 'supply.phases',
            self::Access => 'access.kind',
            self::AdmittedMakes => 'access.makes',
            self::CableLength => 'cable.length_m',
            self::CabinetPolicy => 'cabinet.policy',
            self::CabinetKw => 'cabinet.kw',
            self::CabinetModuleKw => 'cabinet.module_kw',
            self::CabinetPartnerKw => 'cabinet.partner_kw',
            self::PackV => 'pack.voltage_by_soc',
            self::UsableKwh => 'pack.usable_kwh',
            self::ChargeCurve => 'charge_curve_kw',
            self::KmPerKwh => 'km_per_kwh',
            self::Programmes => 'programmes',
            self::VehicleLanguages => 'dc.signalling',
            self::ConverterKw => 'dc.boost_converter.max_kw',
            self::ConverterV => 'dc.boost_converter.input_v',
            self::SplitPack => 'dc.split_pack',
            self::InletMaxV => 'dc.max_v',
            self::InletA => 'dc.max_a',
            self::InletKw => 'dc.max_kw',
            self::AcMinV => 'ac.min_v',
            self::AcMaxV => 'ac.max_v',
            self::AcA => 'ac.max_a',
            self::AcKw => 'ac.max_kw',
            self::AcPhases => 'ac.phases',
            self::PortCorner => 'port',
            self::AdapterA => 'plate.continuous_a',
            self::AdapterMaxV => 'plate.max_v',
            self::AdapterCurrent => 'current',
            self::Recall => 'recalled',
            self::Damage => 'damaged',
            self::Battery => 'battery_ok',
            self::MakerApproval => 'maker_approved',
            self::Certification => 'certification',
        };
    }

    /**
     * Whether an assumed value may be used for it: power, time and price then say "about". Protocols, access, ratings
     * and everything else that keeps people safe have to be read.
     */
    public function mayBeTypical(): bool
    {
        return in_array($this, [
            self::PackV, self::UsableKwh, self::ChargeCurve, self::InletA, self::InletKw, self::AcA, self::AcKw, self::StationA, self::StationKw, self::SupplyA, self::CabinetKw,
        ], true);
    }

    public function kind(): FactKind
    {
        return match ($this) {
            self::StationMaxV, self::StationMinV, self::SupplyV, self::InletMaxV, self::AcMinV, self::AcMaxV, self::AdapterMaxV, self::ConverterV => FactKind::Volts,
            self::StationA, self::SupplyA, self::AdapterA, self::InletA, self::AcA => FactKind::Amps,
            self::CabinetKw, self::CabinetModuleKw, self::CabinetPartnerKw, self::ConverterKw, self::StationKw, self::InletKw, self::AcKw => FactKind::KiloWatts,
            self::SupplyPhases, self::AcPhases => FactKind::Phases,
            self::UsableKwh => FactKind::KiloWattHours,
            self::KmPerKwh => FactKind::KmPerKwh,
            self::ChargeCurve => FactKind::PowerCurve,
            self::PackV => FactKind::Curve,
            self::CableLength => FactKind::Metres,
            self::StationLanguages, self::VehicleLanguages => FactKind::Languages,
            self::AdmittedMakes, self::Programmes => FactKind::Names,
            self::SplitPack, self::Recall, self::Damage, self::Battery, self::MakerApproval => FactKind::YesNo,
            self::Access => FactKind::Access,
            self::CabinetPolicy => FactKind::Sharing,
            self::PortCorner => FactKind::Corner,
            self::AdapterCurrent => FactKind::Current,
            self::Certification => FactKind::Certification,
        };
    }
}
