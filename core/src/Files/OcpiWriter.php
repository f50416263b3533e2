<?php

declare(strict_types=1);

namespace Harmozon\Core\Files;

use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Words\Message;

/**
 * Writes charging places as Locations of the Open Charge Point Interface 2.2.1. What the format has no room for
 * (languages, lowest volts, cabinets) is not written.
 */
final class OcpiWriter
{
    /**
     * @param  list<array{id: string, name: string, outlets: list<array{id: string, spec: array<string, mixed>}>}>  $places
     * @return array{locations: list<array<string, mixed>>, left_out: list<Message>}
     */
    public function write(array $places): array
    {
        $locations = $leftOut = [];
        foreach ($places as $place) {
            $evses = [];
            foreach ($place['outlets'] as $outlet) {
                $spec = Node::of($outlet['spec']);
                $standard = OcpiTerms::standard($spec->text('coupler'));
                if ($standard === null) {
                    $leftOut[] = Message::of('ocpi.no_name', place: $place['name'], coupler: $spec->text('coupler'));
                } else {
                    $evses[] = ['uid' => $outlet['id'], 'status' => 'UNKNOWN', 'connectors' => [self::connector($standard, $spec)]];
                }
            }
            $locations[] = ['id' => $place['id'], 'name' => $place['name'], 'evses' => $evses];
        }

        return ['locations' => $locations, 'left_out' => $leftOut];
    }

    /** @return array<string, mixed> */
    private static function connector(string $standard, Node $spec): array
    {
        $isDc = $spec->text('current') === CurrentKind::Dc->value;
        $supply = $spec->objectOrNull('supply');
        $kw = $spec->number('max_kw', Range::kw());

        return array_filter([
            'id' => '1',
            'standard' => $standard,
            'format' => $spec->has('cable') ? OcpiTerms::CABLE : OcpiTerms::SOCKET,
            'power_type' => $isDc ? OcpiTerms::DC : OcpiTerms::powerType($supply?->wholeNumber('phases', 1, 3) ?? 1),
            'max_voltage' => $isDc ? $spec->number('max_v', Range::volts()) : $supply?->number('volts', Range::volts()),
            'max_amperage' => $isDc ? $spec->number('max_a', Range::amps()) : $supply?->number('amps', Range::amps()),
            'max_electric_power' => $kw === null ? null : $kw * 1000,
        ], static fn (mixed $v): bool => $v !== null);
    }
}
