<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Cable;
use Harmozon\Core\Equipment\Quantity;
use Harmozon\Core\Record\Moment;
use Harmozon\Core\Record\Point;
use Harmozon\Core\Record\Provenance;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** Finds what else was different between two sessions, apart from the piece in question. */
final class Confounders
{
    /** Starts further apart than this (percent), or ambients (K). */
    private const SOC_PERCENT = 5.0;

    private const AMBIENT_K = 5.0;

    /** @return list<Confounder> */
    public static function between(RecordedSession $with, RecordedSession $without): array
    {
        return array_values(array_filter([
            self::start($with, $without),
            self::ambient($with, $without),
            self::station($with, $without),
            self::stall($with, $without),
            self::preparation($with->conditions, $without->conditions),
            self::cable($with, $without),
            self::estimated($with, $without),
        ], static fn (?Confounder $c): bool => $c !== null));
    }

    private static function start(RecordedSession $with, RecordedSession $without): ?Confounder
    {
        [$a, $b] = [$with->diagnosis->reference->conditions->charge->socFrom, $without->diagnosis->reference->conditions->charge->socFrom];

        return abs($a - $b) <= self::SOC_PERCENT ? null : new Confounder('start_soc', Message::of('confounder.start_soc'), Message::of('confounds.start_soc', with: Amount::percent($a), without: Amount::percent($b)));
    }

    private static function ambient(RecordedSession $with, RecordedSession $without): ?Confounder
    {
        [$a, $b] = [self::meanAmbientC($with), self::meanAmbientC($without)];

        return $a === null || $b === null || abs($a - $b) <= self::AMBIENT_K
            ? null
            : new Confounder('ambient', Message::of('confounder.ambient'), Message::of('confounds.ambient', with: Amount::celsius($a), without: Amount::celsius($b), difference: Amount::kelvin(abs($a - $b)), colder: $a < $b ? 'yes' : 'no'));
    }

    /** The reading if there is one, else the conditions' value. */
    private static function meanAmbientC(RecordedSession $session): ?float
    {
        $read = array_values(array_filter(array_map(static fn (Moment $m): ?float => $m->celsius[Point::Ambient->value] ?? null, $session->judgement->measured->course->moments()), static fn (?float $c): bool => $c !== null));

        return $read === [] ? $session->conditions->ambientC : array_sum($read) / count($read);
    }

    private static function station(RecordedSession $with, RecordedSession $without): ?Confounder
    {
        [$a, $b] = [$with->answer->chain->outlet, $without->answer->chain->outlet];

        return $a->id === $b->id ? null : new Confounder('station', Message::of('confounder.station'), Message::of('confounds.station', with: $a->name, without: $b->name));
    }

    private static function stall(RecordedSession $with, RecordedSession $without): ?Confounder
    {
        $isOther = $with->answer->chain->outlet->id === $without->answer->chain->outlet->id && $with->stall !== null && $without->stall !== null && $with->stall !== $without->stall;

        return $isOther ? new Confounder('stall', Message::of('confounder.stall'), Message::of('confounds.stall', with: $with->stall, without: $without->stall)) : null;
    }

    private static function preparation(Conditions $with, Conditions $without): ?Confounder
    {
        $isKnown = $with->pack->isPreparationSaid && $without->pack->isPreparationSaid;

        return match (true) {
            ! $isKnown => new Confounder('preparation', Message::of('confounder.preparation_unknown'), Message::of('confounds.preparation_unknown')),
            $with->pack->prepared !== $without->pack->prepared || $with->pack->preparedMinutes !== $without->pack->preparedMinutes => new Confounder('preparation', Message::of('confounder.preparation'), Message::of('confounds.preparation')),
            default => null,
        };
    }

    private static function cable(RecordedSession $with, RecordedSession $without): ?Confounder
    {
        [$a, $b] = [$with->answer->chain->outlet->fittings->cable, $without->answer->chain->outlet->fittings->cable];
        $plate = static fn (?Cable $c): array => [$c?->cooled, $c?->plate->continuousA, $c?->plate->boostA, $c?->plate->boostMinutes];

        return $plate($a) === $plate($b) ? null : new Confounder('cable', Message::of('confounder.cable'), Message::of(
            'confounds.cable', with: self::cableWords($a), without: self::cableWords($b),
        ));
    }

    private static function cableWords(?Cable $cable): Message
    {
        $amps = Amount::amps($cable?->plate->continuousA);

        return match ($cable?->cooled) {
            true => Message::of('confounds_cable.cooled', amps: $amps),
            false => Message::of('confounds_cable.uncooled', amps: $amps),
            null => Message::of('confounds_cable.unread', amps: $amps),
        };
    }

    private static function estimated(RecordedSession $with, RecordedSession $without): ?Confounder
    {
        $isEstimated = static fn (RecordedSession $s): bool => $s->judgement->measured->peak(Quantity::Kw)?->provenance === Provenance::Estimated || $s->judgement->measured->energy->socGained() === null;

        return $isEstimated($with) || $isEstimated($without) ? new Confounder('estimated', Message::of('confounder.estimated'), Message::of('confounds.estimated')) : null;
    }
}
