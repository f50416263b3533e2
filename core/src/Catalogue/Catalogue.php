<?php

declare(strict_types=1);

namespace Harmozon\Core\Catalogue;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Files\EquipmentReader;
use Harmozon\Core\Files\FieldError;
use Harmozon\Core\Files\Node;

/**
 * What exists in the world: kinds of charger with their usual plates, and kinds of adapter that can be bought. Shipped
 * as data beside the core (`core/catalogue`) in the words of the case file.
 */
final readonly class Catalogue
{
    /**
     * @param  array<string, string>  $groups  names of the groups of chargers, in order, by id
     * @param  list<ChargerKind>  $chargers
     * @param  list<Adapter>  $adapters
     */
    private function __construct(public array $groups, public array $chargers, public array $adapters)
    {
    }

    /** @throws FieldError */
    public static function fromJson(string $chargerKinds, string $adapterKinds): self
    {
        $reader = new EquipmentReader;
        $document = Node::fromJson($chargerKinds);
        $groups = [];
        foreach ($document->objects('groups') as $group) {
            $groups[$group->text('id')] = $group->text('name');
        }

        return new self(
            $groups,
            array_map(static fn (Node $kind): ChargerKind => new ChargerKind(
                $kind->text('id'),
                $kind->text('group'),
                $kind->text('name'),
                $kind->text('seen'),
                $kind->texts('read') ?? [],
                $reader->outlet($kind->object('outlet')->with(['id' => $kind->text('id'), 'name' => $kind->text('name')])),
            ), $document->objects('kinds')),
            array_map(
                static fn (Node $kind): Adapter => $reader->adapter($kind->object('adapter')->with(['id' => $kind->text('id'), 'name' => $kind->text('name')])),
                Node::fromJson($adapterKinds)->objects('kinds'),
            ),
        );
    }
}
