<?php

declare(strict_types=1);

namespace App\Models;

use App\Garage\BelongsToGarage;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * A piece of equipment: a name, and its plate in the words of the case file.
 *
 * @property int $id
 * @property string $ulid
 * @property int $garage_id
 * @property string $name
 * @property string $blurb
 * @property int $position
 * @property array<string, mixed> $spec
 * @property int $version
 */
abstract class Piece extends Model
{
    use BelongsToGarage;
    use BootsByName;
    use HasPublicId;
    use SoftDeletes;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['spec' => 'array'];
    }

    /**
     * Read straight from its row: a garage shows hundreds of pieces, and casting would take ten times as long.
     *
     * @return array{id: string, version: int, name: string, blurb: string}
     */
    public function asShown(): array
    {
        ['ulid' => $id, 'version' => $version, 'name' => $name, 'blurb' => $blurb] = $this->attributes;

        return ['id' => (string) $id, 'version' => (int) $version, 'name' => (string) $name, 'blurb' => (string) $blurb];
    }

    /** Its plate as it is stored: an empty object stays one. */
    public function plate(): \stdClass
    {
        $plate = json_decode((string) $this->original['spec'], false, flags: JSON_THROW_ON_ERROR);

        return $plate instanceof \stdClass ? $plate : new \stdClass;
    }

    /**
     * @param  list<string>|null  $ids  public ids of those that are wanted; null for every one
     * @return Collection<int, static> as the garage arranged them
     */
    public static function inOrder(?array $ids = null): Collection
    {
        $query = static::query();
        if ($ids !== null) {
            $query->whereIn('ulid', $ids);
        }
        $query->orderBy('position')->orderBy('id');

        return $query->get();
    }

    /** @return array<string, mixed> as in a case file */
    public function inCaseFile(): array
    {
        ['ulid' => $id, 'name' => $name, 'spec' => $plate] = $this->attributes;
        /** @var array<string, mixed> $fields */
        $fields = json_decode((string) $plate, true, flags: JSON_THROW_ON_ERROR);

        return ['id' => $id, 'name' => $name, ...$fields];
    }
}
