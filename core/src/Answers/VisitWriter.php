<?php

declare(strict_types=1);

namespace Harmozon\Core\Answers;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Forecast\Forecast;
use Harmozon\Core\Forecast\Step;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Plausibility;
use Harmozon\Core\Record\TemperatureRow;
use Harmozon\Core\Review\ExpectedReadings;
use Harmozon\Core\Review\PowerMatch;
use Harmozon\Core\Review\Reminders;
use Harmozon\Core\Steps\StepList;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;

/**
 * Writes everything a visit needs, for use where there is no network: the steps, what to expect at every charge, and
 * the limits of a plausible entry.
 */
final readonly class VisitWriter
{
    public function __construct(private StepsWriter $steps, private Voice $voice)
    {
    }

    /** @return array<string, mixed> */
    public function visit(StepList $list, Forecast $forecast, Conditions $conditions): array
    {
        $expected = ExpectedReadings::of($forecast);

        return [
            ...$this->steps->steps($list),
            'expected' => [
                'points' => array_map(fn (Step $p): array => $this->point($p, $expected), $expected->points),
                'words' => array_combine(
                    array_map(static fn (PowerMatch $n): string => $n->value, PowerMatch::cases()),
                    array_map(fn (PowerMatch $n): string => $this->voice->say($n->message()), PowerMatch::cases()),
                ),
            ],
            'reminders' => array_map(fn (int $atS, Message $words): array => ['at_s' => $atS, 'words' => $this->voice->say($words)], array_keys(Reminders::of($forecast)), Reminders::of($forecast)),
            'idle_grace_minutes' => $list->answer->chain->outlet->site->tariff?->idleFeeAfterMinutes(),
            'entries' => $this->entries($list->answer->chain, Judge::possibleKw($list->answer, $conditions), Judge::possibleA($list->answer, $conditions)),
        ];
    }

    /** @return array<string, mixed> */
    private function point(Step $point, ExpectedReadings $expected): array
    {
        $marks = $expected->marks($point);

        return [
            't_s' => round($point->tS, 1),
            'soc' => round($point->soc, 2),
            'v' => round($point->flow->volts, 1),
            'a' => round($point->flow->amps, 1),
            'kw' => round($point->flow->kw, 2),
            'leave_below_kw' => FitWriter::rounded($marks['leaveBelowKw']),
            'near_from_kw' => round($marks['nearFromKw'], 2),
            'near_to_kw' => round($marks['nearToKw'], 2),
            'binding' => $this->voice->say($point->binding->message()),
        ];
    }

    /** @return array<string, mixed> what an entry can hardly be; null where nobody knows */
    private function entries(Chain $chain, ?float $possibleKw, ?float $possibleA): array
    {
        return [
            'phases' => $chain->phases(),
            'most_kw' => $possibleKw === null ? null : round(Plausibility::POSSIBLE_FACTOR * $possibleKw, 1),
            'most_a' => $possibleA === null ? null : round(Plausibility::POSSIBLE_FACTOR * $possibleA, 1),
            'ask_from_c' => TemperatureRow::OVER_C,
        ];
    }
}
