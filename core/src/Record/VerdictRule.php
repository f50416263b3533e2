<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Words\Amount;

/** Turns a plate check into a verdict, and tells what decided it. */
final readonly class VerdictRule
{
    /** With fewer readings nothing can be said. */
    private const FEWEST_READINGS = 3;

    public function __construct(private ChainAnswer $answer)
    {
    }

    /**
     * @param  list<PlateRow>  $rows
     * @param  list<TemperatureRow>  $temperatures
     * @return array{Verdict, list<string>} findings worst first
     */
    public function decide(Measured $measured, array $rows, array $temperatures): array
    {
        $overs = [
            ...array_map(self::overWords(...), array_values(array_filter($rows, static fn (PlateRow $r): bool => $r->state === PlateState::Over))),
            ...self::hot($temperatures, TemperatureState::Over, '%s reached %s: too hot to hold. The contact inside is hotter than its surface.'),
        ];
        $cautions = [
            ...self::hot($temperatures, TemperatureState::Caution, '%s reached %s: watch it. The contact inside is hotter than its surface.'),
            ...$this->doubts($measured),
            ...$this->refused(),
        ];
        $estimated = array_filter($rows, static fn (PlateRow $r): bool => $r->peak?->provenance === Provenance::Estimated);
        $remarks = [
            ...($estimated === [] ? [] : ['Some values are estimated from the pack\'s voltage curve: the verdict is indicative.']),
            ...self::remarks($measured, $rows),
        ];
        $lacking = $this->lacking($measured);
        $verdict = match (true) {
            $overs !== [] => Verdict::Failed,
            $lacking !== null => Verdict::Incomplete,
            $cautions !== [] => Verdict::Caution,
            $estimated !== [] => Verdict::PassedIndicative,
            default => Verdict::Passed,
        };
        $findings = [...$overs, ...($lacking === null ? [] : [$lacking]), ...$cautions, ...$remarks];
        if ($verdict === Verdict::Passed && $findings === []) {
            $findings[] = 'Every value that was read stayed below 90 % of its plate.';
        }

        return [$verdict, $findings];
    }

    private function lacking(Measured $measured): ?string
    {
        return match (true) {
            $measured->readings === 0 => 'No readings yet.',
            $measured->readings < self::FEWEST_READINGS => sprintf('Only %d of the %d readings a verdict needs.', $measured->readings, self::FEWEST_READINGS),
            $measured->readingsWithAmps === 0 => 'Amps were neither read nor do they follow from the rest: read two of V, A and kW, or kW with the state of charge.',
            ! $measured->flowed() => 'No current flowed: the session says nothing about the plates.',
            default => null,
        };
    }

    /**
     * @param  list<TemperatureRow>  $temperatures
     * @return list<string>
     */
    private static function hot(array $temperatures, TemperatureState $state, string $sentence): array
    {
        $words = [];
        foreach ($temperatures as $row) {
            if ($row->state === $state) {
                $words[] = sprintf($sentence, ucfirst($row->point->value), Amount::celsius($row->maxC));
            }
        }

        return $words;
    }

    private static function overWords(PlateRow $row): string
    {
        $indicative = $row->peak?->provenance === Provenance::Estimated ? ' (estimated)' : '';
        if ($row->isBoostOverrun) {
            return sprintf(
                '%s carried more than its continuous %s for %s%s; its plate allows %s.',
                ucfirst($row->link->name), Amount::amps($row->continuousLimit() ?? 0.0), Amount::minutes($row->minutesOverContinuous ?? 0.0), $indicative, Amount::minutes($row->allowedMinutes() ?? 0.0),
            );
        }
        $amount = match ($row->quantity) {
            Quantity::Volts => Amount::volts(...),
            Quantity::Amps => Amount::amps(...),
            Quantity::Kw => Amount::kw(...),
        };

        return sprintf('%s saw %s%s, over its limit of %s.', ucfirst($row->link->name), $amount($row->peak->value ?? 0.0), $indicative, $amount($row->limit() ?? 0.0));
    }

    /** @return list<string> */
    private function doubts(Measured $measured): array
    {
        $doubtful = array_filter($measured->peaks, static fn (PeakValue $p): bool => $p->isDoubtful);
        if ($doubtful === []) {
            return [];
        }
        $names = array_map(static fn (string $q): string => Quantity::from($q)->words(), array_keys($doubtful));

        return [sprintf('The peak of %s rests on a reading that looks wrong: see the flags.', implode(' and ', $names))];
    }

    /** @return list<string> */
    private function refused(): array
    {
        return $this->answer->outcome->mayFlow()
            ? []
            : [sprintf('This chain is one to leave alone (%s): %s', lcfirst($this->answer->outcome->words()), $this->answer->why())];
    }

    /**
     * @param  list<PlateRow>  $rows
     * @return list<string>
     */
    private static function remarks(Measured $measured, array $rows): array
    {
        $remarks = [];
        foreach ($rows as $row) {
            if ($row->state === PlateState::Close) {
                $remarks[] = sprintf('%s came close to its %s: %s %% of the limit.', ucfirst($row->link->name), $row->quantity->words(), round(100 * ($row->utilisation() ?? 0.0)));
            }
        }
        foreach ($rows as $row) {
            if (($row->thetaMax ?? 0.0) > 1.0) {
                $remarks[] = sprintf('The heat figure of %s reached %.2f of the allowed rise.', $row->link->name, $row->thetaMax ?? 0.0);
            }
        }
        if ($measured->gaps !== []) {
            $remarks[] = sprintf('%d %s without readings: means are not taken across them.', count($measured->gaps), count($measured->gaps) === 1 ? 'stretch' : 'stretches');
        }
        if ($measured->flags !== []) {
            $count = count($measured->flags) + $measured->flagsLeftOut;
            $remarks[] = sprintf('%d %s flagged as doubtful and kept.', $count, $count === 1 ? 'thing was' : 'things were');
        }

        return $remarks;
    }
}
