<?php

declare(strict_types=1);

namespace Harmozon\Core\Case;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Equipment\Access;
use Harmozon\Core\Equipment\AccessKind;
use Harmozon\Core\Equipment\AcSide;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\AdapterConversion;
use Harmozon\Core\Equipment\AdapterHandling;
use Harmozon\Core\Equipment\AdapterKeeping;
use Harmozon\Core\Equipment\AdapterRating;
use Harmozon\Core\Equipment\AdapterTrust;
use Harmozon\Core\Equipment\AttachOrder;
use Harmozon\Core\Equipment\Bay;
use Harmozon\Core\Equipment\BoostConverter;
use Harmozon\Core\Equipment\Cabinet;
use Harmozon\Core\Equipment\Cable;
use Harmozon\Core\Equipment\Certification;
use Harmozon\Core\Equipment\Coupler;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\DcSide;
use Harmozon\Core\Equipment\Firmware;
use Harmozon\Core\Equipment\Inlet;
use Harmozon\Core\Equipment\Membership;
use Harmozon\Core\Equipment\MinuteBand;
use Harmozon\Core\Equipment\NetworkSetUp;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\OutletFeed;
use Harmozon\Core\Equipment\OutletFittings;
use Harmozon\Core\Equipment\OutletGroup;
use Harmozon\Core\Equipment\OutletRating;
use Harmozon\Core\Equipment\OutletSite;
use Harmozon\Core\Equipment\Pack;
use Harmozon\Core\Equipment\Plate;
use Harmozon\Core\Equipment\PortCorner;
use Harmozon\Core\Equipment\Retrofit;
use Harmozon\Core\Equipment\SetUpState;
use Harmozon\Core\Equipment\SetUpStep;
use Harmozon\Core\Equipment\SharingPolicy;
use Harmozon\Core\Equipment\Signalling;
use Harmozon\Core\Equipment\Stall;
use Harmozon\Core\Equipment\Supply;
use Harmozon\Core\Equipment\Tariff;
use Harmozon\Core\Equipment\Translation;
use Harmozon\Core\Equipment\UnknownCoupler;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Json\Range;
use Harmozon\Core\Power\Limits;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Unit;

/** Reads vehicles, adapters and outlets in the words of the case file. Every method throws FieldError with a path. */
final class EquipmentReader
{
    /** Ids of links that have no record of their own. */
    private const MEANINGFUL_IDS = [Chain::CABLE, Limits::PACK, Limits::CONVERTER];

    private const LONGEST_FAULT = 200;

    private const LONGEST_FIRMWARE = 60;

    private const LONGEST_KEEPING = 80;

    private const LONGEST_CERTIFICATE = 60;

    private const LONGEST_HELP_LINE = 60;

    private const LONGEST_ADDRESS = 200;

    private const LONGEST_CLASS = 20;

    private const LONGEST_NETWORK = 120;

    /** The longest EVSE id (OCPI 2.2.1), which many stalls have as their label. */
    private const LONGEST_ID = 48;

    private const MOST_STALLS = 2000;

    public function __construct(private readonly OriginsReader $origins = new OriginsReader)
    {
    }

    public function vehicle(Node $node): Vehicle
    {
        $origins = $this->origins->of($node);
        $node = $node->withUnread(OriginsReader::unread($origins));
        $inlets = array_map($this->inlet(...), $node->objects('inlets'));
        if ($inlets === []) {
            throw $node->fail('inlets', Message::of('field.no_inlets'));
        }
        $pack = $node->objectOrNull('pack');

        return ByConstruction::vehicle(new Vehicle(
            $node->text('id'),
            $node->textOrNull('name') ?? $node->text('id'),
            self::pack($pack),
            $node->curve('charge_curve_kw', Range::curveKw()),
            $node->number('km_per_kwh', Range::kmPerKwh()),
            $inlets,
            $node->texts('programmes'),
            $origins,
        ));
    }

    /** The name of the class is kept because the person entered it; the curve holds what follows from it. */
    private static function pack(?Node $node): Pack
    {
        $node?->textOrNull('class', self::LONGEST_CLASS);

        return new Pack($node?->number('usable_kwh', Range::kwh()), $node?->curve('voltage_by_soc', Range::volts()), $node?->number('heater_kw', Range::heaterKw()), $node?->number('nominal_v', Range::volts()));
    }

