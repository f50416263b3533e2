<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Models\ChargeSession;
use Harmozon\Core\Case\CaseReader;
use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Json\Node;

/** The chain of a session, from the plates it was begun with. */
final readonly class SessionChain
{
    private function __construct(public ChainAnswer $answer, public Conditions $conditions)
    {
    }

    /** @param  array<array-key, mixed>  $really  conditions that its driver did not know of, to act them out */
    public static function of(ChargeSession $session, array $really = []): self
    {
        $told = $session->case_file['conditions'] ?? [];
        $case = (new CaseReader)->case(Node::of($really === [] ? $session->case_file : [...$session->case_file, 'conditions' => [...(is_array($told) ? $told : []), ...$really]]));
        $chain = new Chain($case->outlet, $case->pieces($session->chain_adapters), $case->vehicle, $session->inlet_index);

        return new self($case->fitter()->judge($chain), $case->conditions);
    }
}
