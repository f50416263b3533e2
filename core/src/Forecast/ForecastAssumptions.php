<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Chain\Distance;
use Harmozon\Core\Power\LimitSet;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** Assumptions of a forecast that its driver should know: a target derived from a distance, a battery that warms up. */
final class ForecastAssumptions
{
    /** Below this load a piece counts as cold. */
    private const WARM = 0.05;

    /** @return list<Message> */
    public static function of(Chain $chain, Conditions $conditions, LimitSet $limits): array
    {
        return [
            ...($conditions->charge->distance === null ? [] : self::distance($conditions->charge->distance, $chain, $conditions->charge->socFrom)),
            ...self::warm($chain, $limits),
            ...($limits->changing->warmth === null ? [] : [
                Message::of($chain->vehicle->pack->heaterKw === null ? 'note.heater_unread' : 'note.warming', from: Amount::celsius($limits->changing->warmth->startC)),
            ]),
        ];
    }

    /** @return list<Message> adapters that an earlier session has left warm; a station's cable is its own affair */
    private static function warm(Chain $chain, LimitSet $limits): array
    {
        $warm = [];
        foreach ($chain->adapters as $adapter) {
            foreach ($limits->changing->heat as $link) {
                if ($link->linkId === $adapter->id && $link->theta >= self::WARM) {
                    $warm[] = Message::of('note.warm', link: Message::of('link.named', name: $adapter->name), theta: Amount::ofHundred($link->theta));
                }
            }
        }

        return $warm;
    }

    /** @return list<Message> */
    private static function distance(Distance $distance, Chain $chain, float $socFrom): array
    {
        $soc = $distance->targetSoc($chain->vehicle);
        $code = match (true) {
            $soc === null => null,
            $soc > 100 => 'note.distance_beyond',
            $soc <= $socFrom => 'note.distance_there',
            default => 'note.distance',
        };

        return $code === null ? [] : [Message::of($code, km: Amount::km($distance->km), reserve: Amount::percent($distance->reserveSoc), soc: Amount::percent($soc))];
    }
}
