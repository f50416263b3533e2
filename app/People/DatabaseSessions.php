<?php

declare(strict_types=1);

namespace App\People;

use App\Database\DeferrableWrite;
use Illuminate\Session\DatabaseSessionHandler;

/**
 * Browser sessions in the database, written when something in them has changed. Without a change only the time of the last call is kept, once a
 * minute, and not while somebody else is writing: a call that reads waits for nobody.
 */
final class DatabaseSessions extends DatabaseSessionHandler
{
    /** How exact the time of the last call is (s). */
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

    /** Where one begins, those that have ended go: no reader waits for that, as by the framework's lottery some would. */
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
