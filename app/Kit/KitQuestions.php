<?php

declare(strict_types=1);

namespace App\Kit;

use App\Equipment\Board;
use App\Equipment\BoardRows;
use App\Equipment\PieceReader;
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
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Illuminate\Support\Collection;

/** The garage, or one tour of it, as a question about its kit. */
final readonly class KitQuestions
{
    public function __construct(private PieceReader $pieces, private BoardRows $rows, private Catalogue $catalogue)
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
        if (count($cars) * count($outlets) > Board::MOST_PAIRS) {
            throw FieldError::at('outlets', Message::of('app.too_many_pairs', most: Amount::count(Board::MOST_PAIRS)));
        }

        $conditions = (new Conditions)->setUp($this->pieces->networks());
        /** @var array<int, string> $places */
        $places = Place::query()->pluck('ulid', 'id')->all();

        return new KitQuestion(
            array_values($cars->map($this->pieces->vehicle(...))->all()),
            array_values($outlets->map(fn (Outlet $o): PlacedOutlet => new PlacedOutlet($this->pieces->outlet($o), $places[$o->place_id] ?? ''))->all()),
            $this->owned($together, $conditions),
            [...$this->wishes(), ...$this->catalogue->forSale()],
            $policy,
            $conditions,
            new Travel(array_values(array_intersect($together, $cars->pluck('ulid')->all())), $tour !== null),
        );
    }

    /**
     * A fleet has many of a kind: cars that travel one at a time need only one of each.
     *
     * @param  list<string>  $together
     * @return list<CoreAdapter>
     */
    private function owned(array $together, Conditions $conditions): array
    {
        $kit = $this->pieces->kit($this->pieces->adapters());

        return count($together) > 1 ? $kit : CoreBoard::distinct($kit, $conditions);
    }

    /** @return list<CoreAdapter> as they would have to be bought */
    private function wishes(): array
    {
        return array_values(Wish::inOrder()->map(function (Wish $wish): CoreAdapter {
            $adapter = $this->pieces->wish($wish);

            return $adapter->trust->recalled === true || $adapter->trust->damaged === true ? $adapter->offered() : $adapter->forSale();
        })->all());
    }
}
