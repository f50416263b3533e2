<?php

declare(strict_types=1);

namespace Harmozon\Core\Case;

use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Chain\FactOwner;
use Harmozon\Core\Equipment\Coupler;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\Origin;
use Harmozon\Core\Equipment\Standards;

/** Writes down where the facts of a plate come from, and since when they are known; plates in the words of the case file. */
final class FactDays
{
    /** Also on an adapter's label, but never asked for: an adapter may have none. */
    private const BOOST = ['plate.boost_a', 'plate.boost_minutes', 'plate.max_kw'];

    private const ATTACHED = 'attached_adapter';

    /**
     * A fact that a person types was read on that day, unless they say where it comes from.
     *
     * @param  array<string, mixed>  $before  the plate as it was; empty for a new one
     * @param  array<string, mixed>  $after  the plate as it is typed
     * @param  string  $day  ISO 8601
     * @return array<string, mixed> the same with the origins of the facts that changed
     */
    public static function noted(FactOwner $of, array $before, array $after, string $day): array
    {
        [$told, $known] = [self::origins($after), self::origins($before)];
        foreach ($told as $path => $entry) {
            if (is_array($entry) && ! isset($entry['on']) && ! self::same($entry, $known[$path] ?? null)) {
                $told[$path] = [...$entry, 'on' => $day];
            }
        }
        foreach (self::paths($of, $after) as $path) {
            $is = self::valueAt($after, $path);
            if (self::same(self::valueAt($before, $path), $is) || ! self::same($told[$path] ?? null, $known[$path] ?? null)) {
                continue;
            }
            unset($told[$path]);
            if ($is !== null) {
                $told[$path] = ['origin' => Origin::Read->value, 'on' => $day];
            }
        }

        return self::with($after, $told);
    }

    /**
     * An outlet's plate with the facts from its network's file marked as imported; what a person typed keeps its own
     * day.
     *
     * @param  array<string, mixed>  $plate
     * @param  array<string, mixed>  $file  as the network says
     * @param  string  $day  ISO 8601
     * @return array<string, mixed>
     */
    public static function imported(array $plate, array $file, string $day): array
    {
        $told = self::origins($plate);
        foreach (self::paths(FactOwner::Outlet, $plate) as $path) {
            $value = self::valueAt($plate, $path);
            $isTheirs = $value !== null && self::same($value, self::valueAt($file, $path));
            $isMarked = is_array($told[$path] ?? null) && ($told[$path]['origin'] ?? null) === Origin::Imported->value;
            if ($isTheirs && ! $isMarked) {
                $told[$path] = ['origin' => Origin::Imported->value, 'on' => $day];
            } elseif (! $isTheirs && $isMarked) {
                unset($told[$path]);
            }
        }

        return self::with($plate, $told);
    }

    /**
     * A kind's usual plate, with which a new piece begins: nobody has read it yet. What a standard fixes for its
     * coupler is left out, since it counts as known without being read.
     *
     * @param  array<string, mixed>  $plate
     * @return array<string, mixed>
     */
    public static function usual(FactOwner $of, array $plate): array
    {
        if ($of === FactOwner::Outlet) {
            $plate = self::withoutStandard($plate);
        }
        $told = [];
        foreach (self::paths($of, $plate) as $path) {
            if (self::valueAt($plate, $path) !== null) {
                $told[$path] = ['origin' => Origin::Typical->value];
            }
        }

        return self::with($plate, $told);
    }

    /**
     * @param  array<string, mixed>  $outlet
     * @return array<string, mixed>
     */
    private static function withoutStandard(array $outlet): array
    {
        $coupler = Coupler::of(is_string($outlet['coupler'] ?? null) ? $outlet['coupler'] : '');
        $isAc = ($outlet['current'] ?? null) === CurrentKind::Ac->value;
        if (($isAc ? Standards::acProtocol($coupler->family) : Standards::dcProtocol($coupler->family)) !== null) {
            unset($outlet['signalling']);
        }
        if ($isAc && is_array($outlet['supply'] ?? null) && Standards::supplyPhases($coupler)?->isAtLeast === false) {
            unset($outlet['supply']['phases']);
        }

        return $outlet;
    }

    /**
     * @param  array<string, mixed>  $plate
     * @return list<string> of every fact that such a plate may hold
     */
    private static function paths(FactOwner $of, array $plate): array
    {
        $adapters = [...array_map(static fn (Fact $f): string => $f->path(), self::facts(FactOwner::Adapter)), ...self::BOOST];
        if ($of === FactOwner::Adapter) {
            return $adapters;
        }
        $paths = array_map(static fn (Fact $f): string => $f->path(), self::facts($of));
        if ($of === FactOwner::Outlet) {
            return is_array($plate[self::ATTACHED] ?? null) ? [...$paths, ...array_map(static fn (string $p): string => self::ATTACHED.".{$p}", $adapters)] : $paths;
        }
        foreach (is_array($plate['inlets'] ?? null) ? array_keys($plate['inlets']) : [] as $i) {
            array_push($paths, ...array_map(static fn (Fact $f): string => "inlets.{$i}.{$f->path()}", self::facts(FactOwner::Inlet)));
        }

        return $paths;
    }

    /** @return list<Fact> */
    private static function facts(FactOwner $of): array
    {
        return array_values(array_filter(Fact::cases(), static fn (Fact $f): bool => $f->owner() === $of));
    }

    /**
     * @param  array<string, mixed>  $plate
     * @return array<array-key, mixed>
     */
    private static function origins(array $plate): array
    {
        return is_array($plate['origins'] ?? null) ? $plate['origins'] : [];
    }

    /**
     * @param  array<string, mixed>  $plate
     * @param  array<array-key, mixed>  $origins
     * @return array<string, mixed>
     */
    private static function with(array $plate, array $origins): array
    {
        unset($plate['origins']);

        return $origins === [] ? $plate : [...$plate, 'origins' => $origins];
    }

    /** @param  array<string, mixed>  $plate */
    private static function valueAt(array $plate, string $path): mixed
    {
        $at = $plate;
        foreach (explode('.', $path) as $key) {
            $at = is_array($at) ? ($at[$key] ?? null) : null;
        }

        return $at;
    }

    private static function same(mixed $one, mixed $other): bool
    {
        return json_encode($one) === json_encode($other);
    }
}
