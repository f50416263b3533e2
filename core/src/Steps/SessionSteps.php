<?php

declare(strict_types=1);

namespace Harmozon\Core\Steps;

use Harmozon\Core\Equipment\AccessKind;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Fit\CautionPlace;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\Gates\AdapterGate;
use Harmozon\Core\Forecast\AdapterPassed;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** From starting the session to the click of the latch. */
final readonly class SessionSteps
{
    /** First power is expected within this time of plugging in (min). */
    public const FIRST_POWER_MINUTES = 2;

    /** A stall shows what it can give within this time (min). */
    private const COMPARE_MINUTES = 3;

    public function __construct(private ChainAnswer $answer, private StepCautions $stepCautions, private ?AdapterPassed $passed)
    {
    }

    /** @return list<Step> */
    public function steps(): array
    {
        $isSocket = $this->answer->chain->outlet->coupler->isSocket();
        $minutes = Amount::minutes(self::FIRST_POWER_MINUTES);
        $lockable = $this->lockable();

        return [
            ...($isSocket ? [] : [new Step(StepPhase::Start, StepCode::Authorise, $this->authorise(), Message::of('step_sign.accepted'), ifNot: Message::of('step_if_not.another_way'))]),
            new Step(
                StepPhase::Start, StepCode::AwaitCurrent, Message::of('step.await_current', minutes: $minutes),
                $isSocket ? Message::of('step_sign.supply_charges') : Message::of('step_sign.stall_charges'), ifNot: Message::of('step_if_not.nothing_starts', minutes: $minutes),
            ),
            $this->compare(),
            new Step(StepPhase::Run, StepCode::TakeTemperatures, Message::of('step.take_temperatures'), ifNot: Message::of('step_if_not.smell')),
            ...($lockable === null ? [] : [
                new Step(StepPhase::Run, StepCode::LockAdapter, Message::of('step.lock_adapter', adapter: $lockable), Message::of('step_sign.does_not_come_off')),
                new Step(StepPhase::Stop, StepCode::UnlockAdapter, Message::of('step.unlock_adapter', adapter: $lockable)),
            ]),
            new Step(
                StepPhase::Stop, StepCode::StopSession, $isSocket ? Message::of('step.stop_in_car') : Message::of('step.stop_session'),
                Message::of('step_sign.amps_fall'), $this->stop(), $isSocket ? null : Message::of('step_if_not.stop_other_end'),
            ),
            new Step(StepPhase::Stop, StepCode::AwaitLatch, Message::of('step.await_latch'), Message::of('step_sign.click_from_car'), ifNot: Message::of('step_if_not.latch_stuck')),
        ];
    }

    /** The name of a driver's own adapter that has a lock; null where none has. */
    private function lockable(): ?string
    {
        $attached = $this->answer->chain->outlet->fittings->attachedAdapter;
        foreach ($this->answer->chain->adapters as $adapter) {
            if ($adapter->handling->theftLock === true && $adapter->id !== $attached?->id) {
                return $adapter->name;
            }
        }

        return null;
    }

    private function authorise(): Message
    {
        $access = $this->answer->chain->outlet->site->access;

        return match (true) {
            $access->kind === AccessKind::Open => Message::of('step.authorise_open'),
            $access->kind === null => Message::of('step.authorise_unknown'),
            $access->network !== null => Message::of('step.authorise_of', network: $access->network),
            $access->kind === AccessKind::Account => Message::of('step.authorise_account'),
            default => Message::of('step.authorise_admitted'),
        };
    }

    private function compare(): Step
    {
        $isDc = $this->answer->chain->current === CurrentKind::Dc;
        $given = $this->answer->given();
        $cautions = array_filter(
            $this->stepCautions->at(CautionPlace::Power),
            // The minute by which to stop says more than that one may have to.
            fn (Message $m): bool => $this->passed === null || ! str_starts_with($m->code, AdapterGate::MAY_NOT_HOLD),
        );
        $minutes = Amount::minutes(self::COMPARE_MINUTES);

        return new Step(
            StepPhase::Run,
            StepCode::ComparePower,
            $given === null ? Message::of('step.compare_power_unknown', minutes: $minutes) : Message::of('step.compare_power', minutes: $minutes, given: $given),
            Message::of('step_sign.settles'),
            [...($this->passed?->isAtOnce === true ? [$this->passed->message()] : []), ...array_values($cautions), ...($isDc ? [Message::of('step.second_cable')] : [])],
            $isDc ? Message::of('step_if_not.derated') : Message::of('step_if_not.settling'),
        );
    }

    /** @return list<Message> */
    private function stop(): array
    {
        return [...($this->passed === null || $this->passed->isAtOnce ? [] : [$this->passed->message()]), ...$this->stepCautions->at(CautionPlace::Stop)];
    }
}
