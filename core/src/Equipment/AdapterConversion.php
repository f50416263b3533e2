<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** What goes through an adapter: which current, and between which protocols it translates. */
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
