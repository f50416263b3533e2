<?php

declare(strict_types=1);

namespace App\Kit;

use App\Equipment\Board;
use App\Equipment\BoardRows;
use App\Equipment\PieceReader;
use App\Garage\CurrentGarage;
use App\Models\Outlet;
use App\Models\Place;
use App\Models\Tour;
use App\Models\Vehicle;
use App\Models\Wish;
use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Adapter as CoreAdapter;
use Harmozon\Core\Fit\AdapterPolicy;
use Harmozon\Core\Fit\Board as CoreBoard;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Kit\KitQuestion;
use Harmozon\Core\Kit\PlacedOutlet;
use Harmozon\Core\Kit\Travel;
use Harmozon\Core\Words\Message;
use Illuminate\Support\Collection;

/** The garage, or one tour of it, as a question about its kit. */
final readonly class KitQuestions
{
    public function __construct(private PieceReader $pieces, private BoardRows $rows, private Catalogue $catalogue, private CurrentGarage $garage)
    {
    }

    /**
     * @param  list<string>  $together  public ids of cars that travel at once
     *
     * @throws FieldError when there is no car or no outlet, or there are more pairs than are answered at once
     */
    public function of(?Tour $tour, AdapterPolicy $policy, array $together = []): KitQuestion
    {
        $cars = Vehicle::inOrder($tour === null || $tour->vehicles() === [] ? null : $tour->vehicles());
        /** @var Collection<int, Outlet> $outlets */
        $outlets = Outlet::query()->exists() ? $this->rows->along($tour) : new Collection;
        if ($cars->isEmpty()) {
            throw FieldError::at('vehicles', Message::of('field.kit_needs_cars'));
        }
        if ($outlets->isEmpty()) {
            throw FieldError::at('outlets', Message::of('field.kit_needs_outlets'));
        }
        Board::mustBeFew($outlets, $cars);

        $travel = new Travel(array_values(array_intersect($together, $cars->pluck('ulid')->all())), $tour !== null);
        $conditions = (new Conditions)->setUp($this->pieces->networks());
        /** @var array<int, string> $places */
        $places = Place::query()->pluck('ulid', 'id')->all();

        return new KitQuestion(
            array_values($cars->map($this->pieces->vehicle(...))->all()),
            array_values($outlets->map(fn (Outlet $o): PlacedOutlet => new PlacedOutlet($this->pieces->outlet($o), $places[$o->place_id] ?? ''))->all()),
            $this->owned($travel, $conditions),
            [...$this->wishes(), ...$this->catalogue->forSale()],
            $policy,
            $conditions,
            $travel,
            $this->garage->currency(),
        );
    }

    /** @return list<CoreAdapter> a fleet has many of a kind: cars that travel one at a time need only one of each */
    private function owned(Travel $travel, Conditions $conditions): array
    {
        $kit = $this->pieces->kit($this->pieces->adapters());

        return $travel->isTogether() ? $kit : CoreBoard::distinct($kit, $conditions);
    }

    /** @return list<CoreAdapter> as they would be bought */
    private function wishes(): array
    {
        return array_values(Wish::inOrder()->map(fn (Wish $wish): CoreAdapter => $this->pieces->wish($wish)->asBought())->all());
    }
}
