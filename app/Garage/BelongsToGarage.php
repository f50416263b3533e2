<?php

declare(strict_types=1);

namespace App\Garage;

use Illuminate\Database\Eloquent\Model;

/**
 * Records of a garage are only found and created inside it.
 *
 * @phpstan-require-extends Model
 */
trait BelongsToGarage
{
    public static function bootBelongsToGarage(): void
    {
        static::addGlobalScope(new GarageScope);
        static::creating(static function (Model $record): void {
            $record->setAttribute('garage_id', app(CurrentGarage::class)->id()
                ?? throw new \LogicException('a record needs a garage to belong to'));
        });
    }
}
