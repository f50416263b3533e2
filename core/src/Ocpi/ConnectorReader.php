<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

use Harmozon\Core\Equipment\Coupler;
use Harmozon\Core\Equipment\CouplerFamily;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Json\Range;
use Harmozon\Core\Words\Message;

/** Reads connectors and the status of charging points, and collects words that aren't the interface's own. */
final class ConnectorReader
{
    /** @var array<string, array<string, int>> how often each was seen, by kind and word */
    private array $foreign = [];

    public function __construct(private readonly AssignedTerms $assigned)
    {
    }

    /** @return list<ForeignTerm> */
    public function foreign(): array
    {
        $terms = [];
        foreach (TermKind::cases() as $kind) {
            foreach ($this->foreign[$kind->value] ?? [] as $theirs => $times) {
                $terms[] = new ForeignTerm($kind, (string) $theirs, $this->assigned->meaningOf($kind, (string) $theirs), $times);
            }
        }

        return $terms;
    }

    /** An unknown status doesn't count as a fault; the importer asks what it means. */
    public function status(Node $evse): EvseStatus
    {
        $status = $evse->textOrNull('status', 48);
        $known = $status === null ? EvseStatus::Works : (EvseStatus::ofOcpi()[$status] ?? null);
        if ($known !== null || $status === null) {
            return $known ?? EvseStatus::Works;
        }
        $this->note(TermKind::Status, $status);

        return $this->assigned->statuses[$status] ?? EvseStatus::Works;
    }

    /**
     * @param  string  $stall  its label
     * @param  string|null  $operator  the network that runs it; who may start there the interface doesn't say
     * @return array<string, mixed>|Message the plate in the words of the case file, or why there is none
     */
    public function plate(Node $connector, string $stall, ?string $operator = null): array|Message
    {
        $standard = $connector->textOrNull('standard', 48) ?? throw $connector->fail('standard', Message::of('field.required'));
        $coupler = OcpiTerms::COUPLERS[$standard] ?? null;
        if ($coupler === null) {
            $this->note(TermKind::Standard, $standard);
            $coupler = $this->assigned->standards[$standard] ?? null;
        }
        if ($coupler === null) {
            return Message::of('ocpi.unknown_standard', stall: $stall, standard: $standard);
        }
        if ($coupler === AssignedTerms::LEFT_OUT) {
            return Message::of('ocpi.standard_left_out', stall: $stall, standard: $standard);
        }
        $power = $connector->textOrNull('power_type') ?? '';
        $phases = OcpiTerms::PHASES[$power] ?? null;
        $access = ['access' => $operator === null ? null : ['kind' => null, 'makes' => null, 'network' => $operator]];

        return match (true) {
            $power === OcpiTerms::DC => self::figures($connector, $coupler, CurrentKind::Dc, [
                ...$access,
                'max_v' => $connector->number('max_voltage', Range::volts()),
                'max_a' => $connector->number('max_amperage', Range::amps()),
            ]),
            $phases !== null => self::figures($connector, $coupler, CurrentKind::Ac, [...$access, 'supply' => [
                'volts' => $connector->number('max_voltage', Range::volts()),
                'amps' => $connector->number('max_amperage', Range::amps()),
                'phases' => $phases,
            ]]),
            default => Message::of('ocpi.unknown_power', stall: $stall, power: mb_substr($power, 0, Node::LONGEST_QUOTE)),
        };
    }

    private function note(TermKind $kind, string $theirs): void
    {
        $this->foreign[$kind->value][$theirs] = ($this->foreign[$kind->value][$theirs] ?? 0) + 1;
    }

    /**
     * @param  array<string, mixed>  $figures  those of this kind of current
     * @return array<string, mixed>
     */
    private static function figures(Node $connector, string $coupler, CurrentKind $current, array $figures): array
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
}
