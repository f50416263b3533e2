<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Harmozon\Core\Chain\Unread;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Words\Message;

/** One outlet as a stop for one car and one need. */
final readonly class Stop
{
    private const RISK_OF_ACCESS = 2;

    private const RISK_OF_FAULT = 10;

    /** What this driver pays; null when no price was read. */
    public ?string $price;

    /** @var list<Message> facts that nobody has read and that could turn the answer */
    public array $openFacts;

    /** How much could go wrong: 0 is nothing known. Every unread fact counts one, unverified access two, a known fault ten. */
    public int $risk;

    public function __construct(public Forecast $forecast, public ?Bill $bill)
    {
        $this->price = $bill?->amount();
        $this->openFacts = $this->facts();
        $this->risk = count($this->openFacts)
            + ($this->isAccessUnverified() ? self::RISK_OF_ACCESS : 0)
            + ($this->knownFault() === null ? 0 : self::RISK_OF_FAULT);
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

    public function knownFault(): ?string
    {
        return $this->forecast->answer->chain->outlet->knownFault;
    }

    public function isAccessUnverified(): bool
    {
        foreach ($this->forecast->answer->gates as $gate) {
            if ($gate->gate === GateName::Access) {
                return $gate->isUnknown();
            }
        }

        return false;
    }

    /** @return list<Message> */
    private function facts(): array
    {
        $facts = array_map(static fn (Unread $u): Message => $u->fact(), $this->forecast->answer->limits->unread ?? []);
        foreach ($this->forecast->answer->gates as $gate) {
            if ($gate->gate !== GateName::Reach && $gate->isUnknown()) {
                array_push($facts, ...array_map(static fn (Unread $u): Message => $u->fact(), $gate->missing));
            }
        }

        return array_values(array_combine(array_map(static fn (Message $m): string => $m->key(), $facts), $facts));
    }
}
