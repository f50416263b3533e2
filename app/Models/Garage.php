<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property int $id
 * @property string $ulid
 * @property string $name
 * @property string $timezone
 * @property string $currency
 * @property string $units `metric` or `us`: how temperatures and distances are shown
 * @property string $locale BCP 47: how numbers, dates and hours are written
 */
final class Garage extends Model
{
    use BootsByName;
    use HasPublicId;

    protected $table = 'garages';

    protected $guarded = [];
}
