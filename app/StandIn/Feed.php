<?php

declare(strict_types=1);

namespace App\StandIn;

use Harmozon\Core\Record\Point;
use Harmozon\Core\Record\Reading;
use Illuminate\Http\Client\Response;
use Illuminate\Support\Sleep;

/**
 * Feeds the readings of a simulated session to a live one, at its own pace or quicker. What can't be sent waits and is sent
 * later; every reading has an id that follows from session, seed and time, so that a second start sends nothing twice.
 */
final class Feed
{
    /** The loggers' door takes as many at once. */
    private const MOST_AT_ONCE = 1000;

    /** Longest wait between two tries while nobody answers (s). */
    private const LONGEST_WAIT_S = 15;

    /** Answers after which the same readings are worth another try. */
    private const TRY_AGAIN = [408, 425, 429, 500, 502, 503, 504];

    /** The code of a refusal because the session has ended. */
    private const FINISHED = 'app.session_finished';

    /**
     * @param  list<Reading>  $readings  in the order of time
     * @param  string  $series  names the simulated session: what is sent under the same name counts once
     * @param  int  $speed  simulated seconds in a second
     */
    public function __construct(private readonly LoggersDoor $door, private readonly array $readings, private readonly string $series, private readonly int $speed)
    {
    }

    /**
     * Until everything is sent, or the server refuses it.
     *
     * @param  \Closure(FeedNews): void  $tell
     * @return bool whether everything arrived that the session wanted
     */
    public function run(\Closure $tell): bool
    {
        $startedAt = now();
        $sent = $added = $failures = 0;
        while ($sent < count($this->readings)) {
            $dueMs = 1000 * $this->speed * $startedAt->diffInSeconds(now());
            $batch = [];
            while (count($batch) < self::MOST_AT_ONCE && isset($this->readings[$sent + count($batch)]) && $this->readings[$sent + count($batch)]->tMs <= $dueMs) {
                $batch[] = $this->fields($this->readings[$sent + count($batch)]);
            }
            $answer = $batch === [] ? null : $this->door->send($batch);
            if ($answer !== null && $answer->successful()) {
                $sent += count($batch);
                $added += (int) $answer->json('added');
                $failures = 0;
                $tell(FeedNews::sent($sent, count($this->readings), $added));
            } elseif ($batch !== [] && ($answer === null || in_array($answer->status(), self::TRY_AGAIN, true))) {
                $failures++;
                $tell(FeedNews::waiting(count($batch)));
            } elseif ($answer?->json('code') === self::FINISHED) {
                $tell(FeedNews::ended());

                return true;
            } elseif ($answer !== null) {
                $tell(FeedNews::refused(is_string($answer->json('message')) ? $answer->json('message') : (string) $answer->status()));

                return false;
            }
            if ($sent < count($this->readings)) {
                Sleep::for($failures === 0 ? 1 : self::waitS($failures, $answer))->seconds();
            }
        }

        return true;
    }

    /** Longer with every failure, unless the server says when to come again. */
    private static function waitS(int $failures, ?Response $answer): int
    {
        $said = (int) $answer?->header('Retry-After');

        return min(self::LONGEST_WAIT_S, $said > 0 ? $said : 2 ** min($failures, self::LONGEST_WAIT_S));
    }

    /** @return array<string, mixed> as the loggers' door takes it */
    private function fields(Reading $reading): array
    {
        $celsius = [];
        foreach (Point::cases() as $point) {
            $celsius[$point->value.'_c'] = $reading->celsius[$point->value] ?? null;
        }

        return array_filter([
            'client_id' => ReadingId::of($this->series, $reading->tMs), 't_s' => $reading->tS(), 'soc_pct' => $reading->socPct, 'volts' => $reading->volts, 'amps' => $reading->amps, 'kw' => $reading->kw, ...$celsius, 'source' => $reading->source,
        ], static fn (mixed $value): bool => $value !== null);
    }
}
