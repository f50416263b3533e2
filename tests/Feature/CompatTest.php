<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Clock\NativeClock;

/** The stand-ins of `compat/` behave as what they stand in for. */
#[Group('once')]
final class CompatTest extends TestCase
{
    public function test_first_and_last(): void
    {
        self::assertSame([1, 3], [array_first(['a' => 1, 'b' => 2, 'c' => 3]), array_last(['a' => 1, 'b' => 2, 'c' => 3])]);
        self::assertSame([null, null], [array_first([]), array_last([])]);
        self::assertSame([false, null], [array_first([5 => false, 2 => null]), array_last([5 => false, 2 => null])]);
    }

    public function test_handlers_in_force_are_told_and_left_in_place(): void
    {
        $handler = static fn (): bool => true;
        set_error_handler($handler);
        set_exception_handler($handler);
        try {
            self::assertSame([$handler, $handler], [get_error_handler(), get_exception_handler()]);
            self::assertSame([$handler, $handler], [get_error_handler(), get_exception_handler()]);
        } finally {
            restore_error_handler();
            restore_exception_handler();
        }
    }

    public function test_the_clock_tells_the_time_in_its_zone(): void
    {
        $before = time();
        $clock = (new NativeClock('UTC'))->withTimeZone('Europe/Lisbon');
        $clock->sleep(0);

        self::assertSame('Europe/Lisbon', $clock->now()->getTimezone()->getName());
        self::assertGreaterThanOrEqual($before, $clock->now()->getTimestamp());
        self::assertLessThanOrEqual(time(), $clock->now()->getTimestamp());
    }
}
