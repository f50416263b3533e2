<?php

declare(strict_types=1);

namespace App\Models;

use App\Database\Bytes;
use App\Garage\BelongsToGarage;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * A photograph of a piece (its rating plate, or its place), or of a moment in a session.
 *
 * @property int $id
 * @property string $ulid
 * @property int $garage_id
 * @property string $kind of the piece, by PieceKind; or `session`
 * @property string $piece its public id
 * @property string $name the piece's, when the photograph was taken
 * @property string $bytes JPEG
 * @property int $width
 * @property int $height
 * @property int|null $t_ms milliseconds since plugging in, of one in a session
 * @property Carbon $created_at
 */
final class Photo extends Model
{
    use BelongsToGarage;
    use BootsByName;
    use HasPublicId;
    use SoftDeletes;

    protected $table = 'photos';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['bytes' => Bytes::class];
    }
}
