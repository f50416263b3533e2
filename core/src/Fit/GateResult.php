<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/**
 * A gate's answer: result, reason in one sentence, the figures used, and for an unknown where to read the fact. A board
 * asks thousands of gates and shows few of their reasons, so a reason is only computed when it is needed.
 */
final class GateResult
{
    /** @var list<Message>|null worked out when they are asked for */
    private ?array $cautions = null;

    /**
     * @param  Message|\Closure(): Message|null  $told  null for an unknown, whose missing facts are its reason
     * @param  list<Figure>|\Closure(): list<Figure>  $used
     * @param  list<UnreadFact>  $missing  facts an unknown asks for
     * @param  Message|null  $danger  what they might hide
     * @param  (\Closure(): list<Message>)|null  $unless  cautions that make a pass one
     */
    private function __construct(
        public readonly GateName $gate,
        private readonly Result $result,
        private readonly Message|\Closure|null $told,
        private readonly array|\Closure $used = [],
        private readonly FailureKind $failure = FailureKind::Plain,
        public readonly array $missing = [],
        private readonly ?Message $danger = null,
        private readonly ?\Closure $unless = null,
    ) {
    }

    /**
     * @param  Message|\Closure(): Message  $reason
     * @param  list<Figure>|\Closure(): list<Figure>  $figures
     */
    public static function pass(GateName $gate, Message|\Closure $reason, array|\Closure $figures = []): self
    {
        return new self($gate, Result::Pass, $reason, $figures);
    }

    /**
     * @param  Message|\Closure(): Message  $reason
     * @param  list<Figure>|\Closure(): list<Figure>  $figures
     */
    public static function caution(GateName $gate, Message|\Closure $reason, array|\Closure $figures = []): self
    {
        return new self($gate, Result::Caution, $reason, $figures);
    }

    /**
     * @param  Message|\Closure(): Message  $reason
     * @param  list<Figure>|\Closure(): list<Figure>  $figures
     */
    public static function fail(GateName $gate, Message|\Closure $reason, array|\Closure $figures = []): self
    {
        return new self($gate, Result::Fail, $reason, $figures);
    }

    /**
     * A pass, unless there is something to be careful about.
     *
     * @param  \Closure(): list<Message>  $cautions
     */
    public static function passUnless(GateName $gate, Message $reason, \Closure $cautions): self
    {
        return new self($gate, Result::Pass, $reason, unless: $cautions);
    }

    /** A failure only because of the driver's own policy. */
    public static function refused(GateName $gate, Message $reason): self
    {
        return new self($gate, Result::Fail, $reason, failure: FailureKind::Policy);
    }

    /**
     * A failure that endangers people or equipment.
     *
     * @param  list<Figure>  $figures
     */
    public static function hazard(GateName $gate, Message $reason, array $figures = []): self
    {
        return new self($gate, Result::Fail, $reason, $figures, FailureKind::Hazard);
    }

    /**
     * A question left open by facts that nobody has read.
     *
     * @param  non-empty-list<UnreadFact>  $missing
     * @param  Message|null  $danger  what they might hide
     */
    public static function unread(GateName $gate, array $missing, ?Message $danger = null): self
    {
        return new self($gate, Result::Unknown, null, missing: $missing, danger: $danger);
    }

    /**
     * The same with another caution; what fails or is unknown stays so.
     *
     * @param  list<Message>  $cautions
     */
    public function minding(array $cautions): self
    {
        return match ($this->result) {
            Result::Fail, Result::Unknown => $this,
            Result::Pass, Result::Caution => new self($this->gate, Result::Pass, $this->reason(), $this->used, unless: fn (): array => [...$this->cautions(), ...$cautions]),
        };
    }

    public function result(): Result
    {
        return $this->unlessAny() === [] ? $this->result : Result::Caution;
    }

    public function fails(): bool
    {
        return $this->result === Result::Fail;
    }

    public function isHazard(): bool
    {
        return $this->failure === FailureKind::Hazard;
    }

    public function isPolicy(): bool
    {
        return $this->failure === FailureKind::Policy;
    }

    public function isUnknown(): bool
    {
        return $this->result === Result::Unknown;
    }

    public function reason(): Message
    {
        $cautions = $this->unlessAny();

        return match (true) {
            count($cautions) === 1 => $cautions[0],
            $cautions !== [] => Message::of('gate.cautions', all: Listing::spaced($cautions)),
            $this->told instanceof Message => $this->told,
            $this->told !== null => ($this->told)(),
            $this->danger !== null => Message::of('unread.gate_danger', facts: UnreadFact::facts($this->missing), danger: $this->danger),
            default => Message::of('unread.gate', facts: UnreadFact::facts($this->missing)),
        };
    }

    /** @return list<Message> what to be careful about, one by one; none where the gate says something else than caution */
    public function cautions(): array
    {
        return $this->result() !== Result::Caution ? [] : ($this->unlessAny() === [] ? [$this->reason()] : $this->unlessAny());
    }

    /** @return list<Message> of a pass that is none */
    private function unlessAny(): array
    {
        return $this->cautions ??= $this->unless === null ? [] : ($this->unless)();
    }

    /** Where to read the fact that an unknown needs. */
    public function check(): ?Message
    {
        return $this->missing === [] ? null : UnreadFact::places($this->missing);
    }

    /** @return list<Figure> */
    public function figures(): array
    {
        return is_array($this->used) ? $this->used : ($this->used)();
    }
}
