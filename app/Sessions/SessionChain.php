<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Models\ChargeSession;
use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Files\CaseReader;
use Harmozon\Core\Files\Node;
use Harmozon\Core\Fit\ChainAnswer;

/** The chain of a session, from the plates it was begun with. */
final readonly class SessionChain
{
    private function __construct(public ChainAnswer $answer, public Conditions $conditions)
    {
    }

    public static function of(ChargeSession $session): self
    {
        $case = (new CaseReader)->case(Node::of($session->case_file));
        $chain = new Chain($case->outlet, $case->pieces($session->chain_adapters), $case->vehicle, $session->inlet_index);

        return new self($case->fitter()->judge($chain), $case->conditions);
    }
}
