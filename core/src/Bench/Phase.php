<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Forecast\Integrator;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/**
 * A phase of a charging session, in the order of IEC 61851-23 and DIN 70121: from the proximity contact to the released
 * latch. An AC session has no data link, no insulation test by the station and no pre-charge (IEC 61851-1, mode 3).
 */
enum Phase: string implements Term
{
    case Plugged = 'plugged';
    case Pilot = 'pilot';
    case Link = 'link';
    case Authorise = 'authorise';
    case Parameters = 'parameters';
    case Isolation = 'isolation';
    case Precharge = 'precharge';
    case Contactors = 'contactors';
    case Current = 'current';
    case Stop = 'stop';
    case WeldingCheck = 'welding_check';
    case Released = 'released';

    /** Usual seconds of each phase before the current of a DC session; together the forecast's handshake. Assumptions. */
    private const DC_S = ['plugged' => 2.0, 'pilot' => 2.0, 'link' => 8.0, 'authorise' => 12.0, 'parameters' => 4.0, 'isolation' => 8.0, 'precharge' => 6.0, 'contactors' => 3.0];

    /** The same for AC. Assumptions. */
    private const AC_S = ['plugged' => 2.0, 'pilot' => 3.0, 'authorise' => 30.0, 'contactors' => 10.0];

    /** Usual seconds after the current has ended. Assumptions. */
    private const AFTER_S = ['stop' => 3.0, 'welding_check' => 2.0, 'released' => 1.0];

    /** @return list<self> before the first current, in order */
    public static function before(CurrentKind $current): array
    {
        return array_map(self::from(...), array_keys(self::usual($current)));
    }

    /** @return list<self> once the current has ended, in order */
    public static function after(CurrentKind $current): array
    {
        return $current === CurrentKind::Dc ? [self::Stop, self::WeldingCheck, self::Released] : [self::Stop, self::Released];
    }

    /** @return list<self> all of a session, in order */
    public static function all(CurrentKind $current): array
    {
        return [...self::before($current), self::Current, ...self::after($current)];
    }

    /** Whether the current has ended by then. */
    public function isAfterCurrent(): bool
    {
        return isset(self::AFTER_S[$this->value]);
    }

    /** How long it usually lasts (s); the current lasts as long as it takes. */
    public function usualS(CurrentKind $current): float
    {
        $usual = self::usual($current);

        return isset($usual[$this->value])
            ? $usual[$this->value] * Integrator::HANDSHAKE_S / array_sum($usual)
            : self::AFTER_S[$this->value] ?? 0.0;
    }

    public function message(): Message
    {
        return Message::of('bench_phase.'.$this->value);
    }

    /** What somebody at the stall notices while it goes as it should. */
    public function sign(Witness $witness, CurrentKind $current): Message
    {
        $code = "sign.{$this->value}.{$witness->value}";
        $differs = $current === CurrentKind::Ac && in_array($this, [self::Pilot, self::Contactors, self::Current], true);

        return Message::of($differs ? "{$code}.ac" : $code);
    }

    /** @return array<string, float> */
    private static function usual(CurrentKind $current): array
    {
        return $current === CurrentKind::Dc ? self::DC_S : self::AC_S;
    }
}
