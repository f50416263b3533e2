<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Garage\CurrentGarage;
use App\Models\ChargeSession;
use App\Models\Garage;
use App\Models\Reading;
use App\Printing\Paper;
use App\Printing\SessionPdf;
use App\Sessions\SessionAnswer;
use App\Sessions\SessionChain;
use App\Sessions\SessionClock;
use App\Sessions\SessionFacts;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Ocpi\CdrSession;
use Harmozon\Core\Ocpi\CdrWriter;
use Harmozon\Core\Readings\ReadingsWriter;
use Harmozon\Core\Record\Reading as CoreReading;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\WrongState;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Carbon;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Exports a session: its readings as CSV, all of it as JSON, a charge detail record. */
final class SessionExportController extends Controller
{
    private const FLAGS = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR;

    public function csv(ChargeSession $session): StreamedResponse
    {
        $events = SessionFacts::events($session);

        return response()->streamDownload(static function () use ($session, $events): void {
            foreach (ReadingsWriter::lines(self::readings($session), $events) as $line) {
                echo $line;
            }
        }, "session-{$session->ulid}.csv", ['Content-Type' => 'text/csv; charset=utf-8']);
    }

    /** The ratings it was checked with, its events and readings, and the judgement; readings are written row by row. */
    public function json(ChargeSession $session, SessionAnswer $answers): StreamedResponse
    {
        $head = json_encode([
            'format' => 'harmozon/session',
            'version' => 1,
            'case' => $session->case_file,
            'chain_adapters' => $session->chain_adapters,
            'inlet_index' => $session->inlet_index,
            ...array_diff_key($answers->of($session), ['now' => 0, 'baselines' => 0]),
        ], self::FLAGS);

        return response()->streamDownload(static function () use ($session, $head): void {
            echo substr($head, 0, -1), ',"readings":[';
            $isFirst = true;
            foreach (self::readings($session) as $reading) {
                $row = array_filter(['t_s' => $reading->tMs / 1000, ...array_diff_key(Reading::rowOf($reading), ['t_ms' => 0])], static fn (mixed $v): bool => $v !== null);
                echo $isFirst ? '' : ',', json_encode($row, self::FLAGS);
                $isFirst = false;
            }
            echo ']}';
        }, "session-{$session->ulid}.json", ['Content-Type' => 'application/json']);
    }

    /** The report on paper: A4, or Letter where the garage reads miles and degrees Fahrenheit. */
    public function pdf(Request $request, ChargeSession $session, SessionPdf $pdf, CurrentGarage $garage): Response
    {
        $asked = $request->query('paper');
        $paper = match ($asked) {
            null, '' => Paper::usualWith($garage->units()),
            'a4' => Paper::A4,
            'letter' => Paper::Letter,
            default => throw FieldError::at('paper', Message::of('field.none_of', value: '"'.(is_string($asked) ? mb_substr(mb_scrub($asked), 0, 20) : '').'"', known: Listing::comma(['a4', 'letter']))),
        };

        return response($pdf->of($session, $paper), 200, ['Content-Type' => 'application/pdf', ...self::as("session-{$session->ulid}.pdf")]);
    }

    /** Of a finished session. */
    public function cdr(ChargeSession $session, CurrentGarage $garage, SessionClock $clock): JsonResponse
    {
        $endedAt = $session->finished_at ?? throw WrongState::of('session', Message::of('app.not_finished'));
        [$began, $lastRead] = $clock->of($session);
        $summary = $session->summary ?? [];
        $number = static fn (string $key): ?float => is_numeric($summary[$key] ?? null) ? (float) $summary[$key] : null;
        $currency = Garage::query()->whereKey($garage->id())->value('currency');

        $known = new CdrSession(
            id: $session->ulid,
            outlet: SessionChain::of($session)->answer->chain->outlet,
            stall: $session->stall,
            startedAt: $began,
            endedAt: $lastRead ?? $endedAt->toDateTimeImmutable(),
            kwh: $session->station_kwh ?? $number('energy_kwh'),
            highestKw: $number('peak_kw'),
            paid: $session->paid_amount === null ? null : ['amount' => $session->paid_amount, 'currency' => (string) $session->paid_currency],
        );

        return response()->json(
            CdrWriter::record($known, is_string($currency) ? $currency : 'XXX', Carbon::now()->toDateTimeImmutable()),
            200, self::as("cdr-{$session->ulid}.json"),
        );
    }

    /** @return array{Content-Disposition: string} */
    private static function as(string $file): array
    {
        return ['Content-Disposition' => HeaderUtils::makeDisposition(HeaderUtils::DISPOSITION_ATTACHMENT, $file)];
    }

    /** @return \Generator<int, CoreReading> */
    private static function readings(ChargeSession $session): \Generator
    {
        foreach (Reading::rowsAfter($session, -1, 0) as $row) {
            yield Reading::coreOf($row);
        }
    }
}
