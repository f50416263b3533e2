<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Models\ChargeSession;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Json\Range;
use Harmozon\Core\Json\RealDay;
use Harmozon\Core\Words\Message;
use Illuminate\Support\Carbon;

/** What can be corrected in a session at any time: its clock, its stall, the metered energy and price, its note. */
final class Correction
{
    public const LONGEST_NOTE = 1000;

    public const LONGEST_LABEL = 60;

    /** How far ahead a clock may be without being refused (s). */
    private const AHEAD_S = 120;

    /** @throws FieldError naming the field; nothing was written */
    public static function of(ChargeSession $session, Node $node): void
    {
        $columns = [];
        if (array_key_exists('note', $node->fields())) {
            $columns['note'] = $node->textOrNull('note', self::LONGEST_NOTE) ?? '';
        }
        if (array_key_exists('stall', $node->fields())) {
            $columns['stall'] = $node->textOrNull('stall', self::LONGEST_LABEL);
        }
        if (array_key_exists('station_kwh', $node->fields())) {
            $columns['station_kwh'] = $node->number('station_kwh', Range::countedKwh());
        }
        if (array_key_exists('paid', $node->fields())) {
            $columns = [...$columns, ...self::paid($node)];
        }
        if (array_key_exists('started_at', $node->fields())) {
            $columns = [...$columns, ...self::clock($session, $node)];
        }
        $session->update($columns);
        SessionFacts::forget($session);
    }

    /** @return array{paid_amount: string|null, paid_currency: string|null} */
    public static function paid(Node $node): array
    {
        $paid = $node->objectOrNull('paid');

        return [
            'paid_amount' => $paid === null ? null : ($paid->money('amount') ?? throw $paid->fail('amount', Message::of('field.required'))),
            'paid_currency' => $paid?->currency('currency'),
        ];
    }

    public static function moment(Node $node, string $key): ?Carbon
    {
        $text = $node->textOrNull($key);
        if ($text === null) {
            return null;
        }
        $at = preg_match('/^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:\d\d)$/', $text) === 1 && RealDay::opens($text) ? strtotime($text) : false;

        return $at === false ? throw $node->fail($key, Message::of('app.not_a_time')) : Carbon::createFromTimestamp($at, 'UTC');
    }

    /** @return array<string, Carbon|null> the end moves with the start: readings are counted from plugging in */
    private static function clock(ChargeSession $session, Node $node): array
    {
        $started = self::moment($node, 'started_at') ?? throw $node->fail('started_at', Message::of('field.required'));
        $refused = match (true) {
            $started->isAfter(Carbon::now()->addSeconds(self::AHEAD_S)) => 'app.in_the_future',
            $started->isBefore(Carbon::now()->subYear()) => 'app.too_long_ago',
            default => null,
        };
        if ($refused !== null) {
            throw $node->fail('started_at', Message::of($refused));
        }
        $moved = $session->started_at->diffInSeconds($started);

        return ['started_at' => $started, 'finished_at' => $session->finished_at?->copy()->addSeconds((int) round($moved))];
    }
}
