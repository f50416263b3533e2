<?php

declare(strict_types=1);

namespace Harmozon\Core\Case;

use Harmozon\Core\Bench\Fault;
use Harmozon\Core\Bench\InjectedFault;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/** Reads a fault as `CODE` or `CODE@MINUTE`. */
final class FaultReader
{
    /** A week: no session is longer. */
    private const MOST_MINUTES = 10_080.0;

    /** @throws FieldError */
    public static function fault(string $text, string $path): InjectedFault
    {
        [$code, $minute] = [...explode('@', $text, 2), null];
        $fault = Fault::tryFrom(trim((string) $code)) ?? throw FieldError::at($path, Message::of('field.none_of', value: '"'.mb_substr(mb_scrub($text), 0, 40).'"', known: Listing::comma(array_column(Fault::cases(), 'value'))));
        if ($minute === null) {
            return new InjectedFault($fault);
        }
        if (preg_match('/^\d{1,5}(\.\d{1,6})?$/', trim($minute)) !== 1 || (float) $minute > self::MOST_MINUTES) {
            throw FieldError::at($path, Message::of('field.fault_minute', value: '"'.mb_substr(mb_scrub($minute), 0, 20).'"'));
        }

        return new InjectedFault($fault, (float) $minute);
    }
}
