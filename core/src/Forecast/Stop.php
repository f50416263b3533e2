<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Words\Message;

/** One outlet as a stop for one car and one need. */
final readonly class Stop
{
    private const RISK_OF_ACCESS = 2;

    private const RISK_OF_FAULT = 10;

    /** Added when a trailer has no known bay. */
    private const RISK_OF_TRAILER = 3;

    /** Added for each trouble that earlier sessions had, unless a good session followed. */
    private const RISK_OF_TROUBLE = 3;

    /** What this driver pays; null when no price was read. */
    public ?string $price;

    /** @var list<Message> facts that nobody has read and that could turn the answer, but for access */
    public array $openFacts;

    /** @var list<Message> what nobody has read of the access; empty where it is settled */
    public array $accessFacts;

    /** How much could go wrong; 0 means nothing known. Each unread fact counts 1, unverified access 2, earlier trouble 3, a trailer without a known bay 3, a known fault 10. */
    public int $risk;

    public function __construct(public Forecast $forecast, public ?Bill $bill)
    {
        $this->price = $bill?->amount();
        $this->accessFacts = $this->unread(static fn (GateName $gate): bool => $gate === GateName::Access);
        $this->openFacts = $this->unread(static fn (GateName $gate): bool => $gate !== GateName::Access && $gate !== GateName::Reach, $forecast->answer->limits->unread ?? []);
        $this->risk = count($this->openFacts)
            + self::RISK_OF_TROUBLE * count($this->trouble())
            + ($this->accessFacts === [] ? 0 : self::RISK_OF_ACCESS)
            + ($this->isTightForTrailer() ? self::RISK_OF_TRAILER : 0)
            + ($this->hasFault() ? self::RISK_OF_FAULT : 0);
    }

    public function outletId(): string
    {
        return $this->forecast->answer->chain->outlet->id;
    }

    public function name(): string
    {
        return $this->forecast->answer->chain->outlet->name;
    }

    /** Whether it is forecast to bring the car to its target. */
    public function reaches(): bool
    {
        return $this->forecast->isGiven() && $this->forecast->cutShort === null;
    }

    /** Its known fault, in the words of the person who entered it. */
    public function knownFault(): ?string
    {
        return $this->forecast->answer->chain->outlet->site->faultInSentence();
    }

    /** @return list<Message> what earlier sessions found wrong here */
    public function trouble(): array
    {
        return $this->forecast->answer->conditions->remembered[$this->outletId()]->trouble ?? [];
    }

    /** Whether it, or every one of its stalls, has a known fault. */
    public function hasFault(): bool
    {
        return $this->knownFault() !== null || $this->isWhollyFaulty();
    }

    /** Whether the car has a trailer and no pull-through bay is known. */
    public function isTightForTrailer(): bool
    {
        return $this->forecast->answer->conditions->visit->towing && $this->forecast->answer->chain->outlet->pullThrough() === [];
    }

    public function isWhollyFaulty(): bool
    {
        return $this->forecast->answer->chain->outlet->isWhollyFaulty();
    }

    /**
     * @param  \Closure(GateName): bool  $isAsked  of which gates
     * @param  list<UnreadFact>  $more
     * @return list<Message> each once
     */
    private function unread(\Closure $isAsked, array $more = []): array
    {
        $facts = [];
        foreach ($this->forecast->answer->gates() as $gate) {
            if ($isAsked($gate->gate) && $gate->isUnknown()) {
                $more = [...$more, ...$gate->missing];
            }
        }
        foreach ($more as $unread) {
            $facts[$unread->fact()->key()] = $unread->fact();
        }

        return array_values($facts);
    }
}
