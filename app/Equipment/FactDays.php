<?php

declare(strict_types=1);

namespace App\Equipment;

use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Chain\FactOwner;
use Harmozon\Core\Equipment\Origin;

/** Writes down since when the facts of a plate are known: one that a person types was read on that day. */
final class FactDays
{
    /** On the label of an adapter too, although nobody is asked for them: an adapter may have none. */
    private const BOOST = ['plate.boost_a', 'plate.boost_minutes', 'plate.max_kw'];

    /**
     * @param  array<string, mixed>  $before  the plate as it was; empty for a new one
     * @param  array<string, mixed>  $after  the plate as it is typed
     * @return array<string, mixed> the same with the origins of the facts that changed
     */
    public static function noted(PieceKind $kind, array $before, array $after, string $day): array
    {
        $told = is_array($after['origins'] ?? null) ? $after['origins'] : [];
        $known = is_array($before['origins'] ?? null) ? $before['origins'] : [];
        foreach ($told as $path => $entry) {
            if (is_array($entry) && ! isset($entry['on']) && ! self::same($entry, $known[$path] ?? null)) {
                $told[$path] = [...$entry, 'on' => $day];
            }
        }
        foreach (self::paths($kind, $after) as $path) {
            [$was, $is] = [data_get($before, $path), data_get($after, $path)];
            // Whoever says where a value comes from is believed; else a value that is typed was read.
            if (self::same($was, $is) || ! self::same($told[$path] ?? null, $known[$path] ?? null)) {
                continue;
            }
            unset($told[$path]);
            if ($is !== null) {
                $told[$path] = ['origin' => Origin::Read->value, 'on' => $day];
            }
        }
        unset($after['origins']);

        return $told === [] ? $after : [...$after, 'origins' => $told];
    }

    /**
     * The plate of an outlet with what its network's file says of it marked as that; what a person typed keeps its own day.
     *
     * @param  array<string, mixed>  $plate
     * @param  array<string, mixed>  $file  as the network says
     * @return array<string, mixed>
     */
    public static function imported(array $plate, array $file, string $day): array
    {
        $told = is_array($plate['origins'] ?? null) ? $plate['origins'] : [];
        foreach (self::paths(PieceKind::Outlets, $plate) as $path) {
            $value = data_get($plate, $path);
            $isTheirs = $value !== null && self::same($value, data_get($file, $path));
            if ($isTheirs && ($told[$path]['origin'] ?? null) !== Origin::Imported->value) {
                $told[$path] = ['origin' => Origin::Imported->value, 'on' => $day];
            } elseif (! $isTheirs && ($told[$path]['origin'] ?? null) === Origin::Imported->value) {
                unset($told[$path]);
            }
        }

        return $told === [] ? $plate : [...$plate, 'origins' => $told];
    }

    /**
     * The usual plate of a kind as a piece begins with it: nobody has read it yet. What its shape alone settles is not
     * doubted: every shape but one has one language, by its standard.
     *
     * @param  array<string, mixed>  $plate
     * @return array<string, mixed>
     */
    public static function usual(PieceKind $kind, array $plate): array
    {
        $settled = ($plate['coupler'] ?? null) === 'j3400' && ($plate['current'] ?? null) === 'dc' ? [] : [Fact::StationLanguages->path()];
        $origins = [];
        foreach (array_diff(self::paths($kind, $plate), $settled) as $path) {
            if (data_get($plate, $path) !== null) {
                $origins[$path] = ['origin' => Origin::Typical->value];
            }
        }

        return [...$plate, 'origins' => (object) $origins];
    }

    /**
     * @param  array<string, mixed>  $plate
     * @return list<string>
     */
    private static function paths(PieceKind $kind, array $plate): array
    {
        $paths = $kind === PieceKind::Adapters ? self::BOOST : [];
        $inlets = is_array($plate['inlets'] ?? null) ? count($plate['inlets']) : 0;
        foreach (Fact::cases() as $fact) {
            $owner = $fact->owner();
            if ($owner === FactOwner::Inlet && $kind === PieceKind::Vehicles) {
                for ($i = 0; $i < $inlets; $i++) {
                    $paths[] = "inlets.{$i}.{$fact->path()}";
                }
            } elseif ($owner === match ($kind) {
                PieceKind::Vehicles => FactOwner::Vehicle,
                PieceKind::Adapters => FactOwner::Adapter,
                PieceKind::Outlets => FactOwner::Outlet,
                default => null,
            }) {
                $paths[] = $fact->path();
            }
        }

        return $paths;
    }

    private static function same(mixed $one, mixed $other): bool
    {
        return json_encode($one) === json_encode($other);
    }
}
