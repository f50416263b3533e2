<?php

declare(strict_types=1);

namespace App\People;

use App\Database\DeferrableWrite;
use Illuminate\Session\DatabaseSessionHandler;

/**
 * Browser sessions in the database, written when something in them has changed. Without a change only the time of the
 * last call is stored, once a minute, and not while another process writes: a reading call never waits.
 */
final class DatabaseSessions extends DatabaseSessionHandler
{
    /** Precision of the time of the last call (s). */
    private const MINUTE_S = 60;

    private ?string $readId = null;

    private string $asRead = '';

    private int $seenAt = 0;

    public function read($sessionId): string
    {
        $row = (object) $this->getQuery()->find($sessionId);
        $this->readId = null;
        if ($this->expired($row)) {
            $this->exists = true;

            return '';
        }
        if (! isset($row->payload, $row->last_activity)) {
            return '';
        }
        $this->exists = true;
        $this->readId = $sessionId;
        $this->seenAt = (int) $row->last_activity;

        return $this->asRead = (string) base64_decode((string) $row->payload, true);
    }

    public function write($sessionId, $data): bool
    {
        if ($this->readId === $sessionId && $this->asRead === $data) {
            if ($this->currentTime() - $this->seenAt >= self::MINUTE_S) {
                DeferrableWrite::write(fn (): bool => parent::write($sessionId, $data));
            }

            return true;
        }
        // What was read is no longer what is there.
        $this->readId = null;

        return parent::write($sessionId, $data);
    }

    /** Deletes expired sessions whenever a new one is stored, instead of by the framework's lottery, so that no reader waits for it. */
    protected function performInsert($sessionId, $payload): ?bool
    {
        $isIn = parent::performInsert($sessionId, $payload);
        $this->gc($this->minutes * 60);

        return $isIn;
    }

    public function destroy($sessionId): bool
    {
        $this->readId = null;

        return parent::destroy($sessionId);
    }
}
