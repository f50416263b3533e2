<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/** Derives the verdict from the ratings check, with the reason. */
final readonly class VerdictRule
{
    /** The fewest readings for a verdict. */
    private const FEWEST_READINGS = 3;

    public function __construct(private ChainAnswer $answer)
    {
    }

    /**
     * @param  list<PlateRow>  $rows
     * @param  list<TemperatureRow>  $temperatures
     * @return array{Verdict, list<Message>} findings worst first
     */
    public function decide(Measurements $measured, array $rows, array $temperatures): array
    {
        $over = static fn (bool $isAbout): array => array_map(self::overFinding(...), array_values(array_filter($rows, static fn (PlateRow $r): bool => $r->state === PlateState::Over && $r->isAboutLimit() === $isAbout)));
        $overs = [
            ...$over(false),
            ...self::hot($temperatures, TemperatureState::Over),
        ];
        $cautions = [
            ...$over(true),
            ...self::hot($temperatures, TemperatureState::Caution),
            ...self::unread($rows),
            ...$this->doubts($measured),
            ...$this->refused(),
        ];
        $isIndicative = self::isDecidedByEstimates($rows);
        $remarks = [
            ...self::estimates($rows, $isIndicative),
            ...self::remarks($measured, $rows),
        ];
        $lacking = $this->lacking($measured);
        $verdict = match (true) {
            $overs !== [] => Verdict::Failed,
            $lacking !== null => Verdict::Incomplete,
            $cautions !== [] => Verdict::Caution,
            $isIndicative => Verdict::PassedIndicative,
            default => Verdict::Passed,
        };
        $findings = [...$overs, ...($lacking === null ? [] : [$lacking]), ...$cautions, ...$remarks];
        if ($verdict === Verdict::Passed && $findings === []) {
            $findings[] = Message::of('finding.all_within');
        }

        return [$verdict, $findings];
    }

    private function lacking(Measurements $measured): ?Message
    {
        return match (true) {
            $measured->count->all === 0 => Message::of('finding.no_readings'),
            $measured->count->all < self::FEWEST_READINGS => Message::of('finding.few_readings', count: Amount::count($measured->count->all), needed: Amount::count(self::FEWEST_READINGS)),
            $measured->count->withAmps === 0 => Message::of('finding.no_amps'),
            ! $measured->flowed() => Message::of('finding.no_flow'),
            default => null,
        };
    }

    /**
     * Whether the value nearest to its limit is an estimated one. A reading that is equally near takes precedence.
     *
     * @param  list<PlateRow>  $rows
     */
    private static function isDecidedByEstimates(array $rows): bool
    {
        $estimated = $read = 0.0;
        foreach ($rows as $row) {
            if ($row->isEstimated()) {
                $estimated = max($estimated, $row->nearness());
            } else {
                $read = max($read, $row->nearness());
            }
        }

        return $estimated > $read;
    }

    /**
     * @param  list<PlateRow>  $rows
     * @return list<Message>
     */
    private static function estimates(array $rows, bool $isIndicative): array
    {
        return match (true) {
            $isIndicative => [Message::of('finding.indicative')],
            array_filter($rows, static fn (PlateRow $r): bool => $r->isEstimated()) !== [] => [Message::of('finding.estimated')],
            default => [],
        };
    }

    /**
     * @param  list<PlateRow>  $rows
     * @return list<Message>
     */
    private static function unread(array $rows): array
    {
        $findings = [];
        foreach ($rows as $row) {
            if ($row->boost->mayBeOverrun) {
                $findings[] = Message::of(
                    'finding.boost_unread',
                    link: $row->link->name,
                    continuous: Amount::amps($row->continuousLimit()),
                    minutes: Amount::minutes($row->boost->minutesPossible),
                    unread: Amount::minutes($row->boost->minutesUnread),
                    allowed: Amount::minutes($row->allowedMinutes()),
                );
            }
        }

        return $findings;
    }

    /**
     * @param  list<TemperatureRow>  $temperatures
     * @return list<Message>
     */
    private static function hot(array $temperatures, TemperatureState $state): array
    {
        $findings = [];
        foreach ($temperatures as $row) {
            if ($row->state === $state) {
                $findings[] = self::hotFinding($row);
            }
        }

        return $findings;
    }

    private static function hotFinding(TemperatureRow $row): Message
    {
        $named = ['point' => $row->point->message(), 'celsius' => Amount::celsius($row->maxC)];

        return match (true) {
            $row->isTooHotToHold => Message::of('finding.too_hot', ...$named),
            $row->state === TemperatureState::Over => Message::of('finding.rose', ...$named, rise: Amount::kelvin($row->riseK)),
            default => Message::of('finding.warm', ...$named),
        };
    }

    private static function overFinding(PlateRow $row): Message
    {
        $estimated = $row->isEstimated() ? 'yes' : 'no';
        if ($row->boost->isOverrun) {
            return Message::of(
                'finding.boost_overrun',
                link: $row->link->name,
                continuous: Amount::amps($row->continuousLimit()),
                minutes: Amount::minutes($row->boost->minutesOver),
                estimated: $estimated,
                allowed: Amount::minutes($row->allowedMinutes()),
            );
        }

        $said = ['link' => $row->link->name, 'peak' => $row->quantity->amount($row->peak?->value), 'estimated' => $estimated, 'limit' => $row->quantity->amount($row->limit())];

        return $row->isAboutLimit() ? Message::of('finding.over_about', ...$said) : Message::of('finding.over', ...$said);
    }

    /** @return list<Message> */
    private function doubts(Measurements $measured): array
    {
        $doubtful = array_filter($measured->peaks, static fn (PeakValue $p): bool => $p->isDoubtful);
        if ($doubtful === []) {
            return [];
        }
        $names = array_map(static fn (string $q): Message => Quantity::from($q)->message(), array_keys($doubtful));

        return [Message::of('finding.doubtful_peak', quantities: Listing::and($names))];
    }

    /** @return list<Message> */
    private function refused(): array
    {
        return $this->answer->outcome->mayFlow()
            ? []
            : [Message::of('finding.refused_chain', outcome: $this->answer->word(), why: $this->answer->why())];
    }

    /**
     * @param  list<PlateRow>  $rows
     * @return list<Message>
     */
    private static function remarks(Measurements $measured, array $rows): array
    {
        $remarks = [];
        foreach ($rows as $row) {
            if ($row->state === PlateState::Close) {
                $remarks[] = Message::of('finding.close', link: $row->link->name, quantity: $row->quantity->message(), share: Amount::ofHundred($row->utilisation()));
            }
        }
        foreach ($rows as $row) {
            if (($row->boost->thetaMax ?? 0.0) > 1.0) {
                $remarks[] = Message::of('finding.heat', link: $row->link->name, theta: Amount::ofHundred($row->boost->thetaMax));
            }
        }
        if ($measured->irregularities->gaps !== []) {
            $remarks[] = Message::of('finding.gaps', count: Amount::count(count($measured->irregularities->gaps) + $measured->irregularities->gapsLeftOut));
        }
        if ($measured->irregularities->flags !== []) {
            $remarks[] = Message::of('finding.flags', count: Amount::count(count($measured->irregularities->flags) + $measured->irregularities->flagsLeftOut));
        }

        return $remarks;
    }
}
