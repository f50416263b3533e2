<?php

declare(strict_types=1);

namespace Harmozon\Core\Steps;

use Brick\Math\BigDecimal;
use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/** Every piece back where it belongs, and the bay free. */
final readonly class LeavingSteps
{
    public function __construct(private Chain $chain)
    {
    }

    /** @return list<Step> */
    public function steps(): array
    {
        $attached = $this->chain->outlet->fittings->attachedAdapter;
        $own = array_values(array_filter($this->chain->adapters, static fn (Adapter $a): bool => $a->id !== $attached?->id));
        $isAttached = count($own) < count($this->chain->adapters);

        return [
            ...($isAttached && $attached !== null ? [new Step(
                StepPhase::Leave, StepCode::DockAttachedAdapter, Message::of('step.dock_attached_adapter', adapter: $attached->name), Message::of('step_sign.click_from_dock'), ifNot: Message::of('step_if_not.will_not_hold'),
            )] : []),
            new Step(StepPhase::Leave, StepCode::Stow, $own === [] ? Message::of('step.stow') : Message::of('step.stow_kit', kit: Listing::and(array_map(static fn (Adapter $a): string => $a->name, $own))), Message::of('step_sign.nothing_left')),
            new Step(StepPhase::Leave, StepCode::MoveAway, $this->moveAway(), cautions: $this->unlocked($own)),
        ];
    }

    /**
     * @param  list<Adapter>  $own
     * @return list<Message> of an adapter without a lock, where the car is left alone
     */
    private function unlocked(array $own): array
    {
        $open = array_values(array_filter($own, fn (Adapter $a): bool => $a->handling->theftLock === false && ! $this->chain->outlet->coupler->isSocket()));

        return $open === [] ? [] : [Message::of('step.no_lock', adapters: Listing::and(array_map(static fn (Adapter $a): string => $a->name, $open)))];
    }

    private function moveAway(): Message
    {
        $tariff = $this->chain->outlet->site->tariff;
        $fee = $tariff?->idlePerMinute;

        return match (true) {
            $this->chain->outlet->coupler->isSocket() => Message::of('step.move_away_socket'),
            $fee === null => Message::of('step.move_away_unknown'),
            BigDecimal::of($fee)->isZero() => Message::of('step.move_away'),
            $tariff->idleGraceMinutes === null => Message::of('step.move_away_fee', fee: Amount::money($fee, $tariff->currency)),
            default => Message::of('step.move_away_after', fee: Amount::money($fee, $tariff->currency), minutes: Amount::minutes($tariff->idleGraceMinutes)),
        };
    }
}
