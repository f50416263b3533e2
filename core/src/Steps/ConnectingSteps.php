<?php

declare(strict_types=1);

namespace Harmozon\Core\Steps;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Fit\CautionPlace;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** Connecting the pieces of a chain, and disconnecting them in the reverse order. */
final readonly class ConnectingSteps
{
    private ?Adapter $adapter;

    private bool $isAttached;

    private StepWords $words;

    public function __construct(Chain $chain, private JoinOrder $order, private StepCautions $stepCautions)
    {
        $this->adapter = $chain->adapters[0] ?? null;
        $this->isAttached = $this->adapter !== null && $this->adapter->id === $chain->outlet->fittings->attachedAdapter?->id;
        $this->words = new StepWords($this->adapter->name ?? '', $chain->vehicle->name, $order, $this->isAttached);
    }

    /** From this weight on an adapter pulls at the inlet until it is latched (g). */
    private const HEAVY_G = 700.0;

    /** @return list<Step> */
    public function join(): array
    {
        $moves = $this->order->moves();

        return [
            ...($this->isAttached ? [$this->step(StepPhase::Join, StepCode::ReleaseAttachedAdapter)] : []),
            ...array_map(
                fn (int $n): Step => $this->step(StepPhase::Join, $moves[$n]['join'], $n === 0 ? $this->first() : [], closes: $moves[$n]['joint']),
                array_keys($moves),
            ),
            ...($this->adapter?->isActive() === true ? [$this->step(StepPhase::Join, StepCode::SwitchOnAdapter), $this->step(StepPhase::Join, StepCode::StartOnAdapter)] : []),
        ];
    }

    /** @return list<Step> */
    public function part(): array
    {
        return array_map(
            fn (array $move): Step => $this->step(StepPhase::Part, $move['part'], opens: $move['joint']),
            array_reverse($this->order->moves()),
        );
    }

    /**
     * What matters before the first two pieces touch. An order that is read is what the steps do; one that nobody has read
     * is a caution.
     *
     * @return list<Message>
     */
    private function first(): array
    {
        return [...$this->weight(), ...$this->stepCautions->at(CautionPlace::Join), ...($this->isOrderUnread() ? $this->stepCautions->at(CautionPlace::Order) : [])];
    }

    /** @return list<Message> of an adapter that is heavy, or that carries direct current and nobody has weighed */
    private function weight(): array
    {
        $massG = $this->adapter?->handling->massG;

        return match (true) {
            $this->adapter === null, $massG === null && $this->adapter->passes->current !== CurrentKind::Dc, $massG !== null && $massG < self::HEAVY_G => [],
            $massG === null => [Message::of('step.hold_unweighed')],
            default => [Message::of('step.hold_heavy', mass: Amount::grams($massG))],
        };
    }

    /** @param  list<Message>  $cautions */
    private function step(StepPhase $phase, StepCode $code, array $cautions = [], ?int $closes = null, ?int $opens = null): Step
    {
        return new Step($phase, $code, $this->words->do($code), $this->words->sign($code), $cautions, $this->words->ifNot($code, $phase), $this->isDefault($code), new JointMove($closes, $opens));
    }

    /** Whether this is the usual order of such pieces, because nobody has read their own instructions. */
    private function isDefault(StepCode $code): bool
    {
        return match ($code) {
            StepCode::ReleaseAttachedAdapter => false,
            StepCode::SwitchOnAdapter, StepCode::StartOnAdapter => true,
            default => $this->isOrderUnread() || $this->order === JoinOrder::PerhapsLoose,
        };
    }

    private function isOrderUnread(): bool
    {
        return ($this->order === JoinOrder::HandleFirst || $this->order === JoinOrder::CarFirst) && $this->adapter?->handling->attachOrder === null;
    }
}
