<?php

declare(strict_types=1);

namespace Harmozon\Core\Steps;

use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Forecast\AdapterPassed;
use Harmozon\Core\Words\Message;

/** What to do beside the car, from parking to leaving, in the order of one chain's own pieces. */
final readonly class StepList
{
    /**
     * @param  list<Step>  $steps  one `do_not_connect` where nothing must be joined
     * @param  list<Rung>  $ladder  what to try when nothing starts, in this order
     * @param  list<Message>  $stuckLatch
     * @param  list<Piece>  $pieces  to be drawn: joint n lies between piece n and the next; none where nothing must be joined
     */
    private function __construct(public ChainAnswer $answer, public array $steps, public array $ladder, public array $stuckLatch, public array $pieces)
    {
    }

    /**
     * @param  AdapterPassed|null  $passed  from the forecast: when an adapter that may not hold back would be asked for more than it allows
     * @param  string|null  $stall  label of the stall where the driver stands; null when not known
     */
    public static function of(ChainAnswer $answer, ?AdapterPassed $passed = null, ?string $stall = null): self
    {
        $latch = self::stuckLatch(HelpCall::call($answer, $stall));
        if (! $answer->outcome->mayFlow()) {
            return new self($answer, [new Step(StepPhase::Arrive, StepCode::DoNotConnect, $answer->why())], [], $latch, []);
        }
        $cautions = StepCautions::of($answer);
        $order = JoinOrder::of($answer->chain);
        $joining = new ConnectingSteps($answer->chain, $order, $cautions);

        return new self($answer, [
            ...(new ArrivalSteps($answer, $cautions))->steps(),
            ...$joining->join(),
            ...(new SessionSteps($answer, $cautions, $passed))->steps(),
            ...$joining->part(),
            ...(new LeavingSteps($answer->chain))->steps(),
        ], Ladder::of($answer, $stall), $latch, $order->pieces($answer->chain));
    }

    /** @return list<Message> from the gentle to the last */
    private static function stuckLatch(Message $call): array
    {
        return [Message::of('latch.stop_both'), Message::of('latch.unlock'), Message::of('latch.push'), Message::of('latch.manual'), Message::of('latch.help', call: $call)];
    }
}
