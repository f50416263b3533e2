<?php

declare(strict_types=1);

namespace Harmozon\Core\Drills;

use Harmozon\Core\Bench\InjectedFault;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Words\Message;

/** A question about a situation at a charger, with one right answer among several. */
final readonly class Drill
{
    /**
     * @param  list<Message>  $situation  what somebody sees there, line by line
     * @param  list<Choice>  $choices  exactly one of them right
     * @param  ChainAnswer|null  $answer  of the chain that it is about, shown once somebody has answered
     * @param  InjectedFault|null  $fault  that the bench plays with it
     * @param  list<array{float, float}>  $curve  minutes and kW that were read; none where nothing was
     */
    public function __construct(
        public array $situation,
        public Message $question,
        public array $choices,
        public ?ChainAnswer $answer = null,
        public ?InjectedFault $fault = null,
        public array $curve = [],
    ) {
    }

    public function right(): Choice
    {
        foreach ($this->choices as $choice) {
            if ($choice->isRight) {
                return $choice;
            }
        }
        throw new \LogicException('one choice is right');
    }

    public function choice(string $code): ?Choice
    {
        foreach ($this->choices as $choice) {
            if ($choice->code === $code) {
                return $choice;
            }
        }

        return null;
    }
}
