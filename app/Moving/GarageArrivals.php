<?php

declare(strict_types=1);

namespace App\Moving;

use App\Files\Shelf;
use App\Files\TextInput;
use App\Imports\ArrivingFile;
use App\Imports\ImportState;
use App\Models\Garage;
use App\Models\GarageArrival;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Refusal;
use Harmozon\Core\Words\Voice;
use Harmozon\Core\Words\WrongState;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Large garage documents: they arrive in parts and are imported in the background. */
final class GarageArrivals
{
    /** Days for which one is kept after it was last touched. */
    private const KEPT_DAYS = 7;

    /** How often a worker may die on a document before it is given up. */
    private const CLAIMS = 3;

    private const LONGEST_PROBLEM = 1_000;

    public function __construct(private readonly GarageImport $import, private readonly Voice $voice)
    {
    }

    public function begin(string $name, int $bytes, bool $replaces): GarageArrival
    {
        $this->prune();
        $most = config('harmozon.largest_garage');
        if ($bytes > $most) {
            throw FieldError::at('bytes', Message::of('app.import_too_large', most: Amount::count(intdiv(is_int($most) ? $most : 0, 1_000_000))));
        }
        if (GarageArrival::query()->whereNotIn('state', [ImportState::Done->value, ImportState::Failed->value])->exists()) {
            throw WrongState::of('file', Message::of('app.garage_under_way'));
        }

        return DB::transaction(static function () use ($name, $bytes, $replaces): GarageArrival {
            $arrival = GarageArrival::query()->create(['name' => $name, 'bytes' => $bytes, 'replaces' => $replaces, 'state' => ImportState::Arriving->value])->refresh();
            self::file($arrival)->announce();

            return $arrival;
        });
    }

    /** @param  resource  $piece */
    public function append(GarageArrival $arrival, int $from, $piece): GarageArrival
    {
        if ($arrival->state === ImportState::Arriving->value) {
            $received = self::file($arrival)->append($from, $piece);
            $arrival->update(['received' => $received, ...($received === $arrival->bytes ? ['state' => ImportState::Ready->value] : [])]);
        }

        return $arrival;
    }

    /** Starts the import in the background, once even if called twice. A failed one starts over. */
    public function start(GarageArrival $arrival): GarageArrival
    {
        if ($arrival->state === ImportState::Arriving->value) {
            throw WrongState::of('file', Message::of('app.import_arriving', received: Amount::count($arrival->received), bytes: Amount::count($arrival->bytes)));
        }
        if (in_array($arrival->state, [ImportState::Ready->value, ImportState::Failed->value], true)) {
            $arrival->update(['state' => ImportState::Waiting->value, 'claims' => 0, 'problem' => null, 'moved' => null]);
            BringGarageJob::dispatch($arrival->garage_id, $arrival->id);
        }

        return $arrival;
    }

    public function run(GarageArrival $arrival): void
    {
        $claimed = GarageArrival::query()->whereKey($arrival->id)->whereIn('state', [ImportState::Waiting->value, ImportState::Running->value])
            ->update(['state' => ImportState::Running->value, 'readings' => 0, 'claims' => DB::raw('claims + 1')]);
        $garage = Garage::query()->whereKey($arrival->garage_id)->first();
        if ($claimed !== 1 || $garage === null) {
            return;
        }
        try {
            if ($arrival->refresh()->claims > self::CLAIMS) {
                throw WrongState::of('file', Message::of('app.import_deadly'));
            }
            $moved = $this->import->bring($garage, TextInput::chunks($arrival->arrived(), 'file'), $arrival->replaces, static function (int $readings) use ($arrival): void {
                GarageArrival::query()->whereKey($arrival->id)->increment('readings', $readings);
            });
            $arrival->update(['state' => ImportState::Done->value, 'moved' => $moved->toArray()]);
            Shelf::forget($arrival->path());
        } catch (Refusal $e) {
            $this->fail($arrival, $e->complaint());
        } catch (\Throwable $e) {
            $this->fail($arrival, Message::of('app.garage_broke'));
            throw $e;
        }
    }

    /** Removes it; what it imported stays. */
    public function forget(GarageArrival $arrival): void
    {
        if (ImportState::from($arrival->refresh()->state)->isUnderWay()) {
            throw WrongState::of('file', Message::of('app.garage_under_way'));
        }
        Shelf::forget($arrival->path());
        $arrival->delete();
    }

    /** The newest, if any. */
    public function newest(): ?GarageArrival
    {
        return GarageArrival::query()->latest('id')->first();
    }

    private function fail(GarageArrival $arrival, Message $why): void
    {
        $arrival->update(['state' => ImportState::Failed->value, 'problem' => mb_substr($this->voice->say($why), 0, self::LONGEST_PROBLEM)]);
    }

    private function prune(): void
    {
        $over = [ImportState::Arriving->value, ImportState::Ready->value, ImportState::Done->value, ImportState::Failed->value];
        foreach (GarageArrival::query()->whereIn('state', $over)->where('updated_at', '<', Carbon::now()->subDays(self::KEPT_DAYS))->get() as $old) {
            if ($old instanceof GarageArrival) {
                $this->forget($old);
            }
        }
    }

    private static function file(GarageArrival $arrival): ArrivingFile
    {
        return new ArrivingFile($arrival->path(), $arrival->bytes, $arrival->received);
    }
}
