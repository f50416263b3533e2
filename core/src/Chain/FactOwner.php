<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

/** Whose record a fact stands in. */
enum FactOwner
{
    case Outlet;
    case Vehicle;

    /** The inlet of the chain, in its vehicle's record. */
    case Inlet;
    case Adapter;
}
