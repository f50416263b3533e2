<?php

declare(strict_types=1);

namespace App\Kit;

use App\Models\Tour;
use App\Sessions\PastSessions;
use Harmozon\Core\Equipment\SetUpStep;
use Harmozon\Core\Fit\AdapterPolicy;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Kit\KitQuestion;
use Harmozon\Core\Kit\PackedNetwork;
use Harmozon\Core\Kit\PackedPiece;
use Harmozon\Core\Kit\PackedPlace;
use Harmozon\Core\Kit\PackingList;
use Harmozon\Core\Words\Voice;

/** What to pack for a tour: adapters, with when they were last proven and who has them, and what its networks need. */
final readonly class TourPacking
{
    public function __construct(private KitQuestions $questions, private PastSessions $past, private Voice $voice)
    {
    }

    /**
     * @return array{adapters: list<string>, pieces: list<array<string, mixed>>, networks: list<array<string, mixed>>, places: list<array<string, mixed>>}
     *
     * @throws FieldError when the tour has no car or no outlet, or more pairs than are answered at once
     */
    public function of(Tour $tour, AdapterPolicy $policy): array
    {
        $question = $this->questions->of($tour, $policy);
        $list = PackingList::of(self::stops($question), $question->owned, $question->conditions->visit->networks);

        return [
            'adapters' => array_map(static fn (PackedPiece $p): string => $p->adapter->id, $list->pieces),
            'pieces' => array_map($this->piece(...), $list->pieces),
            'networks' => array_map(fn (PackedNetwork $n): array => [
                'name' => $n->name, 'places' => $n->places, 'to_do' => $this->words($n->toDo), 'have' => $this->words($n->have), 'checked' => $n->isLookedAt, 'help_line' => $n->helpLine,
            ], $list->networks),
            'places' => array_map(static fn (PackedPlace $p): array => ['place' => $p->place, 'address' => $p->address, 'pull_through' => $p->pullThrough], PackedPlace::along($question->outlets)),
        ];
    }

    /** @return \Generator<int, array{string, \Harmozon\Core\Fit\Answer}> */
    private static function stops(KitQuestion $question): \Generator
    {
        $fitter = new Fitter($question->owned, $question->conditions, $question->policy);
        foreach ($question->outlets as $at) {
            foreach ($question->vehicles as $vehicle) {
                yield [$at->place, $fitter->answer($at->outlet, $vehicle)];
            }
        }
    }

    /** @return array<string, mixed> */
    private function piece(PackedPiece $packed): array
    {
        $proven = null;
        foreach ($this->past->used($packed->adapter->id) as $used) {
            $proven = $used->proved->ofContinuous === null ? $proven : $used->day;
        }
        $keeping = $packed->adapter->handling->keeping;

        return [
            'adapter' => $packed->adapter->id, 'places' => $packed->places, 'charge' => $packed->isToCharge(),
            'proven_on' => $proven, 'lent_to' => $keeping->lentTo, 'kept_in' => $keeping->keptIn,
        ];
    }

    /**
     * @param  list<SetUpStep>  $steps
     * @return list<string>
     */
    private function words(array $steps): array
    {
        return array_map(fn (SetUpStep $s): string => $this->voice->say($s->message()), $steps);
    }
}
