<?php

declare(strict_types=1);

namespace Harmozon\Core\Review;

use Harmozon\Core\Record\TemperatureRow;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/** One session with a piece against one without it, over the charge that both covered. */
final readonly class Comparison
{
    /** The least shared charge for a comparison (percent). */
    private const LEAST_PERCENT = 15;

    /** From this many other differences on, they are named with the result. */
    private const MANY = 2;

    /**
     * @param  array{float, float}|null  $sharedSoc  null when they have none in common
     * @param  PowerRatio|null  $ratio  with to without; null when they have nothing in common
     * @param  float|null  $minutesDifference  how many more the session with the piece took over that charge
     * @param  array<string, array{float|null, float|null}>  $risesK  highest rise with and without, by point; null was not read
     * @param  list<Confounder>  $confounders
     * @param  array{Windows, Windows}  $windows  averages with the piece and without it
     */
    private function __construct(
        public Difference $answer,
        public ?array $sharedSoc,
        public ?PowerRatio $ratio,
        public ?float $minutesDifference,
        public array $risesK,
        public array $confounders,
        public Message $sentence,
        public array $windows,
    ) {
    }

    public static function of(RecordedSession $with, RecordedSession $without): self
    {
        $confounders = Confounders::between($with, $without);
        $rises = self::rises($with, $without);
        $windows = [Windows::of($with->diagnosis), Windows::of($without->diagnosis)];
        [$one, $other] = [PowerByCharge::of($with->diagnosis->referencePoints), PowerByCharge::of($without->diagnosis->referencePoints)];
        [$a, $b] = [$one->steps, $other->steps];
        $shared = array_keys(array_intersect_key($a, $b));
        if ($shared === []) {
            return new self(Difference::CannotTell, null, null, null, $rises, $confounders, Message::of('compare.nothing_shared'), $windows);
        }
        $span = [(float) min($shared), max($shared) + 1.0];
        $ratio = PowerRatio::of(array_map(static fn (int $soc): array => [$a[$soc]['kw'], $b[$soc]['kw']], $shared), max($one->percentPerReading, $other->percentPerReading), hypot($one->doubt, $other->doubt));
        $minutes = array_sum(array_map(static fn (int $soc): float => $a[$soc]['seconds'] - $b[$soc]['seconds'], $shared)) / 60;
        $answer = count($shared) < self::LEAST_PERCENT ? Difference::CannotTell : $ratio->difference();

        return new self($answer, $span, $ratio, $minutes, $rises, $confounders, self::sentence($answer, count($shared), $span, $ratio, $minutes, $confounders), $windows);
    }

    /**
     * @param  array{float, float}  $span
     * @param  list<Confounder>  $confounders
     */
    private static function sentence(Difference $answer, int $percent, array $span, PowerRatio $ratio, float $minutes, array $confounders): Message
    {
        $power = self::power($ratio, $span);
        $isFast = $answer === Difference::Faster;
        if ($answer === Difference::NoDifference) {
            return Message::of('compare.no_difference', power: $power);
        }
        if ($answer === Difference::CannotTell) {
            return $percent < self::LEAST_PERCENT
                ? Message::of('compare.too_little', percent: Amount::percent($percent), needed: Amount::percent(self::LEAST_PERCENT))
                : Message::of('compare.cannot_tell', power: $power);
        }
        $others = Listing::and(array_map(static fn (Confounder $c): Message => $c->name, $confounders));
        $many = count($confounders) >= self::MANY;
        $told = Amount::minutes(abs($minutes));

        return match (true) {
            $isFast && $many => Message::of('compare.faster_but', power: $power, minutes: $told, others: $others),
            $isFast => Message::of('compare.faster', power: $power, minutes: $told),
            $many => Message::of('compare.slower_but', power: $power, minutes: $told, others: $others),
            default => Message::of('compare.slower', power: $power, minutes: $told),
        };
    }

    /**
     * The ratio with its interval, where that is more than one figure.
     *
     * @param  array{float, float}  $span
     */
    private static function power(PowerRatio $ratio, array $span): Message
    {
        [$from, $to] = [Amount::percent($span[0]), Amount::percent($span[1])];
        $low = Amount::asGiven(round(100 * $ratio->low));

        return $low->value === round(100 * $ratio->high)
            ? Message::of('compare.power_exact', ratio: Amount::ofHundred($ratio->value), from: $from, to: $to)
            : Message::of('compare.power', ratio: Amount::ofHundred($ratio->value), low: $low, high: Amount::ofHundred($ratio->high), from: $from, to: $to);
    }

    /** @return array<string, array{float|null, float|null}> */
    private static function rises(RecordedSession $with, RecordedSession $without): array
    {
        $of = static fn (RecordedSession $s): array => array_column(array_map(static fn (TemperatureRow $t): array => [$t->point->value, $t->riseK], $s->judgement->temperatures), 1, 0);
        [$a, $b] = [$of($with), $of($without)];
        $rises = [];
        foreach (array_keys([...$a, ...$b]) as $point) {
            $rises[$point] = [$a[$point] ?? null, $b[$point] ?? null];
        }

        return $rises;
    }
}
