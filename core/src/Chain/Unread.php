<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\SharingPolicy;

/** A fact nobody has read yet: whose it is, where in its record it belongs, and where it is usually found. */
final readonly class Unread
{
    /**
     * @param  string  $piece  id of the vehicle, outlet or adapter
     * @param  string  $path  of the field in that piece, dotted (`inlets.0.dc.max_v`)
     */
    private function __construct(
        public string $fact,
        public string $where,
        public string $piece,
        public string $path,
        public FactKind $kind,
    ) {
    }

    public static function stationMaxV(Chain $chain): self
    {
        return new self("the station's highest volts", 'the data plate on the stall: the upper figure of "DC … – … V"', $chain->outlet->id, 'max_v', FactKind::Volts);
    }

    public static function stationMinV(Chain $chain): self
    {
        return new self("the station's lowest volts", 'the data plate on the stall: the lower figure of "DC … – … V"', $chain->outlet->id, 'min_v', FactKind::Volts);
    }

    public static function supplyV(Chain $chain): self
    {
        return new self('the supply volts', 'the data plate on the post, or the label beside the socket', $chain->outlet->id, 'supply.volts', FactKind::Volts);
    }

    public static function stationLanguages(Chain $chain): self
    {
        return new self('which language this station speaks', "the maker and build year on the stall, or the place's page in its network's app, tell the hardware generation", $chain->outlet->id, 'signalling', FactKind::Languages);
    }

    public static function access(Chain $chain): self
    {
        return new self('who may start a session here', "a sign at the stall, or the place's page in the network's app", $chain->outlet->id, 'access.kind', FactKind::Access);
    }

    public static function admittedMakes(Chain $chain): self
    {
        return new self('which makes are admitted here', "the network's app lists them; at a private place, whoever runs it", $chain->outlet->id, 'access.makes', FactKind::Names);
    }

    public static function cableLength(Chain $chain): self
    {
        return new self('how long the cable is', 'walk round the post before parking', $chain->outlet->id, 'cable.length_m', FactKind::Metres);
    }

    public static function packV(Chain $chain): self
    {
        return new self("the pack's voltage", "the car's handbook under technical data, or a reading of volts on the charger's screen during any DC session", $chain->vehicle->id, 'pack.voltage_by_soc', FactKind::Curve);
    }

    public static function stationA(Chain $chain): self
    {
        return new self("the station's amps", 'the data plate on the stall: the A beside the V, not the big number on the sticker', $chain->outlet->id, 'max_a', FactKind::Amps);
    }

    public static function supplyA(Chain $chain): self
    {
        return new self("the supply's amps", 'the label beside the socket, or 80 % of what its breaker says', $chain->outlet->id, 'supply.amps', FactKind::Amps);
    }

    public static function adapterA(Adapter $adapter): self
    {
        return new self("the amps of {$adapter->name}", 'the plate stamped on the adapter', $adapter->id, 'plate.continuous_a', FactKind::Amps);
    }

    public static function converterKw(Chain $chain): self
    {
        return new self("the limit of the car's step-up", "the car's handbook under DC charging at 400 V-class stations", $chain->vehicle->id, self::inlet($chain, 'dc.boost_converter.max_kw'), FactKind::KiloWatts);
    }

    public static function chargeCurve(Chain $chain): self
    {
        return new self("the car's charge curve", "the car's handbook or data sheet; or kW beside % noted through one session at a strong station", $chain->vehicle->id, 'charge_curve_kw', FactKind::PowerCurve);
    }

    /** Whichever figure is missing for a stall's share of its cabinet. */
    public static function cabinetShare(Chain $chain): self
    {
        $cabinet = $chain->outlet->cabinet;
        $id = $chain->outlet->id;

        return match (true) {
            $cabinet?->policy === null => new self('how the cabinet shares its power', "a notice at the stalls, or the place's page in the network's app", $id, 'cabinet.policy', FactKind::Sharing),
            $cabinet->kw === null => new self("the cabinet's kW", 'the plate on the cabinet, when it stands in reach; else whoever runs the place', $id, 'cabinet.kw', FactKind::KiloWatts),
            $cabinet->policy === SharingPolicy::Modules && $cabinet->moduleKw === null => new self("the size of the cabinet's blocks", "the maker's data sheet of the cabinet", $id, 'cabinet.module_kw', FactKind::KiloWatts),
            default => new self('what the neighbour takes', "the neighbour's screen", $id, 'cabinet.partner_kw', FactKind::KiloWatts),
        };
    }

    public static function usableKwh(Chain $chain): self
    {
        return new self("the pack's usable kWh", "the car's handbook under technical data; the gross figure of a brochure is larger", $chain->vehicle->id, 'pack.usable_kwh', FactKind::KiloWattHours);
    }

    public static function splitPack(Chain $chain): self
    {
        return new self('whether the pack can be switched to two halves', "the car's handbook under DC charging at 400 V-class stations, or the dealer by VIN", $chain->vehicle->id, self::inlet($chain, 'dc.split_pack'), FactKind::YesNo);
    }

    public static function inletMaxV(Chain $chain): self
    {
        return new self("the rated volts of the car's inlet", "the label inside the charge-port door, or the handbook's technical data", $chain->vehicle->id, self::inlet($chain, 'dc.max_v'), FactKind::Volts);
    }

    public static function acWindowFrom(Chain $chain): self
    {
        return new self("the onboard charger's lowest volts", "the handbook's technical data for AC charging, or the door-jamb label", $chain->vehicle->id, self::inlet($chain, 'ac.min_v'), FactKind::Volts);
    }

    public static function acWindowTo(Chain $chain): self
    {
        return new self("the onboard charger's highest volts", "the handbook's technical data for AC charging, or the label inside the charge-port door", $chain->vehicle->id, self::inlet($chain, 'ac.max_v'), FactKind::Volts);
    }

    public static function vehicleLanguages(Chain $chain): self
    {
        return new self(sprintf('which DC languages %s speaks', $chain->vehicle->name), 'an options or "additional vehicle information" screen in the car, the build year, or the dealer by VIN', $chain->vehicle->id, self::inlet($chain, 'dc.signalling'), FactKind::Languages);
    }

    public static function programmes(Chain $chain): self
    {
        return new self(sprintf('which networks admit %s', $chain->vehicle->name), "the car maker's list of charging partners, or the network's app after adding the car", $chain->vehicle->id, 'programmes', FactKind::Names);
    }

    public static function portCorner(Chain $chain): self
    {
        return new self("at which corner the car's port sits", 'walk round the car before parking', $chain->vehicle->id, self::inlet($chain, 'port'), FactKind::Corner);
    }

    public static function adapterMaxV(Adapter $adapter): self
    {
        return new self("the rated volts of {$adapter->name}", 'the plate stamped on the adapter', $adapter->id, 'plate.max_v', FactKind::Volts);
    }

    public static function adapterCurrent(Adapter $adapter): self
    {
        return new self("whether {$adapter->name} is wired for AC or for DC", 'the plate stamped on the adapter says AC or DC beside its volts and amps', $adapter->id, 'current', FactKind::Current);
    }

    public static function recall(Adapter $adapter): self
    {
        return new self("whether {$adapter->name} is under recall", "the maker's recall notices, by the model and serial on the adapter's plate", $adapter->id, 'recalled', FactKind::YesNo);
    }

    public static function damage(Adapter $adapter): self
    {
        return new self("whether {$adapter->name} is damaged", 'look at it in good light: contacts, seals, latch, any discolouration or water', $adapter->id, 'damaged', FactKind::YesNo);
    }

    public static function battery(Adapter $adapter): self
    {
        return new self("whether the battery of {$adapter->name} is charged", "the adapter's own indicator lamp, as its handbook explains it", $adapter->id, 'battery_ok', FactKind::YesNo);
    }

    public static function makerApproval(Adapter $adapter): self
    {
        return new self("whether the car's maker approves {$adapter->name}", "the car's handbook, or its maker's list of charging accessories", $adapter->id, 'maker_approved', FactKind::YesNo);
    }

    public static function certification(Adapter $adapter): self
    {
        return new self("whether {$adapter->name} is certified", "the certification mark and file number on the adapter's plate; a claim in an advertisement is not one", $adapter->id, 'certification', FactKind::Certification);
    }

    /** @param  non-empty-list<self>  $missing */
    public static function facts(array $missing): string
    {
        return implode(' and ', array_map(static fn (self $u): string => $u->fact, $missing));
    }

    /** @param  non-empty-list<self>  $missing */
    public static function places(array $missing): string
    {
        return implode('; ', array_map(static fn (self $u): string => count($missing) === 1 ? ucfirst($u->where) : ucfirst($u->fact).': '.$u->where, $missing)).'.';
    }

    private static function inlet(Chain $chain, string $field): string
    {
        return "inlets.{$chain->inletIndex}.{$field}";
    }
}
