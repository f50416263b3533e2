<?php

declare(strict_types=1);

namespace Harmozon\Core\Answers;

use Harmozon\Core\Catalogue\Region;
use Harmozon\Core\Chain\Cabin;
use Harmozon\Core\Chain\Distance;
use Harmozon\Core\Chain\UsualNeed;
use Harmozon\Core\Equipment\AccessKind;
use Harmozon\Core\Equipment\AttachOrder;
use Harmozon\Core\Equipment\Bay;
use Harmozon\Core\Equipment\Certification;
use Harmozon\Core\Equipment\CouplerFamily;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\Origin;
use Harmozon\Core\Equipment\PortCorner;
use Harmozon\Core\Equipment\SetUpState;
use Harmozon\Core\Equipment\SetUpStep;
use Harmozon\Core\Equipment\SharingPolicy;
use Harmozon\Core\Equipment\Signalling;
use Harmozon\Core\Equipment\SocketKind;
use Harmozon\Core\Fit\AdapterPolicy;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\Outcome;
use Harmozon\Core\Fit\Result;
use Harmozon\Core\Json\Range;
use Harmozon\Core\Kit\VettingVerdict;
use Harmozon\Core\Ocpi\EvseStatus;
use Harmozon\Core\Power\LinkKind;
use Harmozon\Core\Record\EventCode;
use Harmozon\Core\Record\PlateState;
use Harmozon\Core\Record\Point;
use Harmozon\Core\Record\Provenance;
use Harmozon\Core\Record\TemperatureState;
use Harmozon\Core\Record\Verdict;
use Harmozon\Core\Review\Cause;
use Harmozon\Core\Review\Confidence;
use Harmozon\Core\Review\Difference;
use Harmozon\Core\Review\Trust\Warming;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;
use Harmozon\Core\Words\Voice;

/** Writes the names of every closed set, so that the page needn't know them. */
final readonly class TermsWriter
{
    /** @var array<string, class-string<Term>> */
    private const SETS = [
        'access' => AccessKind::class,
        'attach_order' => AttachOrder::class,
        'bay' => Bay::class,
        'cabin' => Cabin::class,
        'cause' => Cause::class,
        'certification' => Certification::class,
        'confidence' => Confidence::class,
        'current' => CurrentKind::class,
        'difference' => Difference::class,
        'event' => EventCode::class,
        'evse_status' => EvseStatus::class,
        'gate' => GateName::class,
        'link_kind' => LinkKind::class,
        'outcome' => Outcome::class,
        'plate_state' => PlateState::class,
        'point' => Point::class,
        'policy' => AdapterPolicy::class,
        'port' => PortCorner::class,
        'origin' => Origin::class,
        'provenance' => Provenance::class,
        'region' => Region::class,
        'result' => Result::class,
        'sharing' => SharingPolicy::class,
        'set_up_state' => SetUpState::class,
        'set_up_step' => SetUpStep::class,
        'signalling' => Signalling::class,
        'temperature_state' => TemperatureState::class,
        'verdict' => Verdict::class,
        'vetting_verdict' => VettingVerdict::class,
        'warming' => Warming::class,
    ];

    public function __construct(private Voice $voice)
    {
    }

    /** @return array<string, mixed> */
    public function terms(): array
    {
        $coupler = fn (CouplerFamily|SocketKind $t): array => ['id' => $t instanceof SocketKind ? $t->coupler()->id : $t->value, ...$this->words($t), 'name' => $this->voice->begin($t->name())];

        return [
            'sets' => array_map(fn (string $set): array => array_map($this->term(...), $set::cases()), self::SETS),
            'outcome_short' => ['refused_by_policy' => $this->voice->say(Message::of('outcome_short.refused_by_policy'))] + array_filter(array_combine(
                array_map(static fn (Outcome $o): string => $o->value, Outcome::cases()),
                array_map(fn (Outcome $o): ?string => $o->short() === null ? null : $this->voice->say($o->short()), Outcome::cases()),
            ), static fn (?string $short): bool => $short !== null),
            'couplers' => array_map($coupler, array_values(array_filter(CouplerFamily::cases(), static fn (CouplerFamily $f): bool => $f !== CouplerFamily::Socket && ! $f->isHistoric()))),
            'sockets' => array_map($coupler, SocketKind::cases()),
            // What a workshop may add to a car.
            'retrofits' => array_map($this->term(...), array_values(array_filter(Signalling::cases(), static fn (Signalling $s): bool => $s->current() === CurrentKind::Dc))),
            'need' => self::need(),
            'reading_ranges' => self::readingRanges(),
        ];
    }

    /** @return array{id: int|string, words: string, title: string} */
    private function term(Term $term): array
    {
        return ['id' => $term->value, ...$this->words($term)];
    }

    /** @return array{words: string, title: string} */
    private function words(Term $term): array
    {
        return ['words' => $this->voice->say($term->message()), 'title' => $this->voice->begin($term->message())];
    }

    /** @return array<string, array{float, float}> beyond these no reading is accepted */
    private static function readingRanges(): array
    {
        return array_map(static fn (Range $r): array => [$r->least, $r->most], [
            'soc_pct' => Range::soc(), 'volts' => Range::readVolts(), 'amps' => Range::readAmps(), 'kw' => Range::readKw(), 'celsius' => Range::readCelsius(),
        ]);
    }

    /** @return array<string, mixed> the usual conditions, and where each of the others begins when it is switched on */
    private static function need(): array
    {
        $usual = UsualNeed::conditions();

        return [
            'soc_from' => $usual->charge->socFrom,
            'soc_to' => $usual->charge->socTo,
            'ambient_c' => $usual->ambientC,
            'pack_prepared' => $usual->pack->prepared,
            'pack_c' => $usual->pack->packC,
            'ageing' => $usual->earlierUse->ratingLeft,
            'rested_minutes' => $usual->earlierUse->restedMinutes,
            'idle_minutes' => $usual->visit->idleMinutes,
            'member' => $usual->visit->member,
            'begins' => [
                'neighbour_at_minute' => UsualNeed::NEIGHBOUR_AT_MINUTE,
                'neighbour_leaves_at_minute' => UsualNeed::NEIGHBOUR_LEAVES_AT_MINUTE,
                'derated_kw' => UsualNeed::DERATED_KW,
                'prepared_minutes' => UsualNeed::PREPARED_MINUTES,
                'km' => UsualNeed::KM,
                'reserve_soc' => Distance::USUAL_RESERVE,
                'next_stop_kw' => UsualNeed::NEXT_STOP_KW,
                'cabin_kw' => UsualNeed::CABIN_KW,
            ],
        ];
    }
}
