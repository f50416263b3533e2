<?php

declare(strict_types=1);

namespace Harmozon\Core\Case;

use Harmozon\Core\Chain\Cabin;
use Harmozon\Core\Chain\CabinLoad;
use Harmozon\Core\Chain\ChargeWanted;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Chain\Distance;
use Harmozon\Core\Chain\EarlierUse;
use Harmozon\Core\Chain\Faults;
use Harmozon\Core\Chain\PackOnArrival;
use Harmozon\Core\Chain\VisitPlan;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\NetworkSetUp;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Fit\AdapterPolicy;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Json\Range;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Unit;

/** Reads a case file (`harmozon/case`, version 1). */
final class CaseReader
{
    /** Vehicles, or outlets, of one garage; and adapters of one kit. */
    private const MOST_PIECES = 20_000;

    private const MOST_ADAPTERS = 1000;

    private const MOST_NETWORKS = 200;

    public const FORMAT = 'harmozon/case';

    public const GARAGE_FORMAT = 'harmozon/garage';

    public const VERSION = 1;

    /** Version 1 is always read, too. */
    public const NEWEST_GARAGE = 2;

    public function __construct(private readonly EquipmentReader $equipment = new EquipmentReader)
    {
    }

    /** @throws FieldError */
    public function json(string $json): FitCase
    {
        return $this->case(Node::fromJson($json));
    }

    /** @throws FieldError */
    public function case(Node $node): FitCase
    {
        self::mustBe($node, self::FORMAT, self::VERSION);
        $outlet = $this->equipment->entered($node->object('outlet'));
        $vehicle = $this->equipment->vehicle($node->object('vehicle'));

        return new FitCase(
            $vehicle,
            $this->kit($node, [$node->object('outlet')], [$vehicle], [$outlet]),
            $outlet,
            $node->choice('policy', AdapterPolicy::class) ?? AdapterPolicy::Certified,
            $this->conditions($node->objectOrNull('conditions') ?? Node::of([]))->setUp($this->networks($node))->reaching($vehicle),
        );
    }

    /**
     * A whole garage (`harmozon/garage`, version 1 or 2): `vehicles`, `adapters`, `outlets`, policy and conditions.
     *
     * @throws FieldError
     */
    public function garage(Node $node): GarageFile
    {
        self::mustBeGarage($node);
        $vehicles = self::each($node, 'vehicles', $this->equipment->vehicle(...));
        $outlets = self::each($node, 'outlets', $this->equipment->outlet(...));

        return new GarageFile(
            $vehicles,
            $this->kit($node, $node->objects('outlets', self::MOST_PIECES), $vehicles, $outlets),
            $outlets,
            $node->choice('policy', AdapterPolicy::class) ?? AdapterPolicy::Certified,
            $this->conditions($node->objectOrNull('conditions') ?? Node::of([]))->setUp($this->networks($node)),
        );
    }

    /**
     * @template T of Vehicle|Outlet
     *
     * @param  callable(Node): T  $read
     * @return list<T>
     */
    private static function each(Node $node, string $key, callable $read): array
    {
        $pieces = $seen = [];
        foreach ($node->objects($key, self::MOST_PIECES) as $item) {
            $piece = $read($item);
            if (isset($seen[$piece->id])) {
                throw $item->fail('id', Message::of('field.twice', id: $piece->id));
            }
            $seen[$piece->id] = true;
            $pieces[] = $piece;
        }

        return $pieces;
    }

    /** @throws FieldError when it is no garage's document, or one of a version to come */
    public static function mustBeGarage(Node $node): void
    {
        self::mustBe($node, self::GARAGE_FORMAT, self::NEWEST_GARAGE);
    }

    /** @throws FieldError when it has another format, or is of a version to come */
    public static function mustBe(Node $node, string $format, int $newest): void
    {
        if ($node->text('format') !== $format) {
            throw $node->fail('format', Message::of('field.expected_format', format: $format));
        }
        $version = $node->raw('version') ?? throw $node->fail('version', Message::of('field.required'));
        if (! is_int($version) || $version < self::VERSION || $version > $newest) {
            throw $node->fail('version', Message::of('field.version', version: (string) json_encode($version), known: Amount::count($newest)));
        }
    }

    /**
     * @param  list<Node>  $posts  where the outlets were read
     * @param  list<Vehicle>  $vehicles
     * @param  list<Outlet>  $outlets
     * @return list<Adapter>
     */
    private function kit(Node $node, array $posts, array $vehicles, array $outlets): array
    {
        $taken = self::taken($vehicles, $outlets);
        foreach ($posts as $post) {
            self::refuseTaken($post->objectOrNull('attached_adapter'), $taken);
        }
        $kit = [];
        $seen = array_fill_keys(array_filter(array_map(static fn (Outlet $o): ?string => $o->fittings->attachedAdapter?->id, $outlets), static fn (?string $id): bool => $id !== null), true);
        foreach ($node->objectsOrNone('adapters', self::MOST_ADAPTERS) as $piece) {
            $adapter = $this->equipment->adapter($piece);
            self::refuseTaken($piece, $taken);
            if (isset($seen[$adapter->id])) {
                throw $piece->fail('id', Message::of('field.twice', id: $adapter->id));
            }
            $seen[$adapter->id] = true;
            $kit[] = $adapter;
        }

        return $kit;
    }

