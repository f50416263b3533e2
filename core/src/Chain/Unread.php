<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

/** A fact nobody has read yet, and where it is usually found. */
final readonly class Unread
{
    public function __construct(public string $fact, public string $where)
    {
    }

    public static function stationMaxV(): self
    {
        return new self("the station's highest volts", 'the data plate on the stall: the upper figure of "DC … – … V"');
    }

    public static function stationMinV(): self
    {
        return new self("the station's lowest volts", 'the data plate on the stall: the lower figure of "DC … – … V"');
    }

    public static function supplyV(): self
    {
        return new self('the supply volts', 'the data plate on the post, or the label beside the socket');
    }

    public static function packV(): self
    {
        return new self("the pack's voltage", "the car's handbook under technical data, or a reading of volts on the charger's screen during any DC session");
    }

    public static function splitPack(): self
    {
        return new self('whether the pack can be switched to two halves', "the car's handbook under DC charging at 400 V-class stations, or the dealer by VIN");
    }

    public static function adapterMaxV(string $adapter): self
    {
        return new self("the rated volts of {$adapter}", 'the plate stamped on the adapter');
    }

    public static function inletMaxV(): self
    {
        return new self("the rated volts of the car's inlet", "the label inside the charge-port door, or the handbook's technical data");
    }

    public static function acWindow(): self
    {
        return new self("the onboard charger's volts", "the handbook's technical data for AC charging, or the label inside the charge-port door");
    }

    /**
     * @param  non-empty-list<self>  $missing
     */
    public static function facts(array $missing): string
    {
        return implode(' and ', array_map(static fn (self $u): string => $u->fact, $missing));
    }

    /** @param  non-empty-list<self>  $missing */
    public static function places(array $missing): string
    {
        return implode('; ', array_map(static fn (self $u): string => ucfirst($u->fact).': '.$u->where, $missing)).'.';
    }
}
