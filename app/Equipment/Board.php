<?php

declare(strict_types=1);

namespace App\Equipment;

use App\Models\Outlet;
use App\Models\Vehicle;
use Harmozon\Core\Answers\FitWriter;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Equipment\Adapter as CoreAdapter;
use Harmozon\Core\Fit\AdapterPolicy;
use Harmozon\Core\Fit\Board as CoreBoard;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Illuminate\Support\Collection;

/** The cars of the garage at its outlets: all of them, or those in view. */
final class Board
{
    /** Pairs that are answered at once, in bounded time and memory. */
    public const MOST_PAIRS = 4000;

    public function __construct(private readonly PieceReader $pieceReader, private readonly FitWriter $writer, private readonly BoardRows $rows)
    {
    }

    /**
     * @param  list<CoreAdapter>  $kit
     * @param  list<string>|null  $outlets  public ids; null for every one
     * @param  list<string>|null  $vehicles  public ids; null for every one
     * @param  int|null  $first  a number of outlets from the top instead, place by place; fewer where they would be too many pairs
     * @return list<array<string, mixed>> one cell a pair
     *
     * @throws FieldError when that is more pairs than are answered at once
     */
    public function cells(array $kit, AdapterPolicy $policy, Conditions $conditions, ?array $outlets = null, ?array $vehicles = null, ?int $first = null): array
    {
        $cars = Vehicle::inOrder($vehicles);
        $rows = match (true) {
            $first !== null => $this->rows->top(min($first, intdiv(self::MOST_PAIRS, max(1, count($cars))))),
            $outlets !== null => $this->rows->those($outlets),
            default => $this->rows->inOrder(),
        };
        self::mustBeFew($rows, $cars);

        return array_map($this->writer->cell(...), iterator_to_array($this->of($kit, $policy, $conditions, $cars, $rows)->answers(), false));
    }

    /**
     * @param  list<CoreAdapter>  $kit
     * @param  Collection<int, Vehicle>  $cars
     * @param  Collection<int, Outlet>  $rows
     */
    private function of(array $kit, AdapterPolicy $policy, Conditions $conditions, Collection $cars, Collection $rows): CoreBoard
    {
        return new CoreBoard(new Fitter(CoreBoard::distinct($kit, $conditions), $conditions, $policy), $cars->map($this->pieceReader->vehicle(...)), $rows->map($this->pieceReader->outlet(...)));
    }

    /**
     * @param  Collection<int, Outlet>  $rows
     * @param  Collection<int, Vehicle>  $cars
     */
    public static function mustBeFew(Collection $rows, Collection $cars): void
    {
        if (count($rows) * count($cars) > self::MOST_PAIRS) {
            throw FieldError::at('outlets', Message::of('app.too_many_pairs', most: Amount::count(self::MOST_PAIRS)));
        }
    }
}
