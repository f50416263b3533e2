<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\SharingPolicy;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/** An unread fact: the piece it belongs to, its path in the record, and where to read it. */
final readonly class UnreadFact
{
    /**
     * @param  string  $piece  id of the vehicle, outlet or adapter
     * @param  string  $path  of the field in that piece, dotted (`inlets.0.dc.max_v`)
     * @param  string  $owner  name of the piece
     * @param  bool  $isRise  whether the battery's nominal voltage was read, and what is left is how the voltage goes with charge
     */
    private function __construct(
        public Fact $asked,
        public string $piece,
        public string $path,
        private string $owner,
        private bool $isRise = false,
    ) {
    }

    /** A fact of the chain's outlet, of its vehicle, or of its inlet. */
    public static function of(Fact $fact, Chain $chain): self
    {
        return match ($fact->owner()) {
            FactOwner::Outlet => new self($fact, $chain->outlet->id, $fact->path(), $chain->outlet->name),
            FactOwner::Vehicle => new self($fact, $chain->vehicle->id, $fact->path(), $chain->vehicle->name, $fact === Fact::PackV && $chain->vehicle->pack->nominalV !== null),
            FactOwner::Inlet => new self($fact, $chain->vehicle->id, "inlets.{$chain->inletIndex}.{$fact->path()}", $chain->vehicle->name),
            FactOwner::Adapter => throw new \LogicException("{$fact->value} is a fact of an adapter"),
        };
    }

    /** A fact of an adapter of the chain; one that is attached to the station stands in the station's record. */
    public static function ofAdapter(Fact $fact, Adapter $adapter, Chain $chain): self
    {
        return $chain->outlet->fittings->attachedAdapter === $adapter
            ? new self($fact, $chain->outlet->id, "attached_adapter.{$fact->path()}", $adapter->name)
            : new self($fact, $adapter->id, $fact->path(), $adapter->name);
    }

    /** The figure that is missing to work out a stall's share of its cabinet. */
    public static function cabinetShare(Chain $chain): self
    {
        $cabinet = $chain->outlet->feed->cabinet;

        return self::of(match (true) {
            $cabinet?->policy === null => Fact::CabinetPolicy,
            $cabinet->kw === null => Fact::CabinetKw,
            $cabinet->policy === SharingPolicy::Modules && $cabinet->moduleKw === null => Fact::CabinetModuleKw,
            default => Fact::CabinetPartnerKw,
        }, $chain);
    }

    /** What it is called. */
    public function fact(): Message
    {
        if ($this->isRise) {
            return Message::of('fact.pack_v_by_soc');
        }
        $code = 'fact.'.$this->asked->value;

        return match ($this->asked->owner()) {
            FactOwner::Outlet => Message::of($code),
            FactOwner::Vehicle, FactOwner::Inlet => Message::of($code, vehicle: $this->owner),
            FactOwner::Adapter => Message::of($code, adapter: $this->owner),
        };
    }

    /** Where it is usually found. */
    public function where(): Message
    {
        return $this->isRise ? Message::of('where.pack_v_by_soc') : Message::of('where.'.$this->asked->value);
    }

    /** @param  list<self>  $missing */
    public static function facts(array $missing): Listing
    {
        return Listing::and(array_map(static fn (self $u): Message => $u->fact(), $missing));
    }

    /** @param  non-empty-list<self>  $missing */
    public static function places(array $missing): Message
    {
        return count($missing) === 1
            ? Message::of('unread.check', where: $missing[0]->where())
            : Message::of('unread.checks', checks: Listing::semicolon(array_map(
                static fn (self $u): Message => Message::of('unread.check_of', fact: $u->fact(), where: $u->where()), $missing,
            )));
    }
}
