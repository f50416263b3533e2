<?php

declare(strict_types=1);

namespace Harmozon\Core\Case;

use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\AdapterNeed;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Equipment\Inlet;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\PlateLine;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;

/** Writes a piece as the lines of its plates. */
final readonly class PlateWriter
{
    public function __construct(private Voice $voice)
    {
    }

    /** @return list<string> */
    public function vehicle(Vehicle $vehicle): array
    {
        return [
            $this->voice->say(PlateLine::pack($vehicle)),
            ...array_map(fn (Inlet $i, int $index): string => $this->voice->say(Message::of(
                'plate.of_coupler', coupler: $i->coupler->name(), plate: PlateLine::inlet($vehicle, $index, $i->dc === null ? CurrentKind::Ac : CurrentKind::Dc),
            )), $vehicle->inlets, array_keys($vehicle->inlets)),
        ];
    }

    /** @return list<string> */
    public function adapter(Adapter $adapter): array
    {
        return [$this->voice->say(PlateLine::plate($adapter->rating->plate))];
    }

    /** @return array{code: string, words: string, forbids_use: bool}|null what its record says it needs before it is used */
    public function need(Adapter $adapter): ?array
    {
        $need = AdapterNeed::of($adapter);

        return $need === null ? null : ['code' => $need->value, 'words' => $this->voice->say($need->message($adapter)), 'forbids_use' => $need->forbidsUse()];
    }

    /** @return list<string> */
    public function outlet(Outlet $outlet): array
    {
        $stalls = PlateLine::stalls($outlet);

        return $this->voice->each([
            Message::of('plate.of_coupler', coupler: $outlet->coupler->name(), plate: PlateLine::outlet($outlet)),
            ...($stalls === null ? [] : [$stalls]),
        ]);
    }

    /** @return list<array{path: string, says: string, contradicts: bool}> what a standard fixes of it although nobody has read it, and what was read against one */
    public function byStandard(Vehicle|Outlet $piece): array
    {
        $lines = [];
        foreach ($piece->origins as $path => $origin) {
            if ($origin->standard === null) {
                continue;
            }
            $fact = Fact::at((string) $path);
            $value = $origin->isContradiction() || $fact === null ? null : StandardValue::of($fact, (string) $path, $piece);
            $says = match (true) {
                $origin->isContradiction() => Message::of('plate.contradicts', standard: $origin->standard),
                $value === null => Message::of('plate.own_battery'),
                $origin->high !== null => Message::of('plate.counts_as_at_least', value: $value, standard: $origin->standard),
                default => Message::of('plate.counts_as', value: $value, standard: $origin->standard),
            };
            $lines[] = ['path' => (string) $path, 'says' => $this->voice->say($says), 'contradicts' => $origin->isContradiction()];
        }

        return $lines;
    }
}
