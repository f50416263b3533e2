<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Equipment\Vehicle;

/**
 * A car at kinds of charger, with the pieces at hand. A socket is nothing without a portable supply, so where none is at hand it is
 * answered through the usual one for that socket, as a piece to have.
 */
final class AtKinds
{
    private readonly Fitter $own;

    private ?Fitter $bySupply = null;

    private ?Fitter $byAny = null;

    /** @param  list<Adapter>  $kit */
    public function __construct(array $kit, private readonly Catalogue $catalogue, private readonly Conditions $conditions)
    {
        $this->own = new Fitter($kit, $conditions);
    }

    public function answer(Outlet $kind, Vehicle $vehicle): Answer
    {
        $answer = $this->own->answer($kind, $vehicle);
        if ($answer->best->outcome !== Outcome::NoJoint || ! $kind->coupler->isSocket()) {
            return $answer;
        }
        $this->bySupply ??= new Fitter(array_values(array_filter($this->catalogue->forSale(), static fn (Adapter $a): bool => $a->isPortableSupply())), $this->conditions);
        $supplied = $this->bySupply->answer($kind, $vehicle);

        return $supplied->best->outcome === Outcome::NoJoint ? $answer : $supplied;
    }

    /** Whether a piece for sale would join what nothing at hand joins. */
    public function wouldJoin(Outlet $kind, Vehicle $vehicle): bool
    {
        $this->byAny ??= new Fitter($this->catalogue->forSale(), $this->conditions);

        return $this->byAny->answer($kind, $vehicle)->best->outcome->mayFlow();
    }
}
