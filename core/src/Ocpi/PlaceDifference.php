<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

/** Works out how a location in a file changes the garage's outlets there. */
final class PlaceDifference
{
    /**
     * @param  list<KnownOutlet>  $known  of this place; none when the place is new
     * @return list<OutletChange> in the file's order, those that are gone last
     */
    public static function of(FilePlace $place, array $known): array
    {
        $claimed = self::claims($place->outlets, $known);
        $changes = [];
        foreach ($place->outlets as $i => $outlet) {
            $at = $claimed[$i] ?? null;
            $changes[] = $at === null ? new OutletChange(ChangeKind::New, null, $outlet->name, $outlet->spec, $outlet) : self::changed($known[$at], $outlet);
        }
        foreach ($known as $at => $one) {
            if ($one->last !== null && ! $one->isAside && ! in_array($at, $claimed, true)) {
                $changes[] = new OutletChange(ChangeKind::Gone, $one->id, $one->name, $one->spec, null);
            }
        }

        return $changes;
    }

    /**
     * Which outlet here each outlet of the file is: the one that shares the most stalls with it. The first of equals is
     * taken, and no outlet is taken twice.
     *
     * @param  list<FileOutlet>  $outlets
     * @param  list<KnownOutlet>  $known
     * @return array<int, int> the place in `known` by that in `outlets`
     */
    private static function claims(array $outlets, array $known): array
    {
        $holders = [];
        foreach ($known as $at => $one) {
            foreach ($one->stallKeys() as $key) {
                $holders[$key][] = $at;
            }
        }
        $shared = [];
        foreach ($outlets as $i => $outlet) {
            $keys = $outlet->stallKeys();
            $times = array_count_values(array_merge([], ...array_map(static fn (string $key): array => $holders[$key] ?? [], $keys)));
            foreach ($known as $at => $one) {
                $n = $one->isMeantBy($outlet) ? count($keys) : $times[$at] ?? 0;
                if ($n > 0) {
                    $shared[] = [$n, $i, $at];
                }
            }
        }
        usort($shared, static fn (array $a, array $b): int => [$b[0], $a[1], $a[2]] <=> [$a[0], $b[1], $b[2]]);
        $claimed = [];
        foreach ($shared as [, $i, $at]) {
            if (! isset($claimed[$i]) && ! in_array($at, $claimed, true)) {
                $claimed[$i] = $at;
            }
        }

        return $claimed;
    }

    private static function changed(KnownOutlet $known, FileOutlet $file): OutletChange
    {
        if ($known->isAside) {
            return new OutletChange(ChangeKind::Aside, $known->id, $known->name, $known->spec, $file);
        }
        // What we wrote into a file ourselves tells us nothing new.
        if ($known->isMeantBy($file)) {
            return new OutletChange(ChangeKind::Same, $known->id, $known->name, $known->spec, null);
        }
        $file = $file->keepingPriceOf($known->last);
        [$merged, $figures] = PlateMerge::of(['name' => $known->name, ...$known->spec], ['name' => $known->last?->name, ...($known->last->spec ?? [])], ['name' => $file->name, ...$file->spec]);
        $isChanged = array_filter($figures, static fn (FigureChange $f): bool => ! $f->isKept) !== [];
        $name = is_string($merged['name']) ? $merged['name'] : $known->name;
        unset($merged['name']);

        return new OutletChange($isChanged ? ChangeKind::Changed : ChangeKind::Same, $known->id, $name, $merged, $file, $figures);
    }
}
