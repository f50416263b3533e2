<?php

declare(strict_types=1);

namespace App\Demo;

use App\Equipment\FitQuestion;
use App\Garage\CurrentGarage;
use App\Garage\Role;
use App\Models\Adapter;
use App\Models\ChargeSession;
use App\Models\Garage;
use App\Models\Network;
use App\Models\Outlet;
use App\Models\Place;
use App\Models\Tour;
use App\Models\User;
use App\Models\Vehicle;
use App\People\Registration;
use App\Sessions\EventRecorder;
use App\Sessions\ReadingRecorder;
use App\Sessions\SessionChain;
use App\Sessions\SessionRecorder;
use Harmozon\Core\Bench\StandIn;
use Harmozon\Core\Case\ScriptReader;
use Harmozon\Core\Json\Node;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * The demo's made-up company with its adapters, places and simulated sessions; and a second garage overseas with an
 * account of its own.
 */
final class DemoGarage
{
    private const FILES = ['demo/lanternfish.json', 'demo/overseas.json'];

    public function __construct(
        private readonly CurrentGarage $garage,
        private readonly SessionRecorder $recorder,
        private readonly ReadingRecorder $readings,
        private readonly EventRecorder $events,
        private readonly ScriptReader $scripts,
        private readonly Registration $registration,
    ) {
    }

    /**
     * Loads the garages; existing ones are replaced with everything in them, or left as they are.
     *
     * @return list<Garage> those that were loaded, the company's own first
     */
    public function load(bool $onlyMissing = false): array
    {
        $loaded = [];
        foreach (self::FILES as $file) {
            $demo = Node::fromJson((string) file_get_contents(database_path($file)));
            if (! $onlyMissing || User::query()->where('email', $demo->object('user')->text('email'))->whereNotNull('garage_id')->doesntExist()) {
                $loaded[] = $this->loadFile($demo);
            }
        }

        return $loaded;
    }

    private function loadFile(Node $demo): Garage
    {
        return DB::transaction(function () use ($demo): Garage {
            $email = $demo->object('user')->text('email');
            $before = User::query()->with('garage')->firstWhere('email', $email);
            $before?->garage?->delete();
            $before?->delete();
            $about = $demo->object('garage');
            $garage = Garage::query()->create([
                'name' => $about->text('name'), 'timezone' => $about->text('timezone'), 'currency' => $about->text('currency'), 'units' => $about->textOrNull('units') ?? 'metric', 'locale' => $about->textOrNull('locale') ?? 'en-GB',
            ]);
            $keeper = $this->registration->account($demo->object('user')->text('name'), $email, (string) config('harmozon.demo_password'));
            $this->registration->join($keeper, $garage, Role::Keeper);
            $this->garage->open($garage->id, fn () => $this->fill($demo));

            return $garage;
        });
    }

    private function fill(Node $demo): void
    {
        foreach ($demo->objects('vehicles') as $i => $node) {
            Vehicle::query()->create(self::piece($node, $i));
        }
        foreach ($demo->objects('adapters') as $i => $node) {
            Adapter::query()->create(['tag' => $node->text('tag'), ...self::piece($node, $i)]);
        }
        $position = 0;
        foreach ($demo->objects('places') as $i => $node) {
            $place = Place::query()->create(['name' => $node->text('name'), 'position' => $i]);
            foreach ($node->objects('outlets') as $outlet) {
                Outlet::query()->create(['place_id' => $place->id, ...self::piece($outlet, $position++)]);
            }
        }
        foreach ($demo->objectsOrNone('networks') as $i => $node) {
            Network::query()->create(['name' => $node->text('name'), 'position' => $i, 'spec' => $node->raw('spec')]);
        }
        foreach ($demo->objectsOrNone('tours') as $i => $node) {
            Tour::query()->create(['name' => $node->text('name'), 'position' => $i, 'spec' => ['places' => self::named(Place::class, $node->texts('places')), 'vehicles' => self::named(Vehicle::class, $node->texts('vehicles'))]]);
        }
        foreach ($demo->objects('sessions') as $node) {
            $this->session($node);
        }
    }

    /**
     * @param  class-string<Place|Vehicle>  $of
     * @param  list<string>|null  $names
     * @return list<string> public ids, in the order of the names
     */
    private static function named(string $of, ?array $names): array
    {
        return array_map(static fn (string $name): string => $of::query()->where('name', $name)->firstOrFail()->ulid, $names ?? []);
    }

    private function session(Node $node): void
    {
        $adapters = array_map(
            static fn (string $tag): string => Adapter::query()->where('tag', $tag)->firstOrFail()->ulid,
            $node->texts('adapters') ?? [],
        );
        $conditions = $node->raw('conditions');
        $question = FitQuestion::ask(
            Outlet::query()->where('name', $node->text('outlet'))->firstOrFail()->ulid,
            Vehicle::query()->where('name', $node->text('vehicle'))->firstOrFail()->ulid,
            $adapters, true, 'certified', is_array($conditions) ? array_filter($conditions, is_string(...), ARRAY_FILTER_USE_KEY) : [],
        );
        $daysAgo = $node->wholeNumber('days_ago', 0, 3650) ?? 0;
        $startedAt = Carbon::now()->startOfDay()->subDays($daysAgo)->addHours(17)->addMinutes(7 * $daysAgo % 60);
        $session = $this->recorder->begin($question, $startedAt, $node->text('note'), stall: $node->textOrNull('stall'));
        $lastMs = $this->actOut($session, $node);
        $this->recorder->finish($session->refresh(), $startedAt->copy()->addMilliseconds($lastMs));
    }

    /** @return int when the last reading was taken (ms) */
    private function actOut(ChargeSession $session, Node $node): int
    {
        $chain = SessionChain::of($session, $node->objectOrNull('really')?->fields() ?? []);
        $script = $this->scripts->script($node->object('script'));
        $simulated = StandIn::noted($chain->answer->chain, $chain->answer->voltage, $chain->conditions, $script);
        $readings = [];
        $lastMs = 0;
        foreach ($simulated->readings as $reading) {
            $readings[Str::ulid()->toBase32()] = $reading;
            $lastMs = $reading->tMs;
        }
        $this->readings->take($session, $readings);
        if ($node->boolOrNull('notes_events') ?? false) {
            foreach ($simulated->events as $event) {
                $this->events->note($session, [Str::ulid()->toBase32() => $event]);
            }
        }

        return $lastMs;
    }

    /** @return array{name: string, blurb: string, position: int, spec: mixed} */
    private static function piece(Node $node, int $position): array
    {
        return ['name' => $node->text('name'), 'blurb' => $node->text('blurb'), 'position' => $position, 'spec' => $node->raw('spec')];
    }
}
