<?php

declare(strict_types=1);

namespace Harmozon\Core\Steps;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Fit\CautionPlace;
use Harmozon\Core\Words\Message;

/** Joining the pieces of a chain, and parting them in the reverse order. */
final readonly class Joining
{
    public function __construct(private Chain $chain, private Way $way, private Care $care)
    {
    }

    /** @return list<Step> */
    public function join(): array
    {
        $steps = $this->isAttached() ? [new Step(StepPhase::Join, StepCode::ReleaseAttachedAdapter, Message::of('step.release_attached_adapter', adapter: $this->name()), Message::of('step.release_attached_adapter.sign'))] : [];
        foreach ($this->way->moves() as $n => ['join' => $code, 'joint' => $joint]) {
            $steps[] = $this->move(StepPhase::Join, $code, [...($n === 0 ? $this->first() : [])], closes: $joint);
        }

        return $this->adapter()?->isActive() === true ? [...$steps, ...$this->switchOn()] : $steps;
    }

    /** @return list<Step> */
    public function part(): array
    {
        return array_map(
            fn (array $move): Step => $this->move(StepPhase::Part, $move['part'], [], opens: $move['joint']),
            array_reverse($this->way->moves()),
        );
    }

    /**
     * What matters before the first two pieces touch.
     *
     * @return list<Message>
     */
    private function first(): array
    {
        // An order that is read is what the steps do; one that nobody has read is a caution.
        return [...$this->care->at(CautionPlace::Join), ...($this->isUsualOrder() && $this->adapter() !== null ? $this->care->at(CautionPlace::Order) : [])];
    }

    /** @param  list<Message>  $cautions */
    private function move(StepPhase $phase, StepCode $code, array $cautions, ?int $closes = null, ?int $opens = null): Step
    {
        $words = 'step.'.$code->value.match (true) {
            $code === StepCode::HandleIntoAdapter && $this->isAttached() => '_attached',
            $code === StepCode::AdapterIntoCar && $this->way === Way::HandleFirst => '_pair',
            $this->way === Way::PerhapsLoose && $code === StepCode::CableIntoPost => '_perhaps',
            $code === StepCode::CableFromCar && $this->way === Way::Direct => '_handle',
            default => '',
        };

        return new Step(
            $phase, $code, Message::of($words, adapter: $this->name(), car: $this->chain->vehicle->name), Message::of("step.{$code->value}.sign"), $cautions,
            Message::of($phase === StepPhase::Part ? 'step.part.if_not' : 'step.join.if_not'), $this->isUsualOrder(), $closes, $opens,
        );
    }

    /** @return list<Step> */
    private function switchOn(): array
    {
        return array_map(fn (StepCode $code): Step => new Step(
            StepPhase::Join, $code, Message::of('step.'.$code->value, adapter: $this->name()), Message::of("step.{$code->value}.sign"), ifNot: Message::of("step.{$code->value}.if_not"), isDefault: true,
        ), [StepCode::SwitchOnAdapter, StepCode::StartOnAdapter]);
    }

    /** Whether this is the usual order of such pieces, because nobody has read their own. */
    private function isUsualOrder(): bool
    {
        return match ($this->way) {
            Way::HandleFirst, Way::CarFirst => $this->adapter()?->attachOrder === null,
            Way::PerhapsLoose => true,
            default => false,
        };
    }

    private function adapter(): ?Adapter
    {
        return $this->chain->adapters[0] ?? null;
    }

    private function name(): string
    {
        return $this->adapter()->name ?? '';
    }

    private function isAttached(): bool
    {
        return $this->adapter() !== null && $this->adapter()->id === $this->chain->outlet->attachedAdapter?->id;
    }
}
