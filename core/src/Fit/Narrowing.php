<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Catalogue\CarAnswers;
use Harmozon\Core\Catalogue\CarQuestion;
use Harmozon\Core\Chain\Assumed;
use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Chain\Unread;

/** Which question about a new car would open most of what its answers leave open. */
final class Narrowing
{
    /** A pair that cannot be told at all counts for more than one whose kW are only wide. */
    private const OPEN = 10;

    /**
     * @param  list<ChainAnswer>  $answers  at the kinds of charger
     * @return list<CarQuestion> of those not answered yet, the one that would open most first; none where none would
     */
    public static function first(CarAnswers $given, array $answers): array
    {
        $weights = [];
        foreach ($answers as $answer) {
            foreach (array_map(static fn (Unread $u): ?CarQuestion => self::question($u->asked), $answer->deciding()->missing ?? []) as $question) {
                $weights = self::add($weights, $question, self::OPEN);
            }
            foreach (array_map(static fn (Assumed $a): ?CarQuestion => self::question($a->fact), $answer->assumed()) as $question) {
                $weights = self::add($weights, $question, 1);
            }
        }
        $open = array_values(array_filter($given->asks(), static fn (CarQuestion $q): bool => ! $given->answers($q) && ($weights[$q->value] ?? 0) > 0));
        // Equals stay in the order in which they are asked.
        usort($open, static fn (CarQuestion $a, CarQuestion $b): int => $weights[$b->value] <=> $weights[$a->value]);

        return $open;
    }

    /**
     * @param  array<string, int>  $weights
     * @return array<string, int>
     */
    private static function add(array $weights, ?CarQuestion $question, int $weight): array
    {
        return $question === null ? $weights : [...$weights, $question->value => ($weights[$question->value] ?? 0) + $weight];
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
