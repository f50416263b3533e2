<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Equipment\BoardRows;
use App\Models\Adapter;
use App\Models\ChargeSession;
use App\Models\Vehicle;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Words\Message;

/**
 * The ratings that a session was checked with. Editing a plate later changes no verdict until somebody re-checks the
 * session, and the earlier result can be restored.
 */
final class PlateVersions
{
    /** Fields that aren't part of a piece's rating. */
    private const BESIDE = ['origins' => true, 'blurb' => true];

    /** @return array{changed: list<string>, judged_at: string|null, before: array{verdict: string|null, judged_at: string|null}|null} */
    public function of(ChargeSession $session): array
    {
        $before = $session->judged_before;

        return [
            'changed' => array_keys(array_filter($this->pairs($session), static fn (array $pair): bool => self::plate($pair[0]) !== self::plate($pair[1]))),
            'judged_at' => $session->judged_at?->toIso8601ZuluString(),
            'before' => $before === null ? null : ['verdict' => $before['verdict'] ?? null, 'judged_at' => $before['judged_at'] ?? null],
        ];
    }

    /**
     * The case of a session with today's plates.
     *
     * @return array<string, mixed>
     *
     * @throws FieldError when a piece is not in the garage any more
     */
    public function today(ChargeSession $session): array
    {
        $case = $session->case_file;
        $vehicle = Vehicle::query()->firstWhere('ulid', $session->pieces['vehicle']['id']) ?? throw FieldError::at('vehicle', Message::of('app.not_in_garage'));
        $outlet = app(BoardRows::class)->find($session->pieces['outlet']['id']) ?? throw FieldError::at('outlet', Message::of('app.not_in_garage'));
        $adapters = [];
        foreach ($session->chain_adapters as $i => $id) {
            if ($id !== $outlet->attachedAdapterId()) {
                $adapter = Adapter::query()->firstWhere('ulid', $id) ?? throw FieldError::at("adapters[{$i}]", Message::of('app.not_in_garage'));
                $adapters[] = $adapter->inCaseFile();
            }
        }

        return [...$case, 'vehicle' => $vehicle->inCaseFile(), 'outlet' => $outlet->inCaseFile(), 'adapters' => $adapters];
    }

    /** @return array<string, array{array<string, mixed>, array<string, mixed>}> as it was kept and as it is, by name; what is gone is left out */
    private function pairs(ChargeSession $session): array
    {
        try {
            $today = $this->today($session);
        } catch (FieldError) {
            return [];
        }
        $then = self::pieces($session->case_file);
        $now = self::pieces($today);
        $pairs = [];
        foreach ($then as $id => $piece) {
            if (isset($now[$id])) {
                $pairs[is_string($piece['name'] ?? null) ? $piece['name'] : (string) $id] = [$piece, $now[$id]];
            }
        }

        return $pairs;
    }

    /**
     * @param  array<string, mixed>  $case
     * @return array<string, array<string, mixed>> by id
     */
    private static function pieces(array $case): array
    {
        $pieces = [];
        foreach ([$case['vehicle'] ?? [], $case['outlet'] ?? [], ...(is_array($case['adapters'] ?? null) ? $case['adapters'] : [])] as $piece) {
            if (is_array($piece) && is_string($piece['id'] ?? null)) {
                $pieces[$piece['id']] = array_filter($piece, is_string(...), ARRAY_FILTER_USE_KEY);
            }
        }

        return $pieces;
    }

    /**
     * @param  array<string, mixed>  $piece
     * @return array<array-key, mixed>
     */
    private static function plate(array $piece): array
    {
        return self::sorted(array_diff_key($piece, self::BESIDE));
    }

    /**
     * @param  array<array-key, mixed>  $value
     * @return array<array-key, mixed> in an order of its own, without what is null
     */
    private static function sorted(array $value): array
    {
        $value = array_filter(array_map(static fn (mixed $v): mixed => is_array($v) ? self::sorted($v) : (is_int($v) ? (float) $v : $v), $value), static fn (mixed $v): bool => $v !== null);
        if (! array_is_list($value)) {
            ksort($value);
        }

        return $value;
    }
}
