<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Drills\DrillDesk;
use App\Drills\PracticeGarage;
use App\Garage\CurrentGarage;
use App\Models\DrillProgress;
use App\People\SignedInUser;
use Harmozon\Core\Answers\DrillWriter;
use Harmozon\Core\Answers\SimulationWriter;
use Harmozon\Core\Bench\ExactInstruments;
use Harmozon\Core\Bench\Noise;
use Harmozon\Core\Bench\Simulation;
use Harmozon\Core\Drills\Drill;
use Harmozon\Core\Drills\DrillKind;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Drills for one person in the open garage. */
final class DrillController extends Controller
{
    public function __construct(private readonly DrillDesk $desk, private readonly DrillWriter $writer)
    {
    }

    /** The next question, and how far the person is with each kind. */
    public function next(PracticeGarage $practice, CurrentGarage $garage, Voice $voice): JsonResponse
    {
        $next = $this->desk->next(SignedInUser::signedIn());
        $isOwn = $practice->isOwn();

        return response()->json(['own' => $isOwn, 'next' => $next === null ? null : $this->writer->question(...$next), 'kinds' => self::kinds($garage, $voice)]);
    }

    public function answer(Request $request, CurrentGarage $garage, Voice $voice): JsonResponse
    {
        $given = Node::of($request->json()->all());
        [$kind, $seed, $drill] = $this->asked($given);
        $chosen = $drill->choice($given->text('choice')) ?? throw FieldError::at('choice', Message::of('app.drill_gone'));
        $this->desk->note(SignedInUser::signedIn(), $kind, $seed, $chosen->isRight);

        return response()->json([...$this->writer->judged($drill, $chosen, $seed), 'kinds' => self::kinds($garage, $voice)]);
    }

    /** The session of a drill, which the bench plays before it is answered. */
    public function play(Request $request, SimulationWriter $writer): JsonResponse
    {
        [, $seed, $drill] = $this->asked(Node::of($request->json()->all()));
        $answer = $drill->answer;
        if ($answer === null || $drill->fault === null) {
            throw FieldError::at('kind', Message::of('app.drill_not_played'));
        }
        $simulation = Simulation::of($answer, $seed, $drill->fault);

        return response()->json($writer->whole($answer, $simulation, $simulation->session(new ExactInstruments($answer->chain), Simulation::USUAL_EVERY_S), $seed, false));
    }

    /**
     * @return array{DrillKind, int, Drill}
     *
     * @throws FieldError
     */
    private function asked(Node $given): array
    {
        $kind = $given->choice('kind', DrillKind::class) ?? throw $given->fail('kind', Message::of('field.required'));
        $seed = $given->wholeNumber('seed', 0, Noise::LARGEST_SEED) ?? throw $given->fail('seed', Message::of('field.required'));

        // The garage may have changed since it was asked.
        return [$kind, $seed, $this->desk->drill($kind, $seed) ?? throw FieldError::at('seed', Message::of('app.drill_gone'))];
    }

    /** @return list<array{kind: string, name: string, asked: int, missed: int, step: int|null, due_on: string|null}> */
    private static function kinds(CurrentGarage $garage, Voice $voice): array
    {
        $progress = DrillProgress::of(SignedInUser::signedIn()->id, (int) $garage->id());

        return array_map(static function (DrillKind $kind) use ($progress, $voice): array {
            $found = $progress->get($kind->value);

            return ['kind' => $kind->value, 'name' => $voice->say($kind->message()), 'asked' => $found->asked ?? 0, 'missed' => $found->missed ?? 0, 'step' => $found?->step, 'due_on' => $found?->due_on];
        }, DrillKind::cases());
    }
}
