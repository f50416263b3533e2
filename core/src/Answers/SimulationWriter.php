<?php

declare(strict_types=1);

namespace Harmozon\Core\Answers;

use Harmozon\Core\Bench\CannotActOut;
use Harmozon\Core\Bench\Fault;
use Harmozon\Core\Bench\Frames;
use Harmozon\Core\Bench\InjectedFault;
use Harmozon\Core\Bench\Instant;
use Harmozon\Core\Bench\PhaseSpan;
use Harmozon\Core\Bench\Remedy;
use Harmozon\Core\Bench\SimulatedSession;
use Harmozon\Core\Bench\Simulation;
use Harmozon\Core\Bench\Witness;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Words\Voice;

/**
 * Writes a simulated session with the field names of the contract.
 *
 * @phpstan-type FaultFields array{code: string, name: string, phase: string, site: string, minute: float|null, car: string, station: string, ear: string, remedies: list<string>, remedy_codes: list<string>, wrong: list<array{code: string, do: string, why_not: string}>}
 */
final readonly class SimulationWriter
{
    public function __construct(private Voice $voice)
    {
    }

    /**
     * With everything that the bench draws.
     *
     * @param  bool  $isRead  with the readings of its instruments
     * @return array<string, mixed>
     */
    public function whole(ChainAnswer $answer, Simulation $simulation, SimulatedSession $session, int $seed, bool $isRead): array
    {
        return [
            ...$this->session($session, $seed, $answer->chain->current, $simulation->fault()),
            'links' => (new FitWriter($this->voice))->chain($answer)['links'],
            'faults' => $this->faults($simulation->possibleFaults()),
            'taken' => $isRead ? array_map($this->reading(...), $session->readings) : null,
            'frames' => $this->frames(Frames::of($simulation)),
        ];
    }

    /** @return array<string, mixed> */
    public function session(SimulatedSession $session, int $seed, CurrentKind $current, ?InjectedFault $fault): array
    {
        return [
            'seed' => $seed,
            'current' => $current->value,
            'outcome' => $session->outcome->value,
            'outcome_words' => $this->voice->begin($session->outcome->message()),
            'phases' => array_map(fn (PhaseSpan $s): array => $this->phase($s, $current, $fault?->fault), $session->phases),
            'events' => array_map(static fn (Event $e): array => ['t_s' => $e->tMs / 1000, 'code' => $e->code->value, 'detail' => $e->detail], $session->events),
            'fault' => $fault === null ? null : $this->fault($fault),
            'readings' => count($session->readings),
            'minutes' => round($session->minutes, 3),
            'plug_kwh' => round($session->plugKwh, 3),
            'station_kwh' => round($session->stationKwh, 3),
            'soc_end' => round($session->endSoc, 2),
        ];
    }

    /**
     * @param  array<string, CannotActOut|null>  $possible
     * @return list<array{code: string, name: string, phase: string, while_charging: bool, why_not: string|null}>
     */
    public function faults(array $possible): array
    {
        return array_map(fn (Fault $f): array => [
            'code' => $f->value, 'name' => $this->voice->begin($f->message()), 'phase' => $f->phase()->value, 'while_charging' => $f->happensWhileCharging(),
            'why_not' => ($why = $possible[$f->value] ?? null) === null ? null : $this->voice->begin($why->problem),
        ], Fault::cases());
    }

    /** @return array<string, mixed> as a logger would send it, without an id */
    public function reading(Reading $reading): array
    {
        return ['t_s' => $reading->tS(), ...array_combine(Reading::quantities(), $reading->values()), 'source' => $reading->source];
    }

    /**
     * @param  list<Instant>  $frames
     * @return list<array<string, mixed>>
     */
    public function frames(array $frames): array
    {
        return array_map(fn (Instant $i): array => [
            't_s' => round($i->tS, 1),
            'phase' => $i->phase->value,
            'soc' => round($i->soc, 2),
            'station_v' => round($i->output->stationV, 1),
            'plug_v' => round($i->output->plugV, 1),
            'amps' => round($i->output->amps, 1),
            'kw' => round($i->output->kw, 2),
            'theta' => (object) array_map(static fn (float $t): float => round($t, 3), $i->theta),
            'binding' => $i->output->binding?->value,
            'limited_by' => $i->output->binding === null ? null : $this->voice->say($i->output->binding->message()),
            'link' => $i->output->linkId,
        ], $frames);
    }

    /** @return FaultFields */
    public function fault(InjectedFault $injected): array
    {
        $fault = $injected->fault;

        return [
            'code' => $fault->value,
            'name' => $this->voice->begin($fault->message()),
            'phase' => $fault->phase()->value,
            'site' => $fault->site()->value,
            'minute' => FitWriter::rounded($injected->minute, 3),
            'car' => $this->voice->say($fault->sign(Witness::Car)),
            'station' => $this->voice->say($fault->sign(Witness::Station)),
            'ear' => $this->voice->say($fault->sign(Witness::Ear)),
            'remedies' => array_map(fn (Remedy $r): string => $this->voice->say($r->message()), $fault->remedies()),
            'remedy_codes' => array_map(static fn (Remedy $r): string => $r->value, $fault->remedies()),
            'wrong' => array_map(fn (Remedy $r): array => ['code' => $r->value, 'do' => $this->voice->say($r->message()), 'why_not' => $this->voice->say($fault->whyNot($r))], $fault->wrong()),
        ];
    }

    /** @return array{phase: string, name: string, from_s: float, to_s: float, car: string, station: string, ear: string, failing: bool} */
    private function phase(PhaseSpan $span, CurrentKind $current, ?Fault $fault): array
    {
        // What happens while charging has a beginning of its own: until then the phase is as usual.
        $isWhole = $span->isFailing && $fault !== null && ! $fault->happensWhileCharging();
        $says = fn (Witness $w): string => $this->voice->say($isWhole ? $fault->sign($w) : $span->phase->sign($w, $current));

        return [
            'phase' => $span->phase->value,
            'name' => $this->voice->begin($span->phase->message()),
            'from_s' => round($span->fromS, 1),
            'to_s' => round($span->toS, 1),
            'car' => $says(Witness::Car),
            'station' => $says(Witness::Station),
            'ear' => $says(Witness::Ear),
            'failing' => $span->isFailing,
        ];
    }
}
