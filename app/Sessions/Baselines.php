<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Models\ChargeSession;
use Harmozon\Core\Answers\FitWriter;
use Harmozon\Core\Answers\ReviewWriter;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Record\CompletedReading;
use Harmozon\Core\Review\Comparison;
use Harmozon\Core\Review\RecordedSession;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Illuminate\Support\Facades\DB;

/** Finds the sessions to compare another with: those of the same car, several at once. */
final class Baselines
{
    private const MOST = 5;

    public function __construct(private readonly ReviewWriter $review)
    {
    }

    /** @throws FieldError when it can't be compared with it */
    public function add(ChargeSession $session, string $id): void
    {
        $baseline = ChargeSession::query()->firstWhere('ulid', $id) ?? throw FieldError::at('baseline', Message::of('app.not_in_garage'));
        $refused = match (true) {
            $baseline->id === $session->id => 'app.baseline_itself',
            $baseline->pieces['vehicle']['id'] !== $session->pieces['vehicle']['id'] => 'app.baseline_other_car',
            default => null,
        };
        if ($refused !== null) {
            throw FieldError::at('baseline', Message::of($refused));
        }
        if ($this->table($session)->count() >= self::MOST && $this->table($session)->where('baseline_id', $baseline->id)->doesntExist()) {
            throw FieldError::at('baseline', Message::of('app.too_many_baselines', most: Amount::count(self::MOST)));
        }
        DB::table('session_baselines')->insertOrIgnore(['charge_session_id' => $session->id, 'baseline_id' => $baseline->id]);
    }

    public function remove(ChargeSession $session, string $id): int
    {
        return $this->table($session)->whereIn('baseline_id', ChargeSession::withTrashed()->where('ulid', $id)->select('id'))->delete();
    }

    /** @return list<array<string, mixed>> each with its curve and what the comparison says */
    public function of(ChargeSession $session, RecordedSession $recorded): array
    {
        return array_values(ChargeSession::among($this->table($session)->pluck('baseline_id')->all())->map(function (ChargeSession $baseline) use ($recorded): array {
            $read = StoredSession::of($baseline);

            return [
                'id' => $baseline->ulid,
                'started_at' => $baseline->started_at->toIso8601ZuluString(),
                ...$baseline->pieces,
                'curve' => array_map(static fn (CompletedReading $p): array => ['t_s' => $p->reading->tS(), 'soc' => $p->reading->socPct, 'kw' => FitWriter::rounded($p->kw, 1)], $read->trace->points()),
                'comparison' => $this->review->comparison(Comparison::of($recorded, $read->recorded)),
            ];
        })->all());
    }

    private function table(ChargeSession $session): \Illuminate\Database\Query\Builder
    {
        return DB::table('session_baselines')->where('charge_session_id', $session->id);
    }
}