    public function adapter(Node $node): Adapter
    {
        $node = $node->withUnread(OriginsReader::unread($this->origins->of($node)));
        $translates = $node->objectOrNull('translates');
        $id = $node->text('id');
        if (in_array($id, self::MEANINGFUL_IDS, true)) {
            throw $node->fail('id', Message::of('field.id_means_something', id: $id));
        }
        $answers = $node->objectOrNull('vetting');
        if ($answers !== null) {
            // Kept with the piece because a person gave them; no gate asks for them.
            VettingReader::answers($answers);
        }

        return new Adapter(
            id: $id,
            name: $node->textOrNull('name') ?? $id,
            input: $this->coupler($node, 'input'),
            output: $this->coupler($node, 'output'),
            passes: new AdapterConversion($node->choice('current', CurrentKind::class), $translates === null ? null : self::translation($translates)),
            rating: new AdapterRating(
                plate: $this->plate($node->objectOrNull('plate') ?? Node::of([], $node->at('plate'))),
                derateC: $node->number('derate_c', Range::celsius()),
                cutoffC: $node->number('cutoff_c', Range::celsius()),
                holdsBack: $node->boolOrNull('holds_back'),
            ),
            trust: new AdapterTrust(
                certification: $node->choice('certification', Certification::class),
                makerApproved: $node->boolOrNull('maker_approved'),
                recalled: $node->boolOrNull('recalled'),
                damaged: $node->boolOrNull('damaged'),
                testOverdue: $node->boolOrNull('test_overdue'),
                certificateNumber: $node->textOrNull('certificate_number', self::LONGEST_CERTIFICATE),
            ),
            handling: new AdapterHandling(
                batteryOk: $node->boolOrNull('battery_ok'),
                attachOrder: $node->choice('attach_order', AttachOrder::class),
                price: $node->money('price'),
                massG: $node->number('mass_g', Range::grams()),
                theftLock: $node->boolOrNull('theft_lock'),
                firmware: new Firmware($node->textOrNull('firmware', self::LONGEST_FIRMWARE), $node->dayOrNull('firmware_on')),
                keeping: new AdapterKeeping(
                    keptIn: $node->textOrNull('kept_in', self::LONGEST_KEEPING),
                    lentTo: $node->textOrNull('lent_to', self::LONGEST_KEEPING),
                    purchasedOn: $node->dayOrNull('purchased_on'),
                    chargedOn: $node->dayOrNull('charged_on'),
                ),
            ),
        );
    }

    private static function translation(Node $node): Translation
    {
        return new Translation(
            $node->choices('from', Signalling::class) ?? throw $node->fail('from', Message::of('field.required')),
            $node->choices('to', Signalling::class) ?? throw $node->fail('to', Message::of('field.required')),
        );
    }

    public function outlet(Node $node): Outlet
    {
        $origins = $this->origins->of($node);
        $node = $node->withUnread(OriginsReader::unread($origins));
        $rating = self::outletRating($node);
        $access = $node->objectOrNull('access');
        $tariff = $node->objectOrNull('tariff');

        return ByConstruction::outlet(new Outlet(
            id: $node->text('id'),
            name: $node->textOrNull('name') ?? $node->text('id'),
            coupler: $this->coupler($node, 'coupler'),
            rating: $rating,
            fittings: $this->fittings($node),
            feed: self::feed($node),
            site: new OutletSite(
                access: new Access($access?->choice('kind', AccessKind::class), $access?->texts('makes'), $access?->textOrNull('network', self::LONGEST_NETWORK)),
                tariff: $tariff === null ? null : $this->tariff($tariff),
                knownFault: $node->textOrNull('known_fault', self::LONGEST_FAULT),
                stalls: array_map(self::stall(...), $node->objectsOrNone('stalls', self::MOST_STALLS)),
                address: $node->textOrNull('address', self::LONGEST_ADDRESS),
            ),
            origins: $origins,
        ));
    }

