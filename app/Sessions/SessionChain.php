<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Models\ChargeSession;
use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Files\CaseReader;
use Harmozon\Core\Files\FieldError;
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
        $pieces = [];
        foreach ([...$case->adapters, ...($case->outlet->attachedAdapter === null ? [] : [$case->outlet->attachedAdapter])] as $adapter) {
            $pieces[$adapter->id] = $adapter;
        }
        $adapters = array_map(
            static fn (string $id): Adapter => $pieces[$id] ?? throw FieldError::at('chain_adapters', sprintf('"%s" is not in the case', $id)),
            $session->chain_adapters,
        );

        return new self($case->fitter()->judge(new Chain($case->outlet, $adapters, $case->vehicle, $session->inlet_index)), $case->conditions);
    }
}
