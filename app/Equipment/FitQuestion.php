<?php

declare(strict_types=1);

namespace App\Equipment;

use App\Models\Adapter;
use App\Models\Network;
use App\Models\Outlet;
use App\Models\Vehicle;
use Harmozon\Core\Case\CaseReader;
use Harmozon\Core\Case\FitCase;
use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Equipment\Adapter as CoreAdapter;
use Harmozon\Core\Fit\Answer;
use Harmozon\Core\Fit\Change;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Words\Message;
use Illuminate\Support\Collection;

/** A question about one car at one outlet, asked with pieces of the garage. */
final class FitQuestion
{
    private ?FitCase $case = null;

    /**
     * @param  Collection<int, Adapter>  $adapters  the kit to choose from
     * @param  bool  $isWholeCrate  whether the kit is all there is
     * @param  list<string>|null  $exactly  ids of exactly the adapters to use
     * @param  array<string, mixed>  $conditions
     */
    private function __construct(
        public readonly Outlet $outlet,
        public readonly Vehicle $vehicle,
        public readonly Collection $adapters,
        private readonly bool $isWholeCrate,
        private readonly ?array $exactly,
        private readonly string $policy,
        private readonly array $conditions,
    ) {
    }

    /**
     * @param  list<string>|null  $adapterIds  null: the whole crate
     * @param  array<string, mixed>  $conditions
     *
     * @throws FieldError when a piece is not in this garage
     */
    public static function ask(string $outletId, string $vehicleId, ?array $adapterIds, bool $isExact, string $policy, array $conditions): self
    {
        $outlet = app(BoardRows::class)->find($outletId) ?? throw FieldError::at('outlet', Message::of('app.not_in_garage'));
        $vehicle = Vehicle::query()->firstWhere('ulid', $vehicleId) ?? throw FieldError::at('vehicle', Message::of('app.not_in_garage'));
        $pieceReader = Adapter::inOrder()->keyBy('ulid');
        $adapters = $adapterIds === null ? $pieceReader->values() : new Collection;
        foreach ($adapterIds ?? [] as $i => $id) {
            $adapter = $pieceReader->get($id);
            if ($adapter !== null) {
                $adapters->push($adapter);
            } elseif ($id !== $outlet->attachedAdapterId()) {
                throw FieldError::at("adapters[{$i}]", Message::of('app.not_in_garage'));
            }
        }

        return new self($outlet, $vehicle, $adapters->unique('ulid')->values(), $adapterIds === null, $isExact ? ($adapterIds ?? []) : null, $policy, $conditions);
    }

    /** @return array<string, mixed> the same question as a case file */
    public function caseFile(): array
    {
        return [
            'format' => CaseReader::FORMAT,
            'version' => CaseReader::VERSION,
            'vehicle' => $this->vehicle->inCaseFile(),
            'adapters' => array_values($this->adapters->map(static fn (Adapter $a): array => $a->inCaseFile())->all()),
            'outlet' => $this->outlet->inCaseFile(),
            'networks' => array_values(Network::inOrder()->map(static fn (Network $n): array => $n->inCaseFile())->all()),
            'policy' => $this->policy,
            'conditions' => $this->withHeatLeft(),
        ];
    }

    public function case(): FitCase
    {
        return $this->case ??= (new CaseReader)->case(Node::of($this->caseFile()))->remembering(app(GarageExperience::class)->remembered());
    }

    /** @return array<string, mixed> the conditions; heat that the log knows of is there still, unless somebody says otherwise */
    private function withHeatLeft(): array
    {
        $told = $this->conditions['theta'] ?? [];
        $left = is_array($told) ? array_diff_key(app(GarageExperience::class)->theta(app(PieceReader::class)->kit($this->adapters)), $told) : [];

        // It has decayed until now; a given rest would let it decay once more.
        return $left === [] || isset($this->conditions['rested_minutes']) && $this->conditions['rested_minutes'] > 0
            ? $this->conditions
            : [...$this->conditions, 'theta' => [...$left, ...$told]];
    }

    /** @return list<Change> single changes that would improve the answer of the whole kit */
    public function changes(Catalogue $catalogue, Answer $answer): array
    {
        $case = $this->case();

        return $case->changes($catalogue)->changes($answer->best, $case->outlet, $case->vehicle);
    }

    /** @return list<CoreAdapter> what could be bought, where that is asked; else, at a kind of charger, the usual portable supply */
    public function offered(bool $mayBuy, Catalogue $catalogue): array
    {
        return match (true) {
            $mayBuy => $catalogue->forSale(),
            $this->isWholeCrate && KindRows::isKind($this->outlet->ulid) => $catalogue->suppliesBeside($this->case()->adapters),
            default => [],
        };
    }

    /** @param  list<CoreAdapter>  $more  adapters beside the garage's own, for what could be bought */
    public function answer(array $more = []): Answer
    {
        $case = $this->case();
        if ($this->exactly === null) {
            return (new Fitter([...$case->adapters, ...$more], $case->conditions, $case->policy))->answer($case->outlet, $case->vehicle);
        }

        return $case->fitter()->exactly($case->outlet, $case->pieces($this->exactly), $case->vehicle);
    }
}
