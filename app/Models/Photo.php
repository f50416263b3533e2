<?php

declare(strict_types=1);

namespace App\Models;

use App\Database\Bytes;
use App\Files\Shelf;
use App\Garage\BelongsToGarage;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * A photograph of a piece (its rating plate, or its place), or of a moment in a session.
 *
 * @property int $id
 * @property string $ulid
 * @property int $garage_id
 * @property string $kind of the piece, by PieceKind; or `session`
 * @property string $piece its public id
 * @property string $name the piece's, when the photograph was taken
 * @property string $bytes JPEG; empty where it is on the shelf
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

    private const SHELF = 'photos';

    protected $table = 'photos';

    protected $guarded = [];

    /** A picture that is on the shelf without being in the database has a day to come there (s). */
    private const UNNAMED_S = 86_400;

    /**
     * Stores a picture: in the database, or on the disk that several servers share.
     *
     * @param  array<string, mixed>  $of  its other columns
     */
    public static function store(array $of, string $bytes): self
    {
        $photo = new self($of + ['ulid' => Str::ulid()->toBase32()]);
        $photo->bytes = Shelf::isShared() ? '' : $bytes;
        DB::transaction(static function () use ($photo, $bytes): void {
            $photo->save();
            // A picture whose row is there is there.
            if ($photo->bytes === '') {
                Shelf::disk()->put($photo->place(), $bytes);
            }
        });

        return $photo;
    }

    /** JPEG. */
    public function picture(): string
    {
        return $this->bytes === '' ? (string) Shelf::disk()->get($this->place()) : $this->bytes;
    }

    /** Removes pictures from the shelf that no row names any more. */
    public static function sweepShelf(): void
    {
        if (! Shelf::isShared()) {
            return;
        }
        foreach (Shelf::disk()->directories(self::SHELF) as $folder) {
            $named = DB::table('photos')->where('garage_id', (int) basename($folder))->pluck('ulid')->flip();
            foreach (Shelf::disk()->files($folder) as $file) {
                if (! $named->has(basename($file, '.jpg')) && Shelf::disk()->lastModified($file) < time() - self::UNNAMED_S) {
                    Shelf::disk()->delete($file);
                }
            }
        }
    }

    private function place(): string
    {
        return implode('/', [self::SHELF, $this->garage_id, "{$this->ulid}.jpg"]);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['bytes' => Bytes::class];
    }
}
