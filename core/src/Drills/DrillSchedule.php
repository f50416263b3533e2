<?php

declare(strict_types=1);

namespace Harmozon\Core\Drills;

/** When a kind of drill comes back: later with every right answer, tomorrow after a mistake. */
final class DrillSchedule
{
    /** Days until it comes back, step by step. */
    public const DAYS = [1, 3, 7, 16, 35];

    /**
     * @param  int|null  $step  reached so far; null when it was never asked
     * @return int the step reached now
     */
    public static function next(?int $step, bool $isRight): int
    {
        return $isRight && $step !== null ? min($step + 1, count(self::DAYS) - 1) : 0;
    }

    /**
     * @param  string  $today  Y-m-d
     * @return string the day on which it is due again (Y-m-d)
     */
    public static function dueOn(int $step, string $today): string
    {
        return (new \DateTimeImmutable($today))->add(new \DateInterval(sprintf('P%dD', self::DAYS[$step])))->format('Y-m-d');
    }

    /**
     * The kinds in the order in which to ask: those that are due, the longest overdue first; then those never asked; then
     * the rest, the next due first.
     *
     * @param  array<string, string>  $dueOn  days (Y-m-d) by kind; one that was never asked is not among them
     * @param  string  $today  Y-m-d
     * @return list<DrillKind>
     */
    public static function order(array $dueOn, string $today): array
    {
        $kinds = DrillKind::cases();
        $rank = static fn (DrillKind $k): array => match (true) {
            ! isset($dueOn[$k->value]) => [1, ''],
            $dueOn[$k->value] <= $today => [0, $dueOn[$k->value]],
            default => [2, $dueOn[$k->value]],
        };
        // Equal ones stay in their own order.
        usort($kinds, static fn (DrillKind $a, DrillKind $b): int => $rank($a) <=> $rank($b));

        return $kinds;
    }
}
