<?php

declare(strict_types=1);

namespace Harmozon\Core\Case;

use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Catalogue\ChargerKind;
use Harmozon\Core\Catalogue\Region;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Words\Message;

/** Reads the catalogue that is shipped beside the core (`core/catalogue`), whose pieces are in the words of the case file. */
final class CatalogueReader
{
    public function __construct(private readonly EquipmentReader $equipment = new EquipmentReader)
    {
    }

    /**
     * @param  string  $chargerKinds  JSON
     * @param  string  $adapterKinds  JSON
     * @return Catalogue whose parts throw a FieldError when they are asked for and the file is not what it should be
     */
    public function catalogue(string $chargerKinds, string $adapterKinds): Catalogue
    {
        return new Catalogue(
            static fn (): array => array_column(array_map(static fn (Node $group): array => [$group->text('id'), $group->text('name')], Node::fromJson($chargerKinds)->objects('groups')), 1, 0),
            fn (): array => array_map($this->charger(...), Node::fromJson($chargerKinds)->objects('kinds')),
            fn (): array => array_map(fn (Node $kind): Adapter => $this->equipment->adapter(self::named($kind, 'adapter')), Node::fromJson($adapterKinds)->objects('kinds')),
        );
    }

    private function charger(Node $kind): ChargerKind
    {
        return new ChargerKind(
            $kind->text('id'),
            $kind->text('group'),
            $kind->choices('regions', Region::class) ?? throw $kind->fail('regions', Message::of('field.required')),
            $kind->text('name'),
            $kind->text('seen'),
            $kind->texts('read') ?? [],
            $this->equipment->outlet(self::named($kind, 'outlet')),
        );
    }

    /** A kind's plate, with the kind's id and name. */
    private static function named(Node $kind, string $plate): Node
    {
        return $kind->object($plate)->with(['id' => $kind->text('id'), 'name' => $kind->text('name')]);
    }
}
