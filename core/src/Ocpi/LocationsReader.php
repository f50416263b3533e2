<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\FileKind;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;

/**
 * Reads charging places from Locations of the Open Charge Point Interface 2.2.1. Stalls with the same rating become one
 * outlet; each keeps its label, its EVSE id and its known fault. What the file doesn't say stays unknown.
 */
final readonly class LocationsReader
{
    /** The most locations in one file: a region's. */
    private const MOST_LOCATIONS = 5000;

    /** The most EVSEs of one location. */
    private const MOST_EVSES = 2000;

    /** An EVSE id in OCPI 2.2.1; every other id there is shorter. */
    private const LONGEST_ID = 48;

    public function __construct(private Voice $voice)
    {
    }

    /** @throws FieldError when the document is no list of Locations */
    public function read(string $json, AssignedTerms $assigned = new AssignedTerms, ?TariffsFile $tariffs = null): LocationsFile
    {
        $list = OcpiDocument::list($json, 'locations', FileKind::Locations, 'evses', Message::of('field.locations'));
        $list = Node::of(['locations' => $list])->list('locations', self::MOST_LOCATIONS);
        [$connectors, $prices] = [new ConnectorReader($assigned), new ConnectorPrices($tariffs)];
        $places = [];
        foreach ($list as $i => $location) {
            $place = $this->place(Node::of($location, "locations[{$i}]"), $connectors, $prices);
            $key = "{$place->party} {$place->id}";
            $places[$key] = isset($places[$key]) ? $places[$key]->butNot(Message::of('ocpi.twice', id: $place->id)) : $place;
        }

        return new LocationsFile(array_values($places), $connectors->foreign(), $prices->read());
    }

    /** Why it is no place to charge: its network doesn't publish it, or it has no stalls. Null where it is one. */
    private static function whyNot(Node $location, string $name): ?Message
    {
        return match (true) {
            $location->raw('publish') === false => Message::of('ocpi.unpublished', place: $name),
            $location->objectsOrNone('evses', self::MOST_EVSES) === [] => Message::of('ocpi.empty', place: $name),
            default => null,
        };
    }

    private function place(Node $location, ConnectorReader $connectors, ConnectorPrices $prices): FilePlace
    {
        $id = self::given($location, 'id');
        $name = self::given($location, 'name', 120) ?? self::given($location, 'address', 120) ?? $id ?? throw $location->fail('id', Message::of('field.required'));
        $party = self::party($location);
        $operator = self::operator($location);
        $plates = $stalls = $priced = $seen = $notUnderstood = [];
        foreach ($location->objectsOrNone('evses', self::MOST_EVSES) as $e => $evse) {
            $status = $connectors->status($evse);
            foreach ($evse->objectsOrNone('connectors') as $c => $connector) {
                $stall = self::stall($evse, $connector, $e, $c);
                $plate = $connectors->plate($connector, $stall['label'], $operator);
                $key = StallKey::of($stall);
                $problem = match (true) {
                    $plate instanceof Message => $plate,
                    isset($seen[$key]) => Message::of('ocpi.stall_twice', stall: $stall['label']),
                    $status === EvseStatus::NotThere => Message::of('ocpi.not_there', stall: $stall['label']),
                    default => null,
                };
                if ($problem !== null || $plate instanceof Message) {
                    $notUnderstood[] = $problem;

                    continue;
                }
                $seen[$key] = true;
                $fault = $status->fault();
                $same = (string) json_encode($plate);
                $plates[$same] = $plate;
                $priced[$same][] = $prices->of($connector, $party);
                $stalls[$same][] = [...$stall, 'fault' => $fault === null ? null : $this->voice->say($fault)];
            }
        }

        [$outlets, $unpriced] = self::priced($this->named(self::address($location), $plates, $stalls), array_values($priced));

        return new FilePlace(
            $party,
            $id ?? $name,
            $name,
            $outlets,
            [...array_values(array_filter($notUnderstood)), ...$unpriced],
            self::whyNot($location, $name),
        );
    }

    /** Country code and party id, `NL*ABC`; empty where the file does not say. */
    private static function party(Node $location): string
    {
        $country = self::given($location, 'country_code');

        return $country === null ? '' : $country.'*'.(self::given($location, 'party_id') ?? '');
    }

    /** The name of the network that runs it (BusinessDetails of OCPI 2.2.1); null where the file has none. */
    private static function operator(Node $location): ?string
    {
        $operator = $location->objectOrNull('operator');

        return $operator === null ? null : self::given($operator, 'name', 100);
    }

    /** The address in one line; null where the file has none. */
    private static function address(Node $location): ?string
    {
        $parts = array_filter([self::given($location, 'address', 120), self::given($location, 'city', 60)], static fn (?string $part): bool => $part !== null);

        return $parts === [] ? null : implode(', ', $parts);
    }

    /**
     * An outlet has one price: where its stalls differ in it, or one of them has none, it stays open.
     *
     * @param  list<FileOutlet>  $outlets
     * @param  list<list<array<string, mixed>|null>>  $prices  of the stalls of each
     * @return array{list<FileOutlet>, list<Message>} and which have stalls that differ
     */
    private static function priced(array $outlets, array $prices): array
    {
        $unpriced = [];
        foreach ($outlets as $i => $outlet) {
            [$some, $first] = [array_filter($prices[$i], is_array(...)), $prices[$i][0]];
            if ($first !== null && array_filter($prices[$i], static fn (?array $one): bool => $one !== $first) === []) {
                $outlets[$i] = $outlet->priced($first);
            } elseif ($some !== []) {
                $unpriced[] = Message::of('ocpi.prices_differ', outlet: $outlet->name);
            }
        }

        return [$outlets, $unpriced];
    }

    /**
     * @param  array<string, array<string, mixed>>  $plates
     * @param  array<string, list<array<string, string|null>>>  $stalls  by plate
     * @return list<FileOutlet>
     */
    private function named(?string $address, array $plates, array $stalls): array
    {
        $names = array_map(fn (array $plate): string => $this->voice->say(PlateName::short($plate)), $plates);
        $isShared = array_count_values($names);
        $outlets = [];
        foreach ($plates as $same => $plate) {
            $name = $isShared[$names[$same]] > 1 ? $this->voice->say(PlateName::long($plate)) : $names[$same];
            $outlets[] = new FileOutlet($name, [...$plate, ...($address === null ? [] : ['address' => $address]), 'stalls' => $stalls[$same]]);
        }

        return $outlets;
    }

    /** @return array{label: string, evse_id: string|null, uid: string, connector: string} */
    private static function stall(Node $evse, Node $connector, int $e, int $c): array
    {
        $evseId = self::given($evse, 'evse_id');
        $uid = self::given($evse, 'uid') ?? $evseId ?? '#'.($e + 1);

        return [
            'label' => self::given($evse, 'physical_reference') ?? $evseId ?? $uid,
            'evse_id' => $evseId,
            'uid' => $uid,
            'connector' => self::given($connector, 'id') ?? '#'.($c + 1),
        ];
    }

    /** A text, or null where it is empty: many networks write an empty text for "not known". */
    private static function given(Node $node, string $key, int $longest = self::LONGEST_ID): ?string
    {
        return $node->raw($key) === '' ? null : $node->textOrNull($key, $longest);
    }
}
