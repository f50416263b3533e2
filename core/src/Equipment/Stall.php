<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

use Harmozon\Core\Words\Message;

/** One of several stalls with the same rating, told apart by the label painted on it. */
final readonly class Stall
{
    /**
     * @param  string  $label  what stands on the stall
     * @param  string|null  $evseId  its id in the network (ISO 15118), as the network's application asks for it
     * @param  string|null  $fault  what is known to be wrong with it; null when nothing is
     * @param  string|null  $uid  how its network's file names the charging point
     * @param  string|null  $connector  and its connector
     * @param  string|null  $cabinet  what stands on the cabinet that feeds it: stalls of one cabinet share its power; null when not known
     * @param  Bay|null  $bay  its layout; null when not known
     */
    public function __construct(
        public string $label,
        public ?string $evseId = null,
        public ?string $fault = null,
        public ?string $uid = null,
        public ?string $connector = null,
        public ?string $cabinet = null,
        public ?Bay $bay = null,
    ) {
    }

    /** Its label, and its known fault. */
    public function message(): Message
    {
        return $this->fault === null
            ? Message::of('link.named', name: $this->label)
            : Message::of('stall.faulty', label: $this->label, fault: rtrim($this->fault, '.'));
    }
}
