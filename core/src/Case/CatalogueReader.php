<?php

declare(strict_types=1);

namespace Harmozon\Core\Case;

use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Catalogue\ChargerKind;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;

/** Reads the catalogue that is shipped beside the core (`core/catalogue`), whose pieces are in the words of the case file. */
final class CatalogueReader
{
    public function __construct(private readonly EquipmentReader $equipment = new EquipmentReader)
    {
    }

    /**
     * @param  string  $chargerKinds  JSON
     * @param  string  $adapterKinds  JSON
     *
     * @throws FieldError
     */
    public function catalogue(string $chargerKinds, string $adapterKinds): Catalogue
    {
        $document = Node::fromJson($chargerKinds);
        $groups = array_map(static fn (Node $group): array => [$group->text('id'), $group->text('name')], $document->objects('groups'));

        return new Catalogue(
            array_column($groups, 1, 0),
            array_map($this->charger(...), $document->objects('kinds')),
            array_map(fn (Node $kind): Adapter => $this->equipment->adapter(self::named($kind, 'adapter')), Node::fromJson($adapterKinds)->objects('kinds')),
        );
    }

    private function charger(Node $kind): ChargerKind
    {
        return new ChargerKind(
            $kind->text('id'),
            $kind->text('group'),
            $kind->text('name'),
            $kind->text('seen'),
            $kind->texts('read') ?? [],
            $this->equipment->outlet(self::named($kind, 'outlet')),
        );
    }

    /** The plate of a kind, under the kind's own id and name. */
    private static function named(Node $kind, string $plate): Node
    {
        return $kind->object($plate)->with(['id' => $kind->text('id'), 'name' => $kind->text('name')]);
    }
}
