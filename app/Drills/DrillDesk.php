<?php

declare(strict_types=1);

namespace App\Drills;

use App\Garage\CurrentGarage;
use App\Models\DrillProgress;
use App\Models\User;
use Harmozon\Core\Bench\Noise;
use Harmozon\Core\Drills\Drill;
use Harmozon\Core\Drills\DrillKind;
use Harmozon\Core\Drills\DrillMaker;
use Harmozon\Core\Drills\DrillSchedule;
use Illuminate\Support\Facades\DB;

/** Asks one person drills in the open garage, and keeps how far they are. */
final class DrillDesk
{
    public function __construct(private readonly PracticeGarage $practice, private readonly CurrentGarage $garage)
    {
    }

    /** @return array{DrillKind, int, Drill}|null the kind, the seed and the drill that come next; null where there is nothing to ask */
    public function next(User $person): ?array
    {
        $progress = DrillProgress::of($person->id, (int) $this->garage->id());
        /** @var array<string, string> $dueOn */
        $dueOn = $progress->map(static fn (DrillProgress $p): string => $p->due_on)->all();
        $maker = $this->maker();
        foreach (DrillSchedule::order($dueOn, $this->garage->today()) as $kind) {
            $seed = $this->seed($maker, $person, $kind, $progress->get($kind->value)->asked ?? 0);
            $drill = $maker->drill($kind, $seed);
            if ($drill !== null) {
                return [$kind, $seed, $drill];
            }
        }

        return null;
    }

    public function drill(DrillKind $kind, int $seed): ?Drill
    {
        return $this->maker()->drill($kind, $seed);
    }

    private function maker(): DrillMaker
    {
        return new DrillMaker($this->practice->garage());
    }

    /** Notes an answer. One that was noted already, because its first answer got lost, changes nothing. */
    public function note(User $person, DrillKind $kind, int $seed, bool $isRight): void
    {
        $maker = $this->maker();
        DB::transaction(function () use ($maker, $person, $kind, $seed, $isRight): void {
            $at = ['user_id' => $person->id, 'garage_id' => (int) $this->garage->id(), 'kind' => $kind->value];
            $found = DrillProgress::query()->where($at)->first();
            if ($seed !== $this->seed($maker, $person, $kind, $found->asked ?? 0)) {
                return;
            }
            $step = DrillSchedule::next($found?->step, $isRight);
            DrillProgress::query()->updateOrCreate($at, ['asked' => ($found->asked ?? 0) + 1, 'missed' => ($found->missed ?? 0) + ($isRight ? 0 : 1), 'step' => $step, 'due_on' => DrillSchedule::dueOn($step, $this->garage->today())]);
        });
    }

    /** The same until it is answered, so that a reload asks the same. */
    private function seed(DrillMaker $maker, User $person, DrillKind $kind, int $asked): int
    {
        $seed = crc32("{$person->id} {$this->garage->id()} {$kind->value} {$asked}") & Noise::LARGEST_SEED;

        return $asked === 0 ? $maker->firstSeed($kind, $seed) : $seed;
    }
}
