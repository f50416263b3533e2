<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** The kind of current an adapter passes, and the protocols it translates between. */
final readonly class AdapterConversion
{
    /**
     * @param  CurrentKind|null  $current  null when not known
     * @param  Translation|null  $translates  null for a passive adapter
     */
    public function __construct(public ?CurrentKind $current, public ?Translation $translates = null)
    {
    }
}
