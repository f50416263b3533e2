<?php

declare(strict_types=1);

namespace Harmozon\Core\Files;

use Harmozon\Core\Equipment\Coupler;
use Harmozon\Core\Equipment\CouplerFamily;
use Harmozon\Core\Equipment\CurrentKind;

/**
 * Reads and writes charging places as Locations of the Open Charge Point Interface 2.2.1: connector standard, format,
 * power type, volts (line to neutral for AC), amps, and watts. What that file does not say stays unknown.
 */
final class OcpiLocations
{
    /** OCPI's connector standards and our couplers. */
    private const COUPLERS = [
        'IEC_62196_T1' => 'type1',
        'IEC_62196_T1_COMBO' => 'ccs1',
        'IEC_62196_T2' => 'type2',
        'IEC_62196_T2_COMBO' => 'ccs2',
        'SAE_J3400' => 'j3400',
        'CHADEMO' => 'chademo',
        'GBT_AC' => 'gbt_ac',
        'GBT_DC' => 'gbt_dc',
        'NEMA_5_20' => 'socket:5-20',
        'NEMA_6_30' => 'socket:6-30',
        'NEMA_6_50' => 'socket:6-50',
        'NEMA_10_30' => 'socket:10-30',
        'NEMA_10_50' => 'socket:10-50',
        'NEMA_14_30' => 'socket:14-30',
        'NEMA_14_50' => 'socket:14-50',
        'DOMESTIC_B' => 'socket:5-15',
        'DOMESTIC_F' => 'socket:household-230',
        'IEC_60309_2_single_16' => 'socket:blue-16',
        'IEC_60309_2_three_16' => 'socket:red-16',
        'IEC_60309_2_three_32' => 'socket:red-32',
    ];

    private const PHASES = ['AC_1_PHASE' => 1, 'AC_2_PHASE' => 2, 'AC_2_PHASE_SPLIT' => 2, 'AC_3_PHASE' => 3];

    /**
     * @return list<OcpiPlace>
     *
     * @throws FieldError when the document is no list of Locations
     */
    public function read(string $json): array
    {
        try {
            $document = json_decode($json, true, 64, JSON_THROW_ON_ERROR);
        } catch (\JsonException $e) {
            throw FieldError::at('locations', 'not valid JSON ('.lcfirst($e->getMessage()).')');
        }
        $list = is_array($document) && ! array_is_list($document) ? ($document['data'] ?? $document['locations'] ?? null) : $document;
        if (! is_array($list) || ! array_is_list($list) || $list === []) {
            throw FieldError::at('locations', 'expected a list of Locations, or an object with one under "data"');
        }

        return array_map(fn (mixed $location, int $i): OcpiPlace => $this->place(Node::of($location, "locations[{$i}]")), $list, array_keys($list));
    }

    private function place(Node $location): OcpiPlace
    {
        $name = $location->textOrNull('name', 120) ?? $location->textOrNull('address', 120) ?? $location->text('id');
        $outlets = $notUnderstood = $seen = [];
        foreach ($location->has('evses') ? $location->objects('evses') : [] as $evse) {
            foreach ($evse->has('connectors') ? $evse->objects('connectors') : [] as $connector) {
                $spec = $this->spec($connector, $notUnderstood);
                if ($spec === null) {
                    continue;
                }
                $key = (string) json_encode($spec);
                if (! isset($seen[$key])) {
                    $seen[$key] = true;
                    $outlets[] = new OcpiOutlet(self::named($spec), $spec);
                }
            }
        }

        return new OcpiPlace($name, $outlets, array_values(array_unique($notUnderstood)));
    }