    /**
     * Ids already used in answers for another piece of the case or an inlet.
     *
     * @param  list<Vehicle>  $vehicles
     * @param  list<Outlet>  $outlets
     * @return array<string, true>
     */
    private static function taken(array $vehicles, array $outlets): array
    {
        $taken = array_map(static fn (Outlet $o): string => $o->id, $outlets);
        foreach ($vehicles as $vehicle) {
            $taken[] = $vehicle->id;
            foreach (array_keys($vehicle->inlets) as $inlet) {
                $taken[] = "{$vehicle->id}#{$inlet}";
            }
        }

        return array_fill_keys($taken, true);
    }

    /** @param  array<string, true>  $taken */
    private static function refuseTaken(?Node $adapter, array $taken): void
    {
        $id = $adapter?->text('id');
        if ($id !== null && isset($taken[$id])) {
            throw $adapter->fail('id', Message::of('field.id_taken', id: $id));
        }
    }

    private function faults(Node $node): Faults
    {
        return new Faults(
            $node->boolOrNull('cooling_failed') ?? false,
            $node->number('derated_kw', Range::kw()),
            $node->number('neighbour_at_minute', Range::graceMinutes()),
            $node->number('neighbour_leaves_at_minute', Range::graceMinutes()),
        );
    }

    /** A figure takes precedence over the chosen word. */
    private static function cabin(Node $node): CabinLoad
    {
        $said = $node->choice('cabin', Cabin::class);
        $kw = $node->number('cabin_kw', Range::cabinKw());

        return match (true) {
            $kw !== null => new CabinLoad($kw),
            $said !== null => CabinLoad::said($said),
            default => new CabinLoad,
        };
    }

    private static function distance(?Node $node): ?Distance
    {
        return $node === null ? null : new Distance(
            $node->number('km', Range::km()) ?? throw $node->fail('km', Message::of('field.required')),
            $node->number('reserve_soc', Range::soc()) ?? Distance::USUAL_RESERVE,
        );
    }

    /** @return list<NetworkSetUp> */
    private function networks(Node $node): array
    {
        return array_map($this->equipment->network(...), $node->objectsOrNone('networks', self::MOST_NETWORKS));
    }

    public function conditions(Node $node): Conditions
    {
        $from = $node->number('soc_from', Range::soc()) ?? ChargeWanted::DEFAULT_SOC_FROM;
        $to = $node->number('soc_to', Range::soc()) ?? max($from, ChargeWanted::DEFAULT_SOC_TO);
        if ($to < $from) {
            throw $node->fail('soc_to', Message::of('field.target_below_start', to: Amount::asGiven($to, Unit::Percent), from: Amount::asGiven($from, Unit::Percent)));
        }
        $prepared = $node->raw('pack_prepared');
        $minutes = is_int($prepared) || is_float($prepared) ? $node->number('pack_prepared', Range::graceMinutes()) : null;
        $theta = [];
        $loads = $node->raw('theta');
        foreach (is_array($loads) ? $loads : [] as $link => $load) {
            $theta[(string) $link] = Node::numberAt($load, $node->at('theta').'.'.$link, Range::heatLoad());
        }
        if ($loads !== null && ! is_array($loads)) {
            throw $node->fail('theta', Message::of('field.expected_loads'));
        }

        return new Conditions(
            charge: new ChargeWanted($from, $to, self::distance($node->objectOrNull('distance'))),
            ambientC: $node->number('ambient_c', Range::celsius()),
            pack: new PackOnArrival(
                packC: $node->number('pack_c', Range::celsius()),
                prepared: $minutes === null && ($node->boolOrNull('pack_prepared') ?? ! $node->has('pack_c')),
                preparedMinutes: $minutes,
                isPreparationSaid: $node->has('pack_prepared') || $node->has('pack_c'),
            ),
            earlierUse: new EarlierUse(
                theta: $theta,
                restedMinutes: $node->number('rested_minutes', Range::restMinutes()) ?? 0.0,
                ratingLeft: $node->number('ageing', Range::share()) ?? 1.0,
            ),
            visit: new VisitPlan(
                member: $node->boolOrNull('member') ?? false,
                idleMinutes: $node->number('idle_minutes', Range::graceMinutes()) ?? 0.0,
                nextStopKw: $node->number('next_stop_kw', Range::kw()),
                towing: $node->boolOrNull('towing') ?? false,
            ),
            faults: $this->faults($node->objectOrNull('faults') ?? Node::of([])),
            cabin: self::cabin($node),
        );
    }
}
