<?php

declare(strict_types=1);

namespace Harmozon\Core\Steps;

use Harmozon\Core\Words\Message;

/** A remedy that was tried when nothing started, kept with the failed start as `another_stall` or `another_stall: B2`. */
final class AttemptedRemedy
{
    /** In words, with the person's note as typed; null where none of our remedies was tried. */
    public static function words(string $detail): ?Message
    {
        [$code, $note] = [...explode(':', $detail, 2), ''];
        $rung = RungCode::tryFrom(trim($code));

        return match (true) {
            $rung === null => null,
            trim($note) === '' => $rung->tried(),
            default => Message::of('rung_tried.noted', tried: $rung->tried(), note: trim($note)),
        };
    }
}
