<?php

declare(strict_types=1);

namespace App\Models;

use App\Files\Shelf;
use App\Garage\BelongsToGarage;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Readings\Foreign\Mapping;
use Harmozon\Core\Readings\Foreign\MappingReader;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A readings file that is being imported into a session.
 *
 * @property int $id
 * @property string $ulid
 * @property int $garage_id
 * @property int $charge_session_id
 * @property string $name
 * @property int $bytes of the file
 * @property int $received of them
 * @property string|null $fingerprint SHA-256; null until all has arrived
 * @property int $lines of the file
 * @property string|null $source by which its instrument is known
 * @property array<string, mixed>|null $mapping null: a file of ours, or one that nothing was guessed of
 * @property string $mapping_from ours, guessed, remembered or told
 * @property string|null $instrument that wrote it
 * @property array<string, mixed>|null $clock what its first row says of the hour
 * @property int $shift_ms how long after plugging in the file's own time begins
 * @property string $state of ImportState
 * @property string|null $worker
 * @property int $claims
 * @property int $lines_done
 * @property int $understood
 * @property int $added
 * @property int $noted
 * @property int $rejected
 * @property string|null $problem in words
 * @property Carbon $created_at
 * @property Carbon $updated_at
 * @property-read ChargeSession|null $session
 */
final class ReadingsImport extends Model
{
    use BelongsToGarage;
    use BootsByName;
    use HasPublicId;

    protected $table = 'readings_imports';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['mapping' => 'array', 'clock' => 'array'];
    }

    /** @return Collection<int, self> oldest first */
    public static function ofSession(ChargeSession $session): Collection
    {
        $query = self::query();
        $query->where('charge_session_id', $session->id)->orderBy('id');

        return $query->get();
    }

    /** @return BelongsTo<ChargeSession, $this> */
    public function session(): BelongsTo
    {
        return $this->belongsTo(ChargeSession::class, 'charge_session_id');
    }

    public function path(): string
    {
        return storage_path("app/imports/{$this->ulid}.csv");
    }

    /** As {@see path}, with all that has arrived in it. */
    public function arrived(): string
    {
        Shelf::bring($this->path(), $this->received);

        return $this->path();
    }

    /**
     * The mapping given or remembered for it; null where it is to be guessed, which needs the whole file.
     *
     * @throws FieldError
     */
    public function readBy(): ?Mapping
    {
        return $this->mapping_from === 'guessed' ? null : $this->keptMapping();
    }

    /**
     * The mapping guessed when it arrived, or given since; null for a file in our format.
     *
     * @throws FieldError
     */
    public function keptMapping(): ?Mapping
    {
        return $this->mapping === null ? null : (new MappingReader)->json((string) json_encode($this->mapping));
    }
}
