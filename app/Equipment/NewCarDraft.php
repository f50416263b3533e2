<?php

declare(strict_types=1);

namespace App\Equipment;

use App\Models\Outlet;
use Harmozon\Core\Answers\FitWriter;
use Harmozon\Core\Case\EquipmentReader;
use Harmozon\Core\Case\NewCar;
use Harmozon\Core\Catalogue\CarKinds;
use Harmozon\Core\Catalogue\CarQuestion;
use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Catalogue\OnboardCharger;
use Harmozon\Core\Catalogue\PackClass;
use Harmozon\Core\Catalogue\Region;
use Harmozon\Core\Catalogue\SearchWords;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Fit\Outcome;
use Harmozon\Core\Fit\QuestionWeight;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;

/** What a person's answers so far mean for the car at each kind of charger. Nothing is stored. */
final class NewCarDraft
{
    public function __construct(
        private readonly NewCar $newCar,
        private readonly CarKinds $carKinds,
        private readonly KindRows $kinds,
        private readonly Catalogue $catalogue,
        private readonly EquipmentReader $reader,
        private readonly PieceReader $pieceReader,
        private readonly FitWriter $writer,
        private readonly Voice $voice,
    ) {
    }

    /** @return array<string, mixed> the classes of battery by which a new car is described */
    public function classes(): array
    {
        return ['classes' => array_map(static fn (PackClass $c): array => [
            'id' => $c->id, 'name' => $c->name, 'seen' => $c->seen, 'least_v' => $c->volts->low->lowest(), 'most_v' => $c->volts->high->highest(),
        ], $this->carKinds->classes)];
    }

    /**
     * @param  list<Adapter>  $kit
     * @param  string  $today  ISO 8601
     * @return array<string, mixed>
     *
     * @throws FieldError when an answer cannot be taken
     */
    public function told(Node $node, array $kit, Conditions $conditions, Region $region, string $today): array
    {
        $answers = $this->newCar->answers($node);
        $plate = $this->newCar->plate($answers, $today);
        $cells = $plate === null ? [] : $this->cells($this->car($plate), $kit, $conditions, $region);

        return [
            'asks' => array_map(static fn (CarQuestion $q): string => $q->value, $answers->asks()),
            'onboard' => array_map(static fn (OnboardCharger $o): array => ['kw' => $o->kw, 'phases' => $o->phases], $this->carKinds->onboardChargers($answers)),
            'plate' => $plate,
            'region' => $region->value,
            'rows' => array_column($cells, 'row'),
            'settles' => array_map(
                static fn (QuestionWeight $n): array => ['question' => $n->question->value, 'opens' => $n->opens, 'narrows' => $n->narrows],
                // What does not exist where somebody lives settles nothing for them.
                QuestionWeight::of($answers, array_column(array_filter($cells, static fn (array $c): bool => $c['row']['here']), 'answer')),
            ),
        ];
    }

    /** @param  array<string, mixed>  $plate */
    private function car(array $plate): Vehicle
    {
        return $this->reader->vehicle(Node::of(['id' => 'new', 'name' => $this->voice->say(Message::of('app.this_car')), ...(array) json_decode((string) json_encode($plate), true)]));
    }

    /**
     * @param  list<Adapter>  $kit
     * @return list<array{row: array{name: string, found_by: string, group: string, here: bool, by_adapter: bool, cell: array<string, mixed>}, answer: ChainAnswer}>
     */
    private function cells(Vehicle $car, array $kit, Conditions $conditions, Region $region): array
    {
        $own = new Fitter([...$kit, ...$this->catalogue->suppliesBeside($kit)], $conditions);
        $buying = new Fitter($this->catalogue->forSale(), $conditions);

        return array_values($this->kinds->inOrder()->map(function (Outlet $kind) use ($car, $own, $buying, $region): array {
            $outlet = $this->pieceReader->outlet($kind);
            $answer = $own->answer($outlet, $car);

            return [
                'row' => [
                    'name' => $kind->name,
                    'found_by' => $this->voice->paragraph(SearchWords::outlet($outlet)),
                    'group' => $this->kinds->groupOf($kind),
                    'here' => $this->kinds->isIn($kind, $region),
                    'by_adapter' => $answer->best->outcome === Outcome::NoJoint && $buying->answer($outlet, $car)->best->outcome->mayFlow(),
                    'cell' => $this->writer->cell($answer),
                ],
                'answer' => $answer->best,
            ];
        })->all());
    }
}
