<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Harmozon\Core\Bench\InjectedFault;
use Harmozon\Core\Bench\Noise;
use Harmozon\Core\Bench\Script;
use Harmozon\Core\Case\FaultReader;
use Harmozon\Core\Json\FieldError;

/** A chain to act out, the seed, and what goes wrong. */
final class SimulationRequest extends FitRequest
{
    public function rules(): array
    {
        return [...parent::rules(), 'seed' => ['integer', 'min:0', 'max:'.Noise::LARGEST_SEED], 'fault' => ['nullable', 'string', 'max:60'], 'every_s' => ['nullable', 'integer', 'min:1', 'max:'.Script::SLOWEST_S]];
    }

    public function seed(): int
    {
        return $this->integer('seed', 1);
    }

    /** Seconds between the readings that are asked for; null where none are. */
    public function everyS(): ?int
    {
        $everyS = $this->validated('every_s');

        return is_numeric($everyS) ? (int) $everyS : null;
    }

    /** @throws FieldError when it is none of ours */
    public function fault(): ?InjectedFault
    {
        $fault = $this->validated('fault');

        return is_string($fault) ? FaultReader::fault($fault, 'fault') : null;
    }
}
