<?php

declare(strict_types=1);

namespace App\Imports;

use App\Garage\CurrentGarage;
use App\Models\ReadingsImport;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;

/** Imports a readings file in the background. */
final class TakeFileJob implements ShouldQueue
{
    use Dispatchable;

    /** No time limit: a long file takes as long as it takes. */
    public int $timeout = 0;

    public function __construct(public readonly int $garageId, public readonly int $importId)
    {
    }

    public function handle(CurrentGarage $garage, TakeFile $take): void
    {
        $garage->open($this->garageId, function () use ($take): void {
            $import = ReadingsImport::query()->find($this->importId);
            if ($import instanceof ReadingsImport) {
                $take->run($import);
            }
        });
    }
}
