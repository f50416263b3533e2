<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit\Gates;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\DcSide;
use Harmozon\Core\Equipment\Signalling;
use Harmozon\Core\Fit\Gate;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\GateResult;
use Harmozon\Core\Fit\Situation;
use Harmozon\Core\Words\Message;

/** Gate 3: do station and car share a protocol, after any translation on the way? */
final class SignallingGate implements Gate
{
    public function judge(Situation $situation): GateResult
    {
        $chain = $situation->chain;
        $isAc = $chain->current === CurrentKind::Ac;
        $side = $chain->inlet->dc;
        if (! $isAc && $side === null) {
            return GateResult::fail(GateName::Signalling, Message::of('signalling.no_dc_side'));
        }
        $arrives = InletProtocols::of($chain);
        if ($arrives->protocols === null) {
            return $this->unread($arrives, $isAc ? [Signalling::Pwm] : $side?->signalling, $chain);
        }
        if ($isAc || $side === null) {
            return in_array(Signalling::Pwm, $arrives->protocols, true)
                ? GateResult::pass(GateName::Signalling, Message::of('signalling.pilot'))
                : GateResult::fail(GateName::Signalling, Message::of('signalling.no_pilot'));
        }

        return $this->dc($arrives->protocols, $side, $chain);
    }

    /**
     * The station's protocols are not known. One that no adapter passes on, or that the car lacks anyway, doesn't
     * count.
     *
     * @param  list<Signalling>|null  $understood  null when that is not known either
     */
    private function unread(InletProtocols $arrives, ?array $understood, Chain $chain): GateResult
    {
        return $understood !== null && ! $arrives->mayBeAmong($understood)
            ? GateResult::fail(GateName::Signalling, Message::of('signalling.cannot_arrive', vehicle: $chain->vehicle->name, car: Signalling::list($understood)))
            : GateResult::unread(GateName::Signalling, [UnreadFact::of(Fact::StationLanguages, $chain), ...($understood === null ? [UnreadFact::of(Fact::VehicleLanguages, $chain)] : [])]);
    }

    /** @param  list<Signalling>  $protocols */
    private function dc(array $protocols, DcSide $side, Chain $chain): GateResult
    {
        if ($protocols === []) {
            return GateResult::fail(GateName::Signalling, Message::of('signalling.nothing_through'));
        }
        if ($side->signalling === null) {
            return GateResult::unread(GateName::Signalling, [UnreadFact::of(Fact::VehicleLanguages, $chain)]);
        }
        foreach ($side->signalling as $language) {
            if (in_array($language, $protocols, true)) {
                return GateResult::pass(GateName::Signalling, self::met($language, $chain));
            }
        }
        $lacks = ['station' => Signalling::list($protocols), 'vehicle' => $chain->vehicle->name, 'car' => Signalling::list($side->signalling)];
        foreach ($protocols as $language) {
            if ($side->retrofit?->adds($language) === true) {
                return GateResult::fail(GateName::Signalling, Message::of('signalling.retrofit_available', ...$lacks, language: $language->message()));
            }
        }

        return GateResult::fail(GateName::Signalling, match (true) {
            $side->retrofit === null => Message::of('signalling.retrofit_unknown', ...$lacks),
            $side->retrofit->possible => Message::of('signalling.retrofit_other', ...$lacks),
            default => Message::of('signalling.retrofit_impossible', ...$lacks),
        });
    }

    /** Whether the station uses it itself, or an adapter on the way translates to it. */
    private static function met(Signalling $language, Chain $chain): Message
    {
        foreach (array_reverse($chain->adapters) as $adapter) {
            if ($adapter->passes->translates !== null && ! in_array($language, $chain->outlet->rating->signalling ?? [], true)) {
                return Message::of('signalling.translated', adapter: $adapter->name, language: $language->message(), vehicle: $chain->vehicle->name);
            }
        }

        return Message::of('signalling.shared', language: $language->message());
    }
}
