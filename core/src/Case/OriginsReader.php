<?php

declare(strict_types=1);

namespace Harmozon\Core\Case;

use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Chain\FactKind;
use Harmozon\Core\Equipment\Curve;
use Harmozon\Core\Equipment\FactOrigin;
use Harmozon\Core\Equipment\Origin;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Json\Range;
use Harmozon\Core\Json\RealDay;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/**
 * Reads where the facts of a piece come from: `origins` by dotted path, `{"origin": "typical", "on": "2031-05-02", "low": …,
 * "high": …}`. A path without an entry was read.
 */
final class OriginsReader
{
    /** No plate has more figures. */
    private const MOST = 200;

    /**
     * @return array<string, FactOrigin> by path
     *
     * @throws FieldError
     */
    public function of(Node $piece): array
    {
        $entries = $piece->objectOrNull('origins');
        if ($entries === null) {
            return [];
        }
        $paths = $entries->keys();
        if (count($paths) > self::MOST) {
            throw $piece->fail('origins', Message::of('field.too_many', most: Amount::count(self::MOST)));
        }
        $origins = [];
        foreach ($paths as $path) {
            $origins[$path] = $this->origin($entries->object($path), Fact::at($path));
        }

        return $origins;
    }

    /**
     * Paths of values that have to be read but weren't: they count as not known.
     *
     * @param  array<string, FactOrigin>  $origins
     * @return list<string>
     */
    public static function unread(array $origins): array
    {
        return array_values(array_filter(
            array_map(strval(...), array_keys($origins)),
            static fn (string $path): bool => $origins[$path]->origin->isAbout() && Fact::at($path)?->mayBeTypical() !== true,
        ));
    }

    private function origin(Node $node, ?Fact $fact): FactOrigin
    {
        $origin = $node->choice('origin', Origin::class) ?? throw $node->fail('origin', Message::of('field.required'));
        if ($origin === Origin::Standard) {
            throw $node->fail('origin', Message::of('field.origin_standard'));
        }
        $on = $node->textOrNull('on', 10);
        if ($on !== null && (strlen($on) !== 10 || ! RealDay::opens($on))) {
            throw $node->fail('on', Message::of('field.expected_day'));
        }
        if ($fact?->mayBeTypical() !== true) {
            return new FactOrigin($origin, $on);
        }
        [$low, $high] = [self::value($node, 'low', $fact), self::value($node, 'high', $fact)];
        if (! self::isBelow($low, $high)) {
            throw $node->fail('low', Message::of('field.low_above_high'));
        }

        return new FactOrigin($origin, $on, $low, $high, $fact === Fact::PackV ? $node->curve('most', Range::volts()) : null);
    }

    private static function value(Node $node, string $key, Fact $fact): float|Curve|null
    {
        return match ($fact->kind()) {
            FactKind::Curve => $node->curve($key, Range::volts()),
            FactKind::PowerCurve => $node->curve($key, Range::curveKw()),
            FactKind::KiloWattHours => $node->number($key, Range::kwh()),
            FactKind::KmPerKwh => $node->number($key, Range::kmPerKwh()),
            FactKind::Amps => $node->number($key, Range::amps()),
            default => $node->number($key, Range::kw()),
        };
    }

    private static function isBelow(float|Curve|null $low, float|Curve|null $high): bool
    {
        if (! $low instanceof Curve || ! $high instanceof Curve) {
            return $low === null || $high === null || $low <= $high;
        }
        foreach ([...$low->soc, ...$high->soc] as $soc) {
            if ($low->at($soc) > $high->at($soc)) {
                return false;
            }
        }

        return true;
    }
}
