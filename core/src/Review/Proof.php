<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** What a session proves of its adapters, and what it does not. */
final class Proof
{
    /** From this share on a rating counts as proven in full. */
    private const ALL = 0.97;

    /** @return list<Message> */
    public static function of(RecordedSession $session): array
    {
        $peakV = $session->judgement->measured->peak(Quantity::Volts)?->value;
        $proof = [];
        foreach ($session->answer->chain->adapters as $i => $adapter) {
            $proven = $session->judgement->proven[$i] ?? null;
            $continuous = $proven?->ofContinuous;
            if ($continuous === null) {
                $proof[] = Message::of('proof.nothing', adapter: $adapter->name);
            } else {
                $proof[] = self::continuous($adapter, $continuous);
                $rated = $adapter->rating->plate->continuousA;
                if ($rated !== null && $continuous < self::ALL) {
                    $proof[] = Message::of('proof.left', from: Amount::amps($continuous * $rated), limit: Amount::amps($rated));
                }
            }
            if ($peakV !== null && $adapter->rating->plate->maxV !== null && $peakV < self::ALL * $adapter->rating->plate->maxV) {
                $proof[] = Message::of('proof.not_volts', limit: Amount::volts($adapter->rating->plate->maxV), seen: Amount::volts($peakV));
            }
        }

        return $proof;
    }

    /** The 10-minute current of the first adapter proven by it. */
    public static function carried(RecordedSession $session): ?Message
    {
        foreach ($session->answer->chain->adapters as $i => $adapter) {
            $continuous = ($session->judgement->proven[$i] ?? null)?->ofContinuous;
            if ($continuous !== null) {
                return self::continuous($adapter, $continuous);
            }
        }

        return null;
    }

    /** @param  float  $share  of its continuous amps */
    private static function continuous(Adapter $adapter, float $share): Message
    {
        $rated = $adapter->rating->plate->continuousA;

        return Message::of('proof.continuous', adapter: $adapter->name, amps: Amount::amps($share * ($rated ?? 0.0)), limit: Amount::amps($rated));
    }
}
