<?php

declare(strict_types=1);

namespace Harmozon\Core\Steps;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Equipment\AttachOrder;
use Harmozon\Core\Equipment\CouplerFamily;
use Harmozon\Core\Equipment\CurrentKind;

/** The order in which the pieces of a chain are connected; they are disconnected in the reverse order. */
enum JoinOrder
{
    /** The station's own cable into the car. */
    case Direct;

    /** Connector into the adapter until it clicks, then the pair into the car. */
    case HandleFirst;

    /** Adapter into the car until it clicks, then the connector into it. */
    case CarFirst;

    /** A portable supply: socket, self-test, car. */
    case Supply;

    /** A loose cable: post, then car. */
    case Loose;

    /** A post that may or may not have a cable of its own. */
    case PerhapsLoose;

    public static function of(Chain $chain): self
    {
        $adapter = $chain->adapters[0] ?? null;

        return match (true) {
            $adapter === null => self::mayBeSocketed($chain) ? self::PerhapsLoose : self::Direct,
            $adapter->isPortableSupply() => self::Supply,
            $adapter->isLooseCable() => self::Loose,
            $adapter->handling->attachOrder === AttachOrder::CarFirst => self::CarFirst,
            default => self::HandleFirst,
        };
    }

    /** Posts for type 2 come with a cable or with a socket (IEC 61851-1, cases C and B). */
    private static function mayBeSocketed(Chain $chain): bool
    {
        return $chain->current === CurrentKind::Ac
            && $chain->outlet->fittings->cable === null
            && in_array($chain->outlet->coupler->family, [CouplerFamily::Type2, CouplerFamily::GbtAc], true);
    }

    /** @return list<array{join: StepCode, part: StepCode, joint: int}> in the order of joining, with the joint that each closes */
    public function moves(): array
    {
        $move = static fn (StepCode $join, StepCode $part, int $joint): array => ['join' => $join, 'part' => $part, 'joint' => $joint];

        return match ($this) {
            self::Direct => [$move(StepCode::HandleIntoCar, StepCode::CableFromCar, 0)],
            self::HandleFirst => [$move(StepCode::HandleIntoAdapter, StepCode::AdapterFromHandle, 0), $move(StepCode::AdapterIntoCar, StepCode::PairFromCar, 1)],
            self::CarFirst => [$move(StepCode::AdapterIntoCar, StepCode::AdapterFromCar, 1), $move(StepCode::HandleIntoAdapter, StepCode::HandleFromAdapter, 0)],
            self::Supply => [$move(StepCode::SupplyIntoSocket, StepCode::SupplyFromSocket, 0), $move(StepCode::CableIntoCar, StepCode::CableFromCar, 1)],
            self::Loose, self::PerhapsLoose => [$move(StepCode::CableIntoPost, StepCode::CableFromPost, 0), $move(StepCode::CableIntoCar, StepCode::CableFromCar, 1)],
        };
    }

    /** @return list<Piece> in the order in which the current passes them */
    public function pieces(Chain $chain): array
    {
        $id = $chain->adapters[0]->id ?? null;
        $between = match ($this) {
            self::Direct => [new Piece(PieceKind::Handle)],
            self::HandleFirst, self::CarFirst => [new Piece(PieceKind::Handle), new Piece(PieceKind::Adapter, $id)],
            self::Supply => [new Piece(PieceKind::Socket), new Piece(PieceKind::Supply, $id)],
            self::Loose, self::PerhapsLoose => [new Piece(PieceKind::Post), new Piece(PieceKind::Cable, $id)],
        };

        return [...$between, new Piece(PieceKind::Car)];
    }
}
