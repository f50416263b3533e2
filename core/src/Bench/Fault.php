<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** What can go wrong in a session, each in one phase. */
enum Fault: string implements Term
{
    case NotSeated = 'not_seated';
    case NoPilot = 'no_pilot';
    case NoLink = 'no_link';
    case ParametersRefused = 'parameters_refused';
    case AuthorisationRefused = 'authorisation_refused';
    case Isolation = 'isolation';
    case Precharge = 'precharge';
    case Contactor = 'contactor';
    case NoCurrent = 'no_current';
    case BoostSpent = 'boost_spent';
    case CoolingFailed = 'cooling_failed';
    case Neighbour = 'neighbour';
    case Derated = 'derated';
    case LinkLost = 'link_lost';
    case EmergencyStop = 'emergency_stop';
    case LatchStuck = 'latch_stuck';
    case Welding = 'welding';

    public function phase(): Phase
    {
        return match ($this) {
            self::NotSeated => Phase::Plugged,
            self::NoPilot => Phase::Pilot,
            self::NoLink => Phase::Link,
            self::ParametersRefused => Phase::Parameters,
            self::AuthorisationRefused => Phase::Authorise,
            self::Isolation => Phase::Isolation,
            self::Precharge => Phase::Precharge,
            self::Contactor => Phase::Contactors,
            self::NoCurrent, self::BoostSpent, self::CoolingFailed, self::Neighbour, self::Derated, self::LinkLost, self::EmergencyStop => Phase::Current,
            self::Welding => Phase::WeldingCheck,
            self::LatchStuck => Phase::Released,
        };
    }

    /** The phase that a session must have for it: only a data link can be lost. */
    public function needs(): Phase
    {
        return $this === self::LinkLost ? Phase::Link : $this->phase();
    }

    /** Where somebody has to look: at the station, where two pieces join, at the piece that is warm, or at the car. */
    public function site(): FaultSite
    {
        return match ($this) {
            self::NotSeated, self::NoPilot, self::NoLink, self::Isolation, self::LinkLost => FaultSite::Joint,
            self::AuthorisationRefused, self::Precharge, self::CoolingFailed, self::Neighbour, self::Derated, self::EmergencyStop => FaultSite::Station,
            self::BoostSpent => FaultSite::Link,
            self::ParametersRefused, self::Contactor, self::NoCurrent, self::LatchStuck, self::Welding => FaultSite::Car,
        };
    }

    /** Whether no current ever flows. */
    public function preventsStart(): bool
    {
        return match ($this) {
            self::NotSeated, self::NoPilot, self::NoLink, self::ParametersRefused, self::AuthorisationRefused, self::Isolation, self::Precharge, self::Contactor, self::NoCurrent => true,
            default => false,
        };
    }

    /** Whether it happens while current flows, so that a minute can be named. */
    public function happensWhileCharging(): bool
    {
        return ! $this->preventsStart() && $this->phase() === Phase::Current;
    }

    /** Whether it ends the session at once. */
    public function endsSession(): bool
    {
        return $this === self::LinkLost || $this === self::EmergencyStop;
    }

    public function message(): Message
    {
        return Message::of('bench_fault.'.$this->value);
    }

    /** What somebody at the stall notices of it. */
    public function sign(Witness $witness): Message
    {
        return Message::of("fault_sign.{$this->value}.{$witness->value}");
    }

    /** @return non-empty-list<Remedy> what helps, the first thing first */
    public function remedies(): array
    {
        return match ($this) {
            self::NotSeated => [Remedy::ConnectAgain, Remedy::LookAtContacts, Remedy::AnotherStall],
            self::NoPilot => [Remedy::ConnectAgain, Remedy::AdapterApart, Remedy::AnotherStall],
            self::NoLink => [Remedy::ConnectAgain, Remedy::AnotherStall, Remedy::CheckProtocol],
            self::ParametersRefused => [Remedy::StopAndWait, Remedy::CheckRatings, Remedy::AnotherStall],
            self::AuthorisationRefused => [Remedy::StartAnotherWay, Remedy::CallHelp],
            self::Isolation => [Remedy::StopAndWait, Remedy::LookAtContacts, Remedy::AnotherStall, Remedy::Service],
            self::Precharge => [Remedy::StopAndWait, Remedy::AnotherStall],
            self::Contactor => [Remedy::StopAndWait, Remedy::AnotherStall, Remedy::Service],
            self::NoCurrent => [Remedy::StopAndWait, Remedy::ConnectAgain, Remedy::AnotherStall],
            self::BoostSpent => [Remedy::LetItGoOn, Remedy::LowerLimit],
            self::CoolingFailed => [Remedy::AnotherStall, Remedy::CallHelp],
            self::Neighbour => [Remedy::AnotherStall, Remedy::LetItGoOn],
            self::Derated => [Remedy::AnotherStall, Remedy::CallHelp],
            self::LinkLost => [Remedy::StopAndWait, Remedy::ConnectAgain, Remedy::AnotherStall],
            self::EmergencyStop => [Remedy::StepBack, Remedy::CallHelp],
            self::LatchStuck => [Remedy::StopAndWait, Remedy::UnlockCar, Remedy::ManualRelease, Remedy::CallHelp],
            self::Welding => [Remedy::StopAndWait, Remedy::Service],
        };
    }

    /** @return non-empty-list<Remedy> what people do instead, each of which has its why-not */
    public function wrong(): array
    {
        return match ($this) {
            self::NotSeated => [Remedy::StartAnotherWay, Remedy::WaitLonger],
            self::NoPilot => [Remedy::HoldUp, Remedy::WaitLonger],
            self::NoLink => [Remedy::StartAnotherWay, Remedy::HoldUp],
            self::ParametersRefused => [Remedy::ConnectAgain, Remedy::SecondAdapter],
            self::AuthorisationRefused => [Remedy::ConnectAgain, Remedy::AnotherStall],
            self::Isolation => [Remedy::ConnectAgain, Remedy::PullOut],
            self::Precharge => [Remedy::PullOut, Remedy::HoldUp],
            self::Contactor => [Remedy::PullOut, Remedy::StartAnotherWay],
            self::NoCurrent => [Remedy::WaitLonger, Remedy::RaiseTarget],
            self::BoostSpent => [Remedy::AnotherStall, Remedy::WetCloth],
            self::CoolingFailed => [Remedy::WaitLonger, Remedy::WetCloth],
            self::Neighbour => [Remedy::ConnectAgain, Remedy::RaiseTarget],
            self::Derated => [Remedy::WaitLonger, Remedy::ConnectAgain],
            self::LinkLost => [Remedy::PullOut, Remedy::WaitLonger],
            self::EmergencyStop => [Remedy::ConnectAgain, Remedy::PullOut],
            self::LatchStuck => [Remedy::PullOut, Remedy::UseTools],
            self::Welding => [Remedy::ConnectAgain, Remedy::PullOut],
        };
    }

    /** Why this remedy does not help here. */
    public function whyNot(Remedy $wrong): Message
    {
        return Message::of("why_not.{$this->value}.{$wrong->value}");
    }
}
