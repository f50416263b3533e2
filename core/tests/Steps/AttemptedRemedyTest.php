<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Steps;

use Harmozon\Core\Steps\AttemptedRemedy;
use Harmozon\Core\Steps\RungCode;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\TestCase;

/** What stands beside an event is read by people: no code of ours is in it, and what somebody wrote stays. */
final class AttemptedRemedyTest extends TestCase
{
    public function test_every_rung_is_told_in_words_with_what_was_written_beside_it(): void
    {
        foreach (RungCode::cases() as $rung) {
            self::assertStringNotContainsString('_', self::told($rung->value));
        }
        self::assertSame('read both screens: E-42: try later', self::told('read_screens: E-42: try later'));
        self::assertSame('tried another stall: B2', self::told('another_stall: B2'));
        self::assertNull(AttemptedRemedy::words('what I did'));
    }

    private static function told(string $detail): string
    {
        return rtrim(Say::it(AttemptedRemedy::words($detail)), '.');
    }
}
