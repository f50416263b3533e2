<?php

declare(strict_types=1);

namespace App\Database;

/** A connection that knows whether anything was committed, so that an error can say so. */
trait KnowsWhatWasWritten
{
    private bool $hasWritten = false;

    private bool $isWriting = false;

    /** Whether something was committed, even if the request fails later. */
    public function hasWritten(): bool
    {
        return $this->hasWritten;
    }

    public function recordsHaveBeenModified($value = true): void
    {
        parent::recordsHaveBeenModified($value);
        $this->isWriting = $this->isWriting || $value;
    }

    /**
     * The framework reports a write before it happens. Outside a transaction the write is permanent when nothing was
     * thrown.
     *
     * @param  array<array-key, mixed>  $bindings
     */
    protected function run($query, $bindings, \Closure $callback): mixed
    {
        try {
            $answer = parent::run($query, $bindings, $callback);
            $this->hasWritten = $this->hasWritten || ($this->transactions === 0 && $this->isWriting);

            return $answer;
        } finally {
            $this->isWriting = $this->isWriting && $this->transactions > 0;
        }
    }

    /** @return array<array-key, mixed>|null */
    protected function fireConnectionEvent($event): ?array
    {
        if ($this->transactions === 0 && in_array($event, ['committed', 'rollingBack'], true)) {
            $this->hasWritten = $this->hasWritten || ($event === 'committed' && $this->isWriting);
            $this->isWriting = false;
        }

        return parent::fireConnectionEvent($event);
    }
}