    /** An outlet as entered now. Stricter than for older plates: a cable without coolant never carries more than with it. */
    public function entered(Node $node): Outlet
    {
        $outlet = $this->outlet($node);
        if ($outlet->fittings->cable?->isDryAbove() === true) {
            throw $node->object('cable')->fail('dry_a', Message::of('field.dry_above', cooled: Amount::amps($outlet->fittings->cable->plate->continuousA)));
        }

        return $outlet;
    }

    private static function outletRating(Node $node): OutletRating
    {
        $current = $node->choice('current', CurrentKind::class) ?? throw $node->fail('current', Message::of('field.required'));
        [$minV, $maxV] = self::window($node);

        return new OutletRating(
            current: $current,
            signalling: $node->choices('signalling', Signalling::class),
            minV: $minV,
            maxV: $maxV,
            maxA: $node->number('max_a', Range::amps()),
            maxKw: $node->number('max_kw', Range::kw()),
            stickerKw: $node->number('sticker_kw', Range::kw()),
        );
    }

    private function fittings(Node $node): OutletFittings
    {
        $cable = $node->objectOrNull('cable');
        $attached = $node->objectOrNull('attached_adapter');

        return new OutletFittings(
            cable: $cable === null ? null : $this->cable($cable),
            attachedAdapter: $attached === null ? null : $this->adapter($attached),
            extension: $node->boolOrNull('extension') ?? false,
        );
    }

    private static function feed(Node $node): OutletFeed
    {
        $cabinet = $node->objectOrNull('cabinet');
        $supply = $node->objectOrNull('supply');

        return new OutletFeed(
            $cabinet === null ? null : new Cabinet(
                $cabinet->number('kw', Range::kw()),
                $cabinet->choice('policy', SharingPolicy::class),
                $cabinet->boolOrNull('partner_active'),
                $cabinet->number('partner_kw', Range::curveKw()),
                $cabinet->number('module_kw', Range::kw()),
            ),
            $supply === null ? null : new Supply($supply->number('volts', Range::volts()), $supply->number('amps', Range::amps()), $supply->wholeNumber('phases', 1, 3)),
        );
    }

    /** What a network requires of a driver, and how much of it is done. */
    public function network(Node $node): NetworkSetUp
    {
        $steps = [];
        foreach (SetUpStep::cases() as $step) {
            $state = $node->choice($step->value, SetUpState::class);
            if ($state !== null) {
                $steps[$step->value] = $state;
            }
        }

        return new NetworkSetUp($node->text('name'), $steps, $node->textOrNull('help_line', self::LONGEST_HELP_LINE));
    }

    /** Reads only the kind of outlet, not the rest of its plate. */
    public function group(Node $outlet): OutletGroup
    {
        return OutletGroup::of($this->coupler($outlet, 'coupler'), $outlet->choice('current', CurrentKind::class) ?? throw $outlet->fail('current', Message::of('field.required')));
    }

    private static function stall(Node $node): Stall
    {
        return new Stall(
            $node->textOrNull('label', self::LONGEST_ID) ?? throw $node->fail('label', Message::of('field.required')),
            $node->textOrNull('evse_id', self::LONGEST_ID),
            $node->textOrNull('fault', self::LONGEST_FAULT),
            $node->textOrNull('uid', self::LONGEST_ID),
            $node->textOrNull('connector', self::LONGEST_ID),
            $node->textOrNull('cabinet', self::LONGEST_ID),
            $node->choice('bay', Bay::class),
        );
    }

    private function inlet(Node $node): Inlet
    {
        $dc = $node->objectOrNull('dc');
        $ac = $node->objectOrNull('ac');

        return new Inlet(
            $this->coupler($node, 'coupler'),
            $node->choice('port', PortCorner::class),
            $dc === null ? null : $this->dcSide($dc),
            $ac === null ? null : $this->acSide($ac),
        );
    }

    private function dcSide(Node $node): DcSide
    {
        $converter = $node->objectOrNull('boost_converter');

        return new DcSide(
            $node->choices('signalling', Signalling::class),
            $node->number('max_v', Range::volts()),
            $node->number('max_a', Range::amps()),
            $node->number('max_kw', Range::kw()),
            $this->retrofit($node),
            $converter === null ? null : new BoostConverter(
                $converter->number('max_kw', Range::kw()),
                $converter->number('max_input_a', Range::amps()),
                $converter->number('input_v', Range::volts()),
                $converter->number('efficiency', Range::share()),
            ),
            $node->boolOrNull('split_pack'),
        );
    }

