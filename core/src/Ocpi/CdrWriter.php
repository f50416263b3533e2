<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

use Harmozon\Core\Equipment\CurrentKind;

/**
 * Writes a session as a charge detail record of the Open Charge Point Interface 2.2.1, as far as its driver knows it.
 * What the format requires and nobody knows (a city, a contract) is an empty text, never a guess.
 */
final class CdrWriter
{
    /** ISO 3166's own code for "not known", and an unassigned party id. */
    private const NOWHERE = 'ZZ';

    private const NOBODY = 'DRV';

    private const CONNECTOR = '1';

    /**
     * @param  string  $currency  of the garage, where nothing was paid
     * @return array<string, mixed>
     */
    public static function record(CdrSession $session, string $currency, \DateTimeImmutable $now): array
    {
        [$outlet, $paid, $kwh] = [$session->outlet, $session->paid, $session->kwh];
        $time = static fn (\DateTimeImmutable $at): string => $at->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d\TH:i:s\Z');
        $hours = max(0.0, ($session->endedAt->getTimestamp() - $session->startedAt->getTimestamp()) / 3600);
        $known = null;
        foreach ($outlet->site->stalls as $one) {
            $known = $session->stall !== null && $one->label === $session->stall ? $one : $known;
        }

        return [
            'country_code' => self::NOWHERE,
            'party_id' => self::NOBODY,
            'id' => $session->id,
            'start_date_time' => $time($session->startedAt),
            'end_date_time' => $time($session->endedAt),
            'session_id' => $session->id,
            'cdr_token' => ['country_code' => self::NOWHERE, 'party_id' => self::NOBODY, 'uid' => '', 'type' => 'OTHER', 'contract_id' => ''],
            'auth_method' => 'COMMAND',
            'cdr_location' => [
                'id' => $outlet->id,
                'name' => $outlet->name,
                'address' => $outlet->site->address ?? '', 'city' => '', 'country' => '',
                'coordinates' => ['latitude' => '', 'longitude' => ''],
                'evse_uid' => $known->uid ?? StallKey::uidOfOurs($outlet->id, null),
                'evse_id' => $known->evseId ?? '',
                'connector_id' => $known->connector ?? self::CONNECTOR,
                'connector_standard' => OcpiTerms::standard($outlet->coupler->id) ?? '',
                'connector_format' => $outlet->fittings->cable === null ? OcpiTerms::SOCKET : OcpiTerms::CABLE,
                'connector_power_type' => $outlet->rating->current === CurrentKind::Dc ? OcpiTerms::DC : OcpiTerms::powerType($outlet->feed->supply->phases ?? 1),
            ],
            'currency' => $paid['currency'] ?? $currency,
            'charging_periods' => [[
                'start_date_time' => $time($session->startedAt),
                'dimensions' => [
                    ...($kwh === null ? [] : [['type' => 'ENERGY', 'volume' => round($kwh, 3)]]),
                    ['type' => 'TIME', 'volume' => round($hours, 4)],
                    ...($session->highestKw === null ? [] : [['type' => 'MAX_POWER', 'volume' => round($session->highestKw, 3)]]),
                ],
            ]],
            // Left out where nobody has read it: no price is not a price of 0.
            ...($paid === null ? [] : ['total_cost' => ['excl_vat' => (float) $paid['amount']]]),
            ...($kwh === null ? [] : ['total_energy' => round($kwh, 3)]),
            'total_time' => round($hours, 4),
            'last_updated' => $time($now),
        ];
    }
}
