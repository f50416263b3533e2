<?php

declare(strict_types=1);

namespace Harmozon\Core\Files;

use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Chain\Faults;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Fit\AdapterPolicy;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Unit;

/** Reads a case file (`harmozon/case`, version 1). */
final class CaseReader
{
    public const FORMAT = 'harmozon/case';

    public const GARAGE_FORMAT = 'harmozon/garage';

    public const VERSION = 1;

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
        self::mustBe($node, self::FORMAT);
        $outlet = $this->equipment->outlet($node->object('outlet'));
        $adapters = $this->kit($node, $outlet->attachedAdapter === null ? [] : [$outlet->attachedAdapter]);

        return new FitCase(
            $this->equipment->vehicle($node->object('vehicle')),
            $adapters,
            $outlet,
            $node->choice('policy', AdapterPolicy::class) ?? AdapterPolicy::Certified,
            $this->conditions($node->objectOrNull('conditions') ?? Node::of([])),
        );
    }

    /**
     * A whole garage (`harmozon/garage`, version 1): `vehicles`, `adapters`, `outlets`, policy and conditions.
     *
     * @throws FieldError
     */
    public function garage(Node $node): GarageFile
    {
        self::mustBe($node, self::GARAGE_FORMAT);
        $vehicles = self::each($node, 'vehicles', $this->equipment->vehicle(...));
        $outlets = self::each($node, 'outlets', $this->equipment->outlet(...));
        $attached = array_values(array_filter(array_map(static fn (Outlet $o): ?Adapter => $o->attachedAdapter, $outlets), static fn (?Adapter $a): bool => $a !== null));

        return new GarageFile(
            $vehicles,
            $this->kit($node, $attached),
            $outlets,
            $node->choice('policy', AdapterPolicy::class) ?? AdapterPolicy::Certified,
            $this->conditions($node->objectOrNull('conditions') ?? Node::of([])),
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
        foreach ($node->objects($key) as $item) {
            $piece = $read($item);
            if (isset($seen[$piece->id])) {
                throw $item->fail('id', Message::of('field.twice', id: $piece->id));
            }
            $seen[$piece->id] = true;
            $pieces[] = $piece;
        }

        return $pieces;
    }

    private static function mustBe(Node $node, string $format): void
    {
        if ($node->text('format') !== $format) {
            throw $node->fail('format', Message::of('field.expected_format', format: $format));
        }
        $version = $node->raw('version') ?? throw $node->fail('version', Message::of('field.required'));
        if ($version !== self::VERSION) {
            throw $node->fail('version', Message::of('field.version', version: (string) json_encode($version), known: Amount::count(self::VERSION)));
        }
    }

    /**
     * @param  list<Adapter>  $attached  adapters of the stations, whose ids are taken
     * @return list<Adapter>
     */
    private function kit(Node $node, array $attached): array
    {
        $kit = [];
        $seen = array_fill_keys(array_map(static fn (Adapter $a): string => $a->id, $attached), true);
        foreach ($node->objectsOrNone('adapters') as $piece) {
            $adapter = $this->equipment->adapter($piece);
            if (isset($seen[$adapter->id])) {
                throw $piece->fail('id', Message::of('field.twice', id: $adapter->id));
            }
            $seen[$adapter->id] = true;
            $kit[] = $adapter;
        }

        return $kit;
    }

    private function faults(Node $node): Faults
    {
        return new Faults(
            $node->boolOrNull('cooling_failed') ?? false,
            $node->number('derated_kw', Range::kw()),
            $node->number('neighbour_at_minute', Range::graceMinutes()),
        );
    }

    public function conditions(Node $node): Conditions
    {
        $from = $node->number('soc_from', Range::soc()) ?? Conditions::DEFAULT_SOC_FROM;
        $to = $node->number('soc_to', Range::soc()) ?? max($from, Conditions::DEFAULT_SOC_TO);
        if ($to < $from) {
            throw $node->fail('soc_to', Message::of('field.target_below_start', to: Amount::asGiven($to, Unit::Percent), from: Amount::asGiven($from, Unit::Percent)));
        }
        $theta = [];
        $loads = $node->raw('theta');
        foreach (is_array($loads) ? $loads : [] as $link => $load) {
            $theta[(string) $link] = Node::numberAt($load, $node->at('theta').'.'.$link, Range::heatLoad());
        }
        if ($loads !== null && ! is_array($loads)) {
            throw $node->fail('theta', Message::of('field.expected_loads'));
        }

        return new Conditions(
            $from,
            $to,
            $node->number('ambient_c', Range::celsius()),
            $node->number('pack_c', Range::celsius()),
            $node->boolOrNull('pack_prepared') ?? ! $node->has('pack_c'),
            $node->boolOrNull('member') ?? false,
            $theta,
            $this->faults($node->objectOrNull('faults') ?? Node::of([])),
            $node->number('ageing', Range::share()) ?? 1.0,
            $node->number('rested_minutes', Range::restMinutes()) ?? 0.0,
            $node->number('idle_minutes', Range::graceMinutes()) ?? 0.0,
            $node->number('next_stop_kw', Range::kw()),
        );
    }
}
