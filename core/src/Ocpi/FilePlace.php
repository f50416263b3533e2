<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

use Harmozon\Core\Words\Message;

/** A location of the file. */
final readonly class FilePlace
{
    /**
     * @param  string  $party  country code and party id of its network, `NL*ABC`; empty where the file does not say
     * @param  string  $id  the network's own
     * @param  list<FileOutlet>  $outlets  one for each kind of connector of the place
     * @param  list<Message>  $notUnderstood  what was left out, and why
     * @param  Message|null  $whyNot  why it is no place to charge; a garage that has it already takes it all the same
     */
    public function __construct(public string $party, public string $id, public string $name, public array $outlets, public array $notUnderstood, public ?Message $whyNot = null)
    {
    }

    public function butNot(Message $leftOut): self
    {
        return new self($this->party, $this->id, $this->name, $this->outlets, [...$this->notUnderstood, $leftOut], $this->whyNot);
    }
}
