<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

/** The piece whose record holds a fact. */
enum FactOwner
{
    case Outlet;
    case Vehicle;

    /** The inlet of the chain, in its vehicle's record. */
    case Inlet;
    case Adapter;
}
