<?php

declare(strict_types=1);

namespace App\Models;

use Harmozon\Core\Catalogue\Region;
use Illuminate\Database\Eloquent\Model;

/**
 * @property int $id
 * @property string $ulid
 * @property string $name
 * @property string $timezone
 * @property string $currency
 * @property string $units `metric` or `us`: how temperatures and distances are shown
 * @property Region $region where it is: which kinds of charger come first
 * @property string $locale BCP 47: how numbers, dates and hours are written
 */
final class Garage extends Model
{
    use BootsByName;
    use HasPublicId;

    protected $table = 'garages';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['region' => Region::class];
    }

    protected static function booted(): void
    {
        // Unless somebody chooses, the time zone decides.
        self::creating(static function (self $garage): void {
            $garage->region ??= Region::guess($garage->getAttribute('timezone'), $garage->getAttribute('locale'));
        });
    }
}
