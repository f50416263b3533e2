<?php

declare(strict_types=1);

namespace Harmozon\Core\Case;

use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Kit\KitQuestion;
use Harmozon\Core\Kit\PlacedOutlet;
use Harmozon\Core\Kit\Travel;
use Harmozon\Core\Words\Message;

/** Reads a garage's document as a question about its kit; `candidates` are the kinds for sale, else the catalogue's. */
final class KitReader
{
    /** As many kinds as a catalogue has, with room. */
    private const MOST_CANDIDATES = 200;

    public function __construct(private readonly Catalogue $catalogue, private readonly EquipmentReader $equipment = new EquipmentReader)
    {
    }

    /**
     * @param  list<string>  $together  ids of cars that travel at once
     *
     * @throws FieldError
     */
    public function question(Node $node, array $together = []): KitQuestion
    {
        $garage = (new CaseReader($this->equipment))->garage($node);
        if ($garage->vehicles === []) {
            throw $node->fail('vehicles', Message::of('field.kit_needs_cars'));
        }
        if ($garage->outlets === []) {
            throw $node->fail('outlets', Message::of('field.kit_needs_outlets'));
        }
        $outlets = [];
        foreach ($node->objects('outlets', count($garage->outlets)) as $number => $outlet) {
            $outlets[] = new PlacedOutlet($garage->outlets[$number], $outlet->textOrNull('place') ?? $garage->outlets[$number]->id);
        }
        $cars = array_map(static fn ($vehicle): string => $vehicle->id, $garage->vehicles);
        foreach (array_diff($together, $cars) as $id) {
            throw FieldError::at('together', Message::of('field.unknown_car', id: $id));
        }

        return new KitQuestion(
            $garage->vehicles,
            $outlets,
            $garage->adapters,
            $this->candidates($node, $garage),
            $garage->policy,
            $garage->conditions,
            new Travel(array_values(array_unique($together))),
            $node->objectOrNull('settings')?->textOrNull('currency'),
        );
    }

    /** @return list<Adapter> */
    private function candidates(Node $node, GarageFile $garage): array
    {
        if (! $node->has('candidates')) {
            return $this->catalogue->forSale();
        }
        $taken = array_fill_keys(array_map(static fn (Adapter $owned): string => $owned->id, $garage->adapters), true);
        $candidates = [];
        foreach ($node->objects('candidates', self::MOST_CANDIDATES) as $kind) {
            $adapter = $this->equipment->adapter($kind);
            if (isset($taken[$adapter->id])) {
                throw $kind->fail('id', Message::of('field.twice', id: $adapter->id));
            }
            $taken[$adapter->id] = true;
            $candidates[] = $adapter->offered();
        }

        return $candidates;
    }
}
