<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

/** The answers about one adapter. */
final readonly class VettingAnswers
{
    /**
     * @param  array<value-of<VettingQuestion>, VettingAnswer>  $answers  a question that isn't among them was not answered
     */
    public function __construct(private array $answers = [], public SoldFor $soldFor = SoldFor::NotSaid)
    {
    }

    public function to(VettingQuestion $question): VettingAnswer
    {
        return $this->answers[$question->value] ?? VettingAnswer::NotSaid;
    }
}
