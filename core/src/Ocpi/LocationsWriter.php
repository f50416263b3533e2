<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

use Harmozon\Core\Equipment\Coupler;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Json\Range;
use Harmozon\Core\Words\Message;

/**
 * Writes charging places as Locations of the Open Charge Point Interface 2.2.1, every stall by its own name. What the
 * format has no field for (protocols, minimum voltage, cabinets) is not written.
 */
final class LocationsWriter
{
    /** The status of a stall without a known fault: only its network knows whether it is free. */
    private const UNKNOWN = 'UNKNOWN';

    /** The connector id of a stall without a network's id. */
    private const CONNECTOR = '1';

    private const OUT_OF_ORDER = 'OUTOFORDER';

    /**
     * @param  list<array{id: string, party: string, name: string, outlets: list<array{id: string, spec: array<string, mixed>}>}>  $places
     * @return array{locations: list<array<string, mixed>>, left_out: list<Message>}
     */
    public function write(array $places): array
    {
        $locations = $leftOut = [];
        foreach ($places as $place) {
            $evses = $connectors = [];
            $address = null;
            $operator = self::operator($place['outlets']);
            foreach ($place['outlets'] as $outlet) {
                $spec = Node::of($outlet['spec']);
                $standard = OcpiTerms::standard($spec->text('coupler'));
                if ($standard === null) {
                    $leftOut[] = Message::of('ocpi.no_name', place: $place['name'], coupler: Coupler::of($spec->text('coupler'))->name());

                    continue;
                }
                $address ??= $spec->textOrNull('address');
                foreach (self::stalls($spec, $outlet['id']) as $stall) {
                    $uid = $stall['uid'];
                    $evses[$uid] ??= self::evse($stall);
                    $connectors[$uid][] = ['id' => $stall['connector'], ...self::connector($standard, $spec)];
                }
            }
            $locations[] = [...self::party($place['party']), 'id' => $place['id'], 'name' => $place['name'], ...($operator === null ? [] : ['operator' => ['name' => $operator]]), ...($address === null ? [] : ['address' => $address]), 'evses' => array_map(static fn (array $evse, array $of): array => [...$evse, 'connectors' => $of], array_values($evses), array_values($connectors))];
        }

        return ['locations' => $locations, 'left_out' => $leftOut];
    }

    /**
     * The network of most chargers at a place: the interface has one operator per location.
     *
     * @param  list<array{id: string, spec: array<string, mixed>}>  $outlets
     */
    private static function operator(array $outlets): ?string
    {
        $names = array_map(static fn (array $outlet): ?string => Node::of($outlet['spec'])->objectOrNull('access')?->textOrNull('network'), $outlets);
        $times = array_count_values(array_filter($names, is_string(...)));
        arsort($times);

        return array_key_first($times) === null ? null : (string) array_key_first($times);
    }

    /** @return array<string, string> */
    private static function party(string $party): array
    {
        [$country, $id] = [...explode('*', $party, 2), ''];

        return array_filter(['country_code' => $country, 'party_id' => $id], static fn (string $text): bool => $text !== '');
    }

    /** @return list<array{uid: string, connector: string, label: string|null, evse_id: string|null, fault: string|null}> one where nobody told them apart */
    private static function stalls(Node $spec, string $outletId): array
    {
        $stalls = [];
        foreach ($spec->objectsOrNone('stalls', PHP_INT_MAX) as $i => $stall) {
            $stalls[] = [
                'uid' => $stall->textOrNull('uid') ?? StallKey::uidOfOurs($outletId, $i),
                'connector' => $stall->textOrNull('connector') ?? self::CONNECTOR,
                'label' => $stall->textOrNull('label'),
                'evse_id' => $stall->textOrNull('evse_id'),
                'fault' => $stall->textOrNull('fault'),
            ];
        }

        return $stalls === [] ? [['uid' => StallKey::uidOfOurs($outletId, null), 'connector' => self::CONNECTOR, 'label' => null, 'evse_id' => null, 'fault' => null]] : $stalls;
    }

    /**
     * @param  array{uid: string, label: string|null, evse_id: string|null, fault: string|null}  $stall
     * @return array<string, mixed>
     */
    private static function evse(array $stall): array
    {
        return array_filter([
            'uid' => $stall['uid'],
            'evse_id' => $stall['evse_id'],
            'physical_reference' => $stall['label'] === $stall['evse_id'] || $stall['label'] === $stall['uid'] ? null : $stall['label'],
            'status' => $stall['fault'] === null ? self::UNKNOWN : self::OUT_OF_ORDER,
        ], static fn (mixed $v): bool => $v !== null);
    }

    /** @return array<string, mixed> */
    private static function connector(string $standard, Node $spec): array
    {
        $isDc = $spec->text('current') === CurrentKind::Dc->value;
        $supply = $spec->objectOrNull('supply');
        $kw = $spec->number('max_kw', Range::kw());

        return array_filter([
            'standard' => $standard,
            'format' => $spec->has('cable') ? OcpiTerms::CABLE : OcpiTerms::SOCKET,
            'power_type' => $isDc ? OcpiTerms::DC : OcpiTerms::powerType($supply?->wholeNumber('phases', 1, 3) ?? 1),
            'max_voltage' => $isDc ? $spec->number('max_v', Range::volts()) : $supply?->number('volts', Range::volts()),
            'max_amperage' => $isDc ? $spec->number('max_a', Range::amps()) : $supply?->number('amps', Range::amps()),
            'max_electric_power' => $kw === null ? null : $kw * 1000,
        ], static fn (mixed $v): bool => $v !== null);
    }
}
