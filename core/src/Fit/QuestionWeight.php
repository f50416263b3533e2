<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Catalogue\CarAnswers;
use Harmozon\Core\Catalogue\CarQuestion;
use Harmozon\Core\Chain\AssumedFact;
use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Chain\UnreadFact;

/** How much a question about a new car matters: at how many kinds of charger its answer decides, and at how many it narrows the power. */
final readonly class QuestionWeight
{
    /** A pair without an answer counts more than one whose kW only have a wide range. */
    private const OPEN = 10;

    /**
     * @param  CarQuestion  $question  not answered yet
     * @param  int  $opens  kinds at which nobody can tell before it is answered
     * @param  int  $narrows  kinds whose power would be told more closely
     */
    private function __construct(public CarQuestion $question, public int $opens, public int $narrows)
    {
    }

    /**
     * @param  list<ChainAnswer>  $answers  at the kinds of charger
     * @return list<self> of the questions not answered yet, the one that would settle most first; none where none would
     */
    public static function of(CarAnswers $given, array $answers): array
    {
        $open = array_filter($given->asks(), static fn (CarQuestion $q): bool => ! $given->answers($q));
        $settles = array_filter(array_map(static fn (CarQuestion $q): self => self::counted($q, $answers), $open), static fn (self $n): bool => $n->weight() > 0);
        // Equals stay in the order in which they are asked.
        usort($settles, static fn (self $a, self $b): int => $b->weight() <=> $a->weight());

        return $settles;
    }

    /** @param  list<ChainAnswer>  $answers */
    private static function counted(CarQuestion $question, array $answers): self
    {
        $asked = static fn (Fact ...$facts): bool => in_array($question, array_map(self::question(...), $facts), true);
        $opens = $narrows = 0;
        foreach ($answers as $answer) {
            if ($answer->outcome === Outcome::Unverified && $asked(...array_map(static fn (UnreadFact $u): Fact => $u->asked, $answer->deciding()->missing ?? []))) {
                $opens++;
            } elseif ($asked(...array_map(static fn (AssumedFact $a): Fact => $a->fact, $answer->assumed()))) {
                $narrows++;
            }
        }

        return new self($question, $opens, $narrows);
    }

    private function weight(): int
    {
        return self::OPEN * $this->opens + $this->narrows;
    }

    private static function question(Fact $fact): ?CarQuestion
    {
        return match ($fact) {
            Fact::VehicleLanguages => CarQuestion::Language,
            Fact::PackV, Fact::InletA => CarQuestion::Pack,
            Fact::UsableKwh => CarQuestion::Energy,
            Fact::ChargeCurve, Fact::InletKw => CarQuestion::Peak,
            Fact::AcKw, Fact::AcA, Fact::AcPhases => CarQuestion::Onboard,
            default => null,
        };
    }
}