    /** `"impossible"`, `{"adds": [...], "state": "available"}`, or null. */
    private function retrofit(Node $node): ?Retrofit
    {
        $value = $node->raw('retrofit');
        if ($value === null) {
            return null;
        }
        if ($value === 'impossible') {
            return Retrofit::impossible();
        }
        if (is_string($value)) {
            throw $node->fail('retrofit', Message::of('field.expected_retrofit'));
        }
        $retrofit = $node->object('retrofit');

        return match ($retrofit->raw('state')) {
            'available' => Retrofit::adding($retrofit->choices('adds', Signalling::class) ?? throw $retrofit->fail('adds', Message::of('field.required'))),
            'impossible' => Retrofit::impossible(),
            null => null,
            default => throw $retrofit->fail('state', Message::of('field.retrofit_state')),
        };
    }

    private function acSide(Node $node): AcSide
    {
        [$minV, $maxV] = self::window($node);

        return new AcSide($node->wholeNumber('phases', 1, 3), $node->number('max_a', Range::amps()), $node->number('max_kw', Range::kw()), $minV, $maxV);
    }

    /** @return array{float|null, float|null} the lowest and the highest volts */
    private static function window(Node $node): array
    {
        $minV = $node->number('min_v', Range::volts());
        $maxV = $node->number('max_v', Range::volts());
        if ($minV !== null && $maxV !== null && $minV > $maxV) {
            throw $node->fail('min_v', Message::of('field.min_above_max', min: Amount::asGiven($minV, Unit::Volts), max: Amount::asGiven($maxV, Unit::Volts)));
        }

        return [$minV, $maxV];
    }

    private function plate(Node $node): Plate
    {
        return $node->guard(static fn (): Plate => Plate::of(
            $node->number('max_v', Range::volts()),
            $node->number('continuous_a', Range::amps()),
            $node->number('boost_a', Range::amps()),
            $node->number('boost_minutes', Range::minutes()),
            $node->number('max_kw', Range::kw()),
            $node->number('rated_at_c', Range::celsius()),
            $node->number('limit_c', Range::celsius()),
        ));
    }

    private function cable(Node $node): Cable
    {
        return new Cable(
            $node->number('length_m', Range::metres()),
            $node->boolOrNull('cooled'),
            $node->boolOrNull('cooling_failed') ?? false,
            $this->plate($node),
            $node->number('ageing', Range::share()) ?? 1.0,
            $node->number('dry_a', Range::amps()),
        );
    }

    private function tariff(Node $node): Tariff
    {
        $currency = $node->currency('currency');
        $membership = $node->objectOrNull('membership');

        return new Tariff(
            $currency,
            $node->money('per_kwh'),
            $node->money('per_minute'),
            $node->money('session_fee'),
            $node->money('idle_per_minute'),
            $node->number('idle_grace_minutes', Range::graceMinutes()),
            $membership === null ? null : new Membership(
                $membership->money('monthly_fee') ?? throw $membership->fail('monthly_fee', Message::of('field.required')),
                $membership->money('per_kwh') ?? throw $membership->fail('per_kwh', Message::of('field.required')),
            ),
            $this->minuteBands($node),
        );
    }

    /** @return list<MinuteBand> by power, from the lowest band up */
    private function minuteBands(Node $node): array
    {
        $bands = [];
        foreach ($node->objectsOrNone('minute_bands') as $band) {
            $fromKw = $band->number('from_kw', Range::curveKw()) ?? throw $band->fail('from_kw', Message::of('field.required'));
            if ($bands !== [] && $fromKw <= $bands[count($bands) - 1]->fromKw) {
                throw $band->fail('from_kw', Message::of('field.bands_rise'));
            }
            $bands[] = new MinuteBand($fromKw, $band->money('per_minute') ?? throw $band->fail('per_minute', Message::of('field.required')));
        }

        return $bands;
    }

    private function coupler(Node $node, string $key): Coupler
    {
        try {
            return Coupler::of($node->text($key));
        } catch (UnknownCoupler $e) {
            throw $node->fail($key, $e->problem);
        }
    }
}
