<?php

declare(strict_types=1);

namespace Harmozon\Core\Files;

use Harmozon\Core\Equipment\Coupler;
use Harmozon\Core\Equipment\CouplerFamily;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Unit;

/**
 * Reads charging places from Locations of the Open Charge Point Interface 2.2.1: connector standard, format, power type,
 * volts (line to neutral for AC), amps, and watts. What that file does not say stays unknown.
 */
final class OcpiReader
{
    /** Of one location. */
    private const MOST_EVSES = 2000;

    /**
     * @return list<OcpiPlace>
     *
     * @throws FieldError when the document is no list of Locations
     */
    public function read(string $json): array
    {
        try {
            $document = json_decode($json, true, Node::DEEPEST_JSON, JSON_THROW_ON_ERROR);
        } catch (\JsonException $e) {
            throw FieldError::at('locations', Message::of('field.not_json', why: lcfirst($e->getMessage())));
        }
        $list = is_array($document) && ! array_is_list($document) ? ($document['data'] ?? $document['locations'] ?? null) : $document;
        if (! is_array($list) || ! array_is_list($list) || $list === []) {
            throw FieldError::at('locations', Message::of('field.locations'));
        }

        return array_map(fn (mixed $location, int $i): OcpiPlace => $this->place(Node::of($location, "locations[{$i}]")), $list, array_keys($list));
    }

    private function place(Node $location): OcpiPlace
    {
        $name = $location->textOrNull('name', 120) ?? $location->textOrNull('address', 120) ?? $location->text('id');
        $outlets = $notUnderstood = [];
        foreach ($location->objectsOrNone('evses', self::MOST_EVSES) as $evse) {
            foreach ($evse->objectsOrNone('connectors') as $connector) {
                $spec = $this->outlet($connector);
                if ($spec instanceof Message) {
                    $notUnderstood[] = $spec;
                } else {
                    $outlets[(string) json_encode($spec)] ??= new OcpiOutlet(self::named($spec), $spec);
                }
            }
        }

        return new OcpiPlace($name, array_values($outlets), $notUnderstood);
    }

    /** @return array<string, mixed>|Message the plate in the words of the case file, or what was not understood */
    private function outlet(Node $connector): array|Message
    {
        $standard = $connector->text('standard');
        $coupler = OcpiTerms::COUPLERS[$standard] ?? null;
        if ($coupler === null) {
            return Message::of('ocpi.unknown_standard', path: $connector->path, standard: mb_substr($standard, 0, Node::LONGEST_QUOTE));
        }
        $power = $connector->textOrNull('power_type') ?? '';
        $phases = OcpiTerms::PHASES[$power] ?? null;

        return match (true) {
            $power === OcpiTerms::DC => self::plate($connector, $coupler, CurrentKind::Dc, [
                'max_v' => $connector->number('max_voltage', Range::volts()),
                'max_a' => $connector->number('max_amperage', Range::amps()),
            ]),
            $phases !== null => self::plate($connector, $coupler, CurrentKind::Ac, ['supply' => [
                'volts' => $connector->number('max_voltage', Range::volts()),
                'amps' => $connector->number('max_amperage', Range::amps()),
                'phases' => $phases,
            ]]),
            default => Message::of('ocpi.unknown_power', path: $connector->path, power: mb_substr($power, 0, Node::LONGEST_QUOTE)),
        };
    }

    /**
     * @param  array<string, mixed>  $figures  those of this kind of current
     * @return array<string, mixed>
     */
    private static function plate(Node $connector, string $coupler, CurrentKind $current, array $figures): array
    {
        $watts = $connector->number('max_electric_power', Range::watts());
        $kw = $watts === null ? null : $watts / 1000;

        return [
            'coupler' => $coupler,
            'current' => $current->value,
            'signalling' => self::languages(Coupler::of($coupler), $current),
            'min_v' => null,
            'max_v' => null,
            'max_a' => null,
            'max_kw' => $kw,
            'sticker_kw' => $kw,
            'cable' => $connector->textOrNull('format') === OcpiTerms::CABLE ? ['length_m' => null, 'cooled' => null, 'continuous_a' => null] : null,
            'attached_adapter' => null,
            'extension' => false,
            'cabinet' => null,
            'supply' => null,
            'access' => null,
            'tariff' => null,
            ...$figures,
        ];
    }

    /** @return list<string>|null what the coupler's own standard prescribes; null where hardware generations differ */
    private static function languages(Coupler $coupler, CurrentKind $current): ?array
    {
        return match (true) {
            $coupler->isSocket() => [],
            $current === CurrentKind::Ac => ['pwm'],
            $coupler->family === CouplerFamily::Ccs1, $coupler->family === CouplerFamily::Ccs2 => ['plc'],
            $coupler->family === CouplerFamily::Chademo => ['can_chademo'],
            $coupler->family === CouplerFamily::GbtDc => ['can_gbt'],
            default => null,
        };
    }

    /** @param  array<string, mixed>  $spec */
    private static function named(array $spec): Message
    {
        $kw = $spec['max_kw'];
        $coupler = is_string($spec['coupler']) ? $spec['coupler'] : '';

        return is_float($kw) ? Message::of('ocpi.outlet', coupler: $coupler, kw: Amount::asGiven(round($kw, 1), Unit::KiloWatts)) : Message::of('link.named', name: $coupler);
    }
}
