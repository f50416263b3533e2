<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Harmozon\Core\Chain\Unread;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\Result;

/** One outlet as a stop for one car and one need. */
final readonly class Stop
{
    /** What this driver pays; null when no price was read. */
    public ?string $price;

    /** @var list<string> facts that nobody has read and that could turn the answer, in words */
    public array $openFacts;

    /** How much could go wrong: 0 is nothing known. Every unread fact counts one, unverified access two, a known fault ten. */
    public int $risk;

    public function __construct(public Forecast $forecast, public ?Bill $bill)
    {
        $this->price = $bill?->amount();
        $this->openFacts = $this->facts();
        $this->risk = count($this->openFacts)
            + ($this->isAccessUnverified() ? 2 : 0)
            + ($this->knownFault() === null ? 0 : 10);
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
        return $this->forecast->isGiven() && $this->forecast->stopped === null;
    }

    public function knownFault(): ?string
    {
        return $this->forecast->answer->chain->outlet->knownFault;
    }

    public function isAccessUnverified(): bool
    {
        foreach ($this->forecast->answer->gates as $gate) {
            if ($gate->gate === GateName::Access) {
                return $gate->result === Result::Unknown;
            }
        }

        return false;
    }

    /** @return list<string> */
    private function facts(): array
    {
        $facts = array_map(static fn (Unread $u): string => $u->fact, $this->forecast->answer->limits->unread ?? []);
        foreach ($this->forecast->answer->gates as $gate) {
            if ($gate->gate !== GateName::Reach && $gate->result === Result::Unknown) {
                array_push($facts, ...array_map(static fn (Unread $u): string => $u->fact, $gate->missing));
            }
        }

        return array_values(array_unique($facts));
    }
}