    /**
     * @param  list<string>  $notUnderstood
     * @return array<string, mixed>|null
     */
    private function spec(Node $connector, array &$notUnderstood): ?array
    {
        $standard = $connector->text('standard');
        $coupler = self::COUPLERS[$standard] ?? null;
        if ($coupler === null) {
            $notUnderstood[] = sprintf('%s: connector standard "%s" is not known here', $connector->path, mb_substr($standard, 0, 40));

            return null;
        }
        $power = $connector->textOrNull('power_type') ?? '';
        $current = $power === 'DC' ? CurrentKind::Dc : (isset(self::PHASES[$power]) ? CurrentKind::Ac : null);
        if ($current === null) {
            $notUnderstood[] = sprintf('%s: power type "%s" is not known here', $connector->path, mb_substr($power, 0, 40));

            return null;
        }
        $volts = $connector->number('max_voltage', Range::volts());
        $amps = $connector->number('max_amperage', Range::amps());
        $watts = $connector->number('max_electric_power', Range::watts());
        $kw = $watts === null ? null : $watts / 1000;
        $isDc = $current === CurrentKind::Dc;

        return [
            'coupler' => $coupler,
            'current' => $current->value,
            'signalling' => self::languages(Coupler::of($coupler), $current),
            'min_v' => null,
            'max_v' => $isDc ? $volts : null,
            'max_a' => $isDc ? $amps : null,
            'max_kw' => $kw,
            'sticker_kw' => $kw,
            'cable' => $connector->textOrNull('format') === 'CABLE' ? ['length_m' => null, 'cooled' => null, 'continuous_a' => null] : null,
            'attached_adapter' => null,
            'extension' => false,
            'cabinet' => null,
            'supply' => $isDc ? null : ['volts' => $volts, 'amps' => $amps, 'phases' => self::PHASES[$power]],
            'access' => null,
            'tariff' => null,
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
    private static function named(array $spec): string
    {
        $kw = $spec['max_kw'];
        $coupler = is_string($spec['coupler']) ? $spec['coupler'] : '';

        return $coupler.(is_float($kw) ? sprintf(', %g kW', round($kw, 1)) : '');
    }

    /**
     * Places as OCPI Locations. What the format has no room for (languages, lowest volts, cabinets) is not written.
     *
     * @param  list<array{id: string, name: string, outlets: list<array{id: string, spec: array<string, mixed>}>}>  $places
     * @return array{locations: list<array<string, mixed>>, left_out: list<string>}
     */
    public function write(array $places): array
    {
        $standards = array_flip(self::COUPLERS);
        $phases = array_flip(array_unique(self::PHASES));
        $locations = $leftOut = [];
        foreach ($places as $place) {
            $evses = [];
            foreach ($place['outlets'] as $outlet) {
                $spec = Node::of($outlet['spec']);
                $standard = $standards[$spec->text('coupler')] ?? null;
                if ($standard === null) {
                    $leftOut[] = sprintf('%s: %s has no name in OCPI', $place['name'], $spec->text('coupler'));

                    continue;
                }
                $isDc = $spec->text('current') === CurrentKind::Dc->value;
                $supply = $spec->objectOrNull('supply');
                $kw = $spec->number('max_kw', Range::kw());
                $evses[] = ['uid' => $outlet['id'], 'status' => 'UNKNOWN', 'connectors' => [array_filter([
                    'id' => '1',
                    'standard' => $standard,
                    'format' => $spec->has('cable') ? 'CABLE' : 'SOCKET',
                    'power_type' => $isDc ? 'DC' : ($phases[$supply?->wholeNumber('phases', 1, 3) ?? 1] ?? 'AC_1_PHASE'),
                    'max_voltage' => $isDc ? $spec->number('max_v', Range::volts()) : $supply?->number('volts', Range::volts()),
                    'max_amperage' => $isDc ? $spec->number('max_a', Range::amps()) : $supply?->number('amps', Range::amps()),
                    'max_electric_power' => $kw === null ? null : $kw * 1000,
                ], static fn (mixed $v): bool => $v !== null)]];
            }
            $locations[] = ['id' => $place['id'], 'name' => $place['name'], 'evses' => $evses];
        }

        return ['locations' => $locations, 'left_out' => $leftOut];
    }
}
