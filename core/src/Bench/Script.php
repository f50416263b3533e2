<?php

declare(strict_types=1);

namespace Harmozon\Core\Bench;

/** What the stand-in should simulate, and what a person next to it writes down. */
final readonly class Script
{
    public const EVERY_S = 10;

    /** The longest between two readings (s). */
    public const SLOWEST_S = 3600;

    public const READS = ['soc', 'v', 'a', 'kw'];

    public const LONGEST_MINUTES = 600.0;

    public const SOURCE = 'stand-in';

    /**
     * @param  int  $seed  the same seed gives the same readings
     * @param  int  $everyS  seconds between two readings
     * @param  list<string>  $reads  of soc, v, a, kw, adapter, handle, inlet, ambient
     * @param  float  $longestMinutes  when the driver leaves
     * @param  InjectedFault|null  $fault  what goes wrong
     */
    public function __construct(
        public int $seed,
        public int $everyS = self::EVERY_S,
        public array $reads = self::READS,
        public float $longestMinutes = self::LONGEST_MINUTES,
        public string $source = self::SOURCE,
        public ?InjectedFault $fault = null,
        public Quirks $quirks = new Quirks,
    ) {
    }

    public function isRead(string $what): bool
    {
        return in_array($what, $this->reads, true);
    }
}
