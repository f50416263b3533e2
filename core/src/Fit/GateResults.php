<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Words\Message;

/**
 * What the gates say about one situation. Each is run when it is first needed, and once: for pieces that don't fit
 * together a board runs only the first gate.
 */
final class GateResults
{
    /** @var list<GateResult> those asked so far */
    private array $known = [];

    /**
     * @param  list<Gate>  $gates  in the order of GateName
     * @param  Message|null  $policyToo  why the driver's policy refuses it as well; null where it does not
     */
    public function __construct(private readonly array $gates, private readonly Situation $situation, public readonly ?Message $policyToo = null)
    {
    }

    /** @return GateResult|null the one at this place in their order; null behind the last */
    public function at(int $place): ?GateResult
    {
        while (! isset($this->known[$place])) {
            $next = $this->gates[count($this->known)] ?? null;
            if ($next === null) {
                return null;
            }
            $this->known[] = $next->judge($this->situation);
        }

        return $this->known[$place];
    }

    /** @return list<GateResult> all of them, in order */
    public function all(): array
    {
        $this->at(count($this->gates) - 1);

        return $this->known;
    }
}
