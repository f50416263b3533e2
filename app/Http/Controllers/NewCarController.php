<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Equipment\Crate;
use App\Equipment\Rows;
use App\Garage\CurrentGarage;
use App\Models\Outlet;
use Harmozon\Core\Answers\FitWriter;
use Harmozon\Core\Case\EquipmentReader;
use Harmozon\Core\Case\NewCar;
use Harmozon\Core\Catalogue\CarKinds;
use Harmozon\Core\Catalogue\CarQuestion;
use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Catalogue\OnboardCharger;
use Harmozon\Core\Catalogue\PackClass;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Fit\Narrowing;
use Harmozon\Core\Fit\Outcome;
use Harmozon\Core\Json\Node;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** A car from a person's answers: what is asked, what it comes to so far, and what would narrow it. Nothing is written. */
final class NewCarController extends Controller
{
    public function __construct(private readonly Crate $crate, private readonly Catalogue $catalogue, private readonly FitWriter $writer)
    {
    }

    public function classes(CarKinds $kinds): JsonResponse
    {
        return response()->json(['classes' => array_map(static fn (PackClass $c): array => [
            'id' => $c->id, 'name' => $c->name, 'seen' => $c->seen, 'least_v' => $c->volts->low->lowest(), 'most_v' => $c->volts->high->highest(),
        ], $kinds->classes)]);
    }

    public function draft(Request $request, NewCar $newCar, EquipmentReader $reader, Rows $rows, CurrentGarage $garage, CarKinds $kinds): JsonResponse
    {
        $answers = $newCar->answers(Node::of(array_filter($request->json()->all(), is_string(...), ARRAY_FILTER_USE_KEY)));
        $plate = $newCar->plate($answers, $garage->today());
        $cells = $plate === null ? [] : $this->cells($reader->vehicle(Node::of(
            ['id' => 'new', 'name' => 'new', ...(array) json_decode((string) json_encode($plate), true)],
        )), $rows);

        return response()->json([
            'asks' => array_map(static fn (CarQuestion $q): string => $q->value, $answers->asks()),
            'onboard' => array_map(static fn (OnboardCharger $o): array => ['kw' => $o->kw, 'phases' => $o->phases], $kinds->onboardChargers($answers)),
            'plate' => $plate,
            'rows' => array_column($cells, 'row'),
            'narrows' => array_map(static fn (CarQuestion $q): string => $q->value, Narrowing::first($answers, array_column($cells, 'answer'))),
        ]);
    }

    /** @return list<array{row: array<string, mixed>, answer: ChainAnswer}> with the garage's own kit; where that joins nothing, whether a piece for sale would */
    private function cells(Vehicle $car, Rows $rows): array
    {
        $conditions = (new Conditions)->setUp($this->crate->networks());
        $own = new Fitter($this->crate->kit($this->crate->adapters()), $conditions);
        $buying = new Fitter($this->catalogue->forSale(), $conditions);
        $groups = $rows->groups();

        return array_values($rows->kinds()->map(function (Outlet $kind) use ($car, $own, $buying, $groups): array {
            $outlet = $this->crate->outlet($kind);
            $answer = $own->answer($outlet, $car);

            return [
                'row' => [
                    'name' => $kind->name,
                    'group' => $groups[$kind->ulid],
                    'by_adapter' => $answer->best->outcome === Outcome::NoJoint && $buying->answer($outlet, $car)->best->outcome->mayFlow(),
                    'cell' => $this->writer->cell($answer),
                ],
                'answer' => $answer->best,
            ];
        })->all());
    }
}
