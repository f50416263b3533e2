<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Chain\FactOwner;
use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\FactOrigin;
use Harmozon\Core\Equipment\Signalling;
use Harmozon\Core\Words\Message;

/** A fact that a standard or the car's own design fixes. It counts as known; a reading may contradict it. */
final readonly class StandardFact
{
    private const DC = [Fact::StationLanguages, Fact::VehicleLanguages, Fact::InletMaxV];

    private const AC = [Fact::StationLanguages, Fact::SupplyPhases, Fact::AcPhases, Fact::AcMinV, Fact::AcMaxV];

    /**
     * @param  list<string>|float|null  $value  protocols, volts or phases; null for an inlet whose battery's volts are not known
     * @param  bool  $isAtLeast  whether it may be more
     * @param  bool  $isContradicted  whether a reading says otherwise
     */
    private function __construct(
        public UnreadFact $unread,
        public array|float|null $value,
        public bool $isAtLeast,
        public Message $standard,
        public bool $isContradicted,
    ) {
    }

    /** @return list<self> none where the pieces do not join, or do not carry the same current */
    public static function of(ChainAnswer $answer): array
    {
        $chain = $answer->chain;
        if ($answer->outcome === Outcome::NoJoint || $answer->gate(GateName::Current)->fails()) {
            return [];
        }
        $facts = [];
        foreach ($chain->current === CurrentKind::Dc ? self::DC : self::AC as $fact) {
            $unread = UnreadFact::of($fact, $chain);
            $origin = self::origin($unread, $fact, $chain);
            if ($origin?->standard !== null) {
                $facts[] = new self($unread, self::value($fact, $answer), $origin->high !== null || $fact === Fact::InletMaxV, $origin->standard, $origin->isContradiction());
            }
        }

        return $facts;
    }

    /** In the case file: `vehicle.inlets[0].dc.signalling`. */
    public function path(): string
    {
        $piece = $this->unread->asked->owner() === FactOwner::Outlet ? 'outlet' : 'vehicle';

        return $piece.'.'.preg_replace('/\.(\d+)\./', '[$1].', $this->unread->path);
    }

    /** The message where a reading contradicts it. */
    public function contradiction(): Message
    {
        return Message::of('contradiction.of_standard', fact: $this->unread->fact(), standard: $this->standard);
    }

    private static function origin(UnreadFact $unread, Fact $fact, Chain $chain): ?FactOrigin
    {
        return ($fact->owner() === FactOwner::Outlet ? $chain->outlet->origins : $chain->vehicle->origins)[$unread->path] ?? null;
    }

    /** @return list<string>|float|null */
    private static function value(Fact $fact, ChainAnswer $answer): array|float|null
    {
        $chain = $answer->chain;

        return match ($fact) {
            Fact::StationLanguages => self::codes($chain->outlet->rating->signalling),
            Fact::VehicleLanguages => self::codes($chain->inlet->dc?->signalling),
            Fact::InletMaxV => $chain->inlet->dc->maxV ?? self::highestV($answer),
            Fact::SupplyPhases => $chain->outlet->feed->supply?->phases,
            Fact::AcPhases => $chain->inlet->ac?->phases,
            Fact::AcMinV => $chain->inlet->ac?->minV,
            default => $chain->inlet->ac?->maxV,
        };
    }

    /** The highest voltage of the session at the inlet. */
    private static function highestV(ChainAnswer $answer): ?float
    {
        $highest = $answer->voltage->highestV($answer->conditions);

        return $highest === null || $highest[1] === INF ? null : round($highest[1], 1);
    }

    /**
     * @param  list<Signalling>|null  $protocols
     * @return list<string>|null
     */
    private static function codes(?array $protocols): ?array
    {
        return $protocols === null ? null : array_column($protocols, 'value');
    }
}
