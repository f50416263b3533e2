<?php

declare(strict_types=1);

namespace Harmozon\Core\Steps;

use Harmozon\Core\Words\Message;

/** How to connect and disconnect two pieces, and what to see or hear when it worked. */
final readonly class StepWords
{
    /** @param  string  $adapter  its name; nothing where the chain has none */
    public function __construct(private string $adapter, private string $car, private JoinOrder $order, private bool $isAttached)
    {
    }

    public function do(StepCode $code): Message
    {
        [$adapter, $car] = [$this->adapter, $this->car];

        return match ($code) {
            StepCode::ReleaseAttachedAdapter => Message::of('step.release_attached_adapter', adapter: $adapter),
            StepCode::HandleIntoAdapter => $this->isAttached ? Message::of('step.handle_into_attached', adapter: $adapter) : Message::of('step.handle_into_adapter', adapter: $adapter),
            StepCode::AdapterIntoCar => $this->order === JoinOrder::HandleFirst ? Message::of('step.pair_into_car', adapter: $adapter, car: $car) : Message::of('step.adapter_into_car', adapter: $adapter, car: $car),
            StepCode::HandleIntoCar => Message::of('step.handle_into_car', car: $car),
            StepCode::SwitchOnAdapter => Message::of('step.switch_on_adapter', adapter: $adapter),
            StepCode::StartOnAdapter => Message::of('step.start_on_adapter', adapter: $adapter),
            StepCode::SupplyIntoSocket => Message::of('step.supply_into_socket', adapter: $adapter),
            StepCode::CableIntoPost => $this->order === JoinOrder::PerhapsLoose ? Message::of('step.perhaps_cable_into_post') : Message::of('step.cable_into_post', adapter: $adapter),
            StepCode::CableIntoCar => Message::of('step.cable_into_car', car: $car),
            StepCode::PairFromCar => Message::of('step.pair_from_car', adapter: $adapter, car: $car),
            StepCode::AdapterFromHandle => Message::of('step.adapter_from_handle', adapter: $adapter),
            StepCode::HandleFromAdapter => Message::of('step.handle_from_adapter', adapter: $adapter, car: $car),
            StepCode::AdapterFromCar => Message::of('step.adapter_from_car', adapter: $adapter, car: $car),
            StepCode::CableFromCar => $this->order === JoinOrder::Direct ? Message::of('step.handle_from_car', car: $car) : Message::of('step.cable_from_car', car: $car),
            StepCode::SupplyFromSocket => Message::of('step.supply_from_socket', adapter: $adapter),
            StepCode::CableFromPost => Message::of('step.cable_from_post'),
            default => throw new \LogicException("{$code->value} joins and parts nothing"),
        };
    }

    public function sign(StepCode $code): Message
    {
        return match ($code) {
            StepCode::HandleIntoAdapter => Message::of('step_sign.one_click'),
            StepCode::AdapterIntoCar => Message::of('step_sign.click_from_car'),
            StepCode::HandleIntoCar, StepCode::CableIntoCar => Message::of('step_sign.car_shows'),
            StepCode::SwitchOnAdapter => Message::of('step_sign.adapter_light'),
            StepCode::StartOnAdapter => Message::of('step_sign.adapter_changes'),
            StepCode::SupplyIntoSocket => Message::of('step_sign.supply_ready'),
            StepCode::CableIntoPost => Message::of('step_sign.post_holds'),
            StepCode::CableFromPost => Message::of('step_sign.post_lets_go'),
            StepCode::SupplyFromSocket => Message::of('step_sign.lights_out'),
            default => Message::of('step_sign.without_force'),
        };
    }

    public function ifNot(StepCode $code, StepPhase $phase): Message
    {
        return match (true) {
            $code === StepCode::SwitchOnAdapter => Message::of('step_if_not.no_light'),
            $code === StepCode::StartOnAdapter => Message::of('step_if_not.begin_again'),
            $phase === StepPhase::Part => Message::of('step_if_not.do_not_pull'),
            default => Message::of('step_if_not.no_click'),
        };
    }
}
