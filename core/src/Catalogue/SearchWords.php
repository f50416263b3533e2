<?php

declare(strict_types=1);

namespace Harmozon\Core\Catalogue;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Coupler;
use Harmozon\Core\Equipment\CouplerFamily;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\Inlet;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Words\Message;

/** The words by which people look for a piece or a kind: names of plugs and sockets, and levels of charging. */
final class SearchWords
{
    /** Volts up to which an AC supply is "level 1" (SAE J1772). */
    private const LEVEL_1_V = 127.0;

    /** kW from which a DC station is called ultra-rapid. */
    private const ULTRA_KW = 150.0;

    /** @return list<Message> */
    public static function outlet(Outlet $outlet): array
    {
        $isDc = $outlet->rating->current === CurrentKind::Dc;
        $level = match (true) {
            $isDc && ($outlet->rating->stickerKw ?? $outlet->rating->maxKw ?? 0.0) >= self::ULTRA_KW => [Message::of('found_by.dc'), Message::of('found_by.ultra')],
            $isDc => [Message::of('found_by.dc')],
            ($outlet->feed->supply->volts ?? INF) <= self::LEVEL_1_V => [Message::of('found_by.level_1')],
            default => [Message::of('found_by.level_2')],
        };

        return [self::coupler($outlet->coupler), ...$level];
    }

    /** @return list<Message> */
    public static function adapter(Adapter $adapter): array
    {
        return [
            self::coupler($adapter->input), self::coupler($adapter->output),
            $adapter->isPortableSupply() ? Message::of('found_by.supply') : Message::of('found_by.adapter'),
        ];
    }

    /** @return list<Message> */
    public static function vehicle(Vehicle $vehicle): array
    {
        return array_map(static fn (Inlet $i): Message => self::coupler($i->coupler), $vehicle->inlets);
    }

    private static function coupler(Coupler $coupler): Message
    {
        return match (true) {
            ! $coupler->isSocket() => self::family($coupler->family),
            str_starts_with($coupler->id, 'socket:blue-') => Message::of('found_by.blue'),
            str_starts_with($coupler->id, 'socket:red-') => Message::of('found_by.red'),
            $coupler->id === 'socket:household-230' => Message::of('found_by.household'),
            default => Message::of('found_by.nema', kind: substr($coupler->id, strlen('socket:'))),
        };
    }

    private static function family(CouplerFamily $family): Message
    {
        return match ($family) {
            CouplerFamily::Type1 => Message::of('found_by.type1'),
            CouplerFamily::Type2 => Message::of('found_by.type2'),
            CouplerFamily::J3400 => Message::of('found_by.j3400'),
            CouplerFamily::Ccs1 => Message::of('found_by.ccs1'),
            CouplerFamily::Ccs2 => Message::of('found_by.ccs2'),
            CouplerFamily::Chademo => Message::of('found_by.chademo'),
            CouplerFamily::GbtAc, CouplerFamily::GbtDc => Message::of('found_by.gbt'),
            CouplerFamily::LegacyPaddle, CouplerFamily::LegacyButt, CouplerFamily::Socket => Message::of('found_by.historic'),
        };
    }
}
