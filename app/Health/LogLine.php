<?php

declare(strict_types=1);

namespace App\Health;

use Illuminate\Database\QueryException;
use Monolog\Formatter\JsonFormatter;
use Monolog\LogRecord;

/**
 * One line of JSON for each thing that is logged, with the id of the request. A failed question to the database is logged
 * without the values that it was asked with: those are somebody's own.
 */
final class LogLine extends JsonFormatter
{
    public function __construct()
    {
        parent::__construct(includeStacktraces: true);
    }

    public function format(LogRecord $record): string
    {
        $e = $record->context['exception'] ?? null;
        $told = $e instanceof \Throwable ? self::withoutValues($e) : null;

        return parent::format($told === null ? $record : $record->with(message: $told));
    }

    /** @return array<array-key, string|int|array<string|int|array<string>>> */
    protected function normalizeException(\Throwable $e, int $depth = 0): array
    {
        $told = parent::normalizeException($e, $depth);
        $told['message'] = self::withoutValues($e) ?? $told['message'];

        return $told;
    }

    /** @return string|null null where no question to the database failed */
    private static function withoutValues(\Throwable $e): ?string
    {
        for ($at = $e; $at !== null; $at = $at->getPrevious()) {
            if ($at instanceof QueryException) {
                return implode(' in: ', [$at->getPrevious()?->getMessage() ?? '', $at->getSql()]);
            }
        }

        return null;
    }
}
