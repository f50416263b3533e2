<?php

declare(strict_types=1);

namespace App\Models;

use App\Garage\BelongsToGarage;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * The mapping used for an instrument's files.
 *
 * @property int $id
 * @property int $garage_id
 * @property string $source hash of the header
 * @property string $name of the file by which it was told
 * @property array<string, mixed> $mapping
 * @property Carbon $updated_at
 */
final class ReadingsSource extends Model
{
    use BelongsToGarage;
    use BootsByName;

    protected $table = 'readings_sources';

    protected $guarded = [];

    /** @return list<array{source: string, name: string, mapping: array<string, mixed>}> in an order of their own */
    public static function told(): array
    {
        $query = self::query();
        $query->orderBy('source');

        return array_values($query->get()->map(static fn (self $s): array => ['source' => $s->source, 'name' => $s->name, 'mapping' => $s->mapping])->all());
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['mapping' => 'array'];
    }
}
