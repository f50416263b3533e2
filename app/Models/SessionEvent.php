<?php

declare(strict_types=1);

namespace App\Models;

use App\Garage\BelongsToGarage;
use Harmozon\Core\Record\Event;
use Harmozon\Core\Record\EventCode;
use Illuminate\Database\Eloquent\Model;

/**
 * @property int $id
 * @property int $garage_id
 * @property int $charge_session_id
 * @property string $client_id made by the one who noted it
 * @property EventCode $code
 * @property int $t_ms milliseconds since plugging in
 * @property string|null $detail
 * @property array<string, bool|null>|null $took_out what was known of the damage of each adapter that it took out of use, by id
 */
final class SessionEvent extends Model
{
    use BelongsToGarage;
    use BootsByName;

    protected $table = 'session_events';

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['code' => EventCode::class, 'took_out' => 'array'];
    }

    public function core(): Event
    {
        return new Event($this->code, $this->t_ms, $this->detail);
    }
}
