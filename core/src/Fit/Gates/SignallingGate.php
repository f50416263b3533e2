<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit\Gates;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Unread;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\DcSide;
use Harmozon\Core\Equipment\Signalling;
use Harmozon\Core\Fit\Gate;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\GateResult;
use Harmozon\Core\Fit\Situation;

/** Gate 3: do station and car share a language, after any translation on the way? */
final class SignallingGate implements Gate
{
    public function judge(Situation $situation): GateResult
    {
        $chain = $situation->chain;
        $spoken = self::spokenAtInlet($chain);
        if ($spoken === null) {
            return GateResult::unread(GateName::Signalling, [Unread::stationLanguages($chain)]);
        }
        if ($chain->current() === CurrentKind::Ac) {
            return in_array(Signalling::Pwm, $spoken, true)
                ? GateResult::pass(GateName::Signalling, 'Both use the AC control pilot.')
                : GateResult::fail(GateName::Signalling, 'The control pilot an onboard charger needs does not reach it.');
        }
        $side = $chain->inlet->dc;
        if ($side === null) {
            return GateResult::fail(GateName::Signalling, 'This inlet has no DC side, so it speaks no DC language.');
        }

        return $this->dc($spoken, $side, $chain);
    }

    /** @param  list<Signalling>  $spoken */
    private function dc(array $spoken, DcSide $side, Chain $chain): GateResult
    {
        $car = $chain->vehicle->name;
        if ($spoken === []) {
            return GateResult::fail(GateName::Signalling, 'No language of the station gets through to the car on this way.');
        }
        if ($side->signalling === null) {
            return GateResult::unread(GateName::Signalling, [Unread::vehicleLanguages($chain)]);
        }
        foreach ($side->signalling as $language) {
            if (in_array($language, $spoken, true)) {
                return GateResult::pass(GateName::Signalling, sprintf('Both speak %s.', $language->words()));
            }
        }
        $lacks = sprintf('The station speaks %s, %s only %s', Signalling::list($spoken), $car, Signalling::list($side->signalling));
        foreach ($spoken as $language) {
            if ($side->retrofit?->adds($language) === true) {
                return GateResult::fail(GateName::Signalling, sprintf('%s: a retrofit that adds %s is available.', $lacks, $language->words()));
            }
        }

        return GateResult::fail(GateName::Signalling, match (true) {
            $side->retrofit === null => $lacks.'; whether a retrofit exists is not known.',
            $side->retrofit->possible => $lacks.', and its retrofit does not add that.',
            default => $lacks.', and no retrofit is possible.',
        });
    }

    /** @return list<Signalling>|null what reaches the inlet; null when the station's languages are not known */
    private static function spokenAtInlet(Chain $chain): ?array
    {
        $spoken = $chain->outlet->signalling;
        foreach ($chain->adapters as $adapter) {
            if ($adapter->isPortableSupply()) {
                $spoken = [Signalling::Pwm];
            } elseif ($adapter->translates !== null && $spoken !== null) {
                $spoken = $adapter->translates->apply($spoken);
            }
        }

        return $spoken;
    }
}
