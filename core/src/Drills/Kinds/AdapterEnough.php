<?php

declare(strict_types=1);

namespace Harmozon\Core\Drills\Kinds;

use Harmozon\Core\Drills\Choice;
use Harmozon\Core\Drills\Draw;
use Harmozon\Core\Drills\Drill;
use Harmozon\Core\Drills\DrillGarage;
use Harmozon\Core\Drills\DrillRule;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\PlateLine;
use Harmozon\Core\Fit\Flow;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Power\BindingCode;
use Harmozon\Core\Words\Message;

/** Whether an adapter is rated for what a car and a charger send through it. */
final class AdapterEnough implements DrillRule
{
    public function draw(DrillGarage $garage, Draw $draw): ?Drill
    {
        // A piece that must not be used at all is no question of its rating.
        $adapters = array_values(array_filter($garage->adapters, static fn (Adapter $a): bool => $a->trust->recalled !== true && $a->trust->damaged !== true));
        if ($adapters === []) {
            return null;
        }
        $adapter = $draw->one($adapters);
        $best = $garage->any($draw)->best;
        $through = $garage->through($best, [$adapter]);
        $flow = $through->outcome->flow();
        $isRefused = $flow === Flow::No && in_array($through->deciding()?->gate, [GateName::Voltage, GateName::Adapter], true) && $through->deciding()->missing === [];
        if ($flow === Flow::Maybe || ($flow === Flow::No && ! $isRefused) || ($flow === Flow::Yes && ($through->peak === null || $through->isAtMost()))) {
            return null;
        }
        $isLimit = in_array($through->peak?->binding, [BindingCode::AdapterCurrent, BindingCode::AdapterPower], true);
        $right = match (true) {
            $isRefused => 'refused',
            $isLimit => 'limits',
            default => 'enough',
        };

        return new Drill(
            [
                Message::of('drill.at_through', vehicle: $best->chain->vehicle->name, outlet: $best->chain->outlet->name, adapter: $adapter->name),
                Message::of('drill.rated', link: Message::of('link.named', name: $adapter->name), plate: PlateLine::plate($adapter->rating->plate)),
            ],
            Message::of('drill.adapter_enough'),
            [
                new Choice('enough', Message::of('drill.enough.enough'), $right === 'enough', $right === 'enough' ? $through->why() : null),
                new Choice('limits', Message::of('drill.enough.limits'), $right === 'limits', $right === 'limits' ? $through->why() : null),
                new Choice('refused', Message::of('drill.enough.refused'), $right === 'refused', $right === 'refused' ? $through->why() : null),
            ],
            $through,
        );
    }
}
