<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit\Gates;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Equipment\Signalling;

/** The protocols that reach the inlet, after any translation on the way. */
final readonly class InletProtocols
{
    /**
     * @param  list<Signalling>|null  $protocols  null when the station's languages are not known
     * @param  list<Signalling>|null  $possible  what could arrive at the most; null: anything
     */
    private function __construct(public ?array $protocols, private ?array $possible)
    {
    }

    public static function of(Chain $chain): self
    {
        $protocols = $possible = $chain->outlet->rating->signalling;
        foreach ($chain->adapters as $adapter) {
            if ($adapter->isPortableSupply()) {
                // It makes the control pilot itself (IEC 61851-1, mode 2).
                $protocols = $possible = [Signalling::Pwm];
            } elseif ($adapter->passes->translates !== null) {
                $possible = $possible === null && $adapter->passes->translates->from !== [] ? $adapter->passes->translates->to : $adapter->passes->translates->apply($possible ?? []);
                $protocols = $protocols === null && $possible !== [] ? null : $adapter->passes->translates->apply($protocols ?? []);
            }
        }

        return new self($protocols, $possible);
    }

    /** @param  list<Signalling>  $understood */
    public function mayBeAmong(array $understood): bool
    {
        foreach ($understood as $language) {
            if ($this->possible === null || in_array($language, $this->possible, true)) {
                return true;
            }
        }

        return false;
    }
}
