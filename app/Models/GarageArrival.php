<?php

declare(strict_types=1);

namespace App\Models;

use App\Files\Shelf;
use App\Garage\BelongsToGarage;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A garage's document that is being imported into this one.
 *
 * @property int $id
 * @property string $ulid
 * @property int $garage_id
 * @property string $name
 * @property int $bytes of the file
 * @property int $received of them
 * @property bool $replaces whether pieces that differ here are replaced
 * @property string $state of ImportState
 * @property int $claims
 * @property int $readings written so far
 * @property array{added: int, replaced: int, same: int, kept: list<string>}|null $moved the result
 * @property string|null $problem in words
 * @property Carbon $updated_at
 */
final class GarageArrival extends Model
{
    use BelongsToGarage;
    use BootsByName;
    use HasPublicId;

    protected $table = 'garage_arrivals';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['replaces' => 'boolean', 'moved' => 'array'];
    }

    public function path(): string
    {
        return storage_path("app/imports/{$this->ulid}.garage.json");
    }

    /** As {@see path}, with all that has arrived in it. */
    public function arrived(): string
    {
        Shelf::bring($this->path(), $this->received);

        return $this->path();
    }
}
