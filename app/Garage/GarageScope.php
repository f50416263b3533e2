<?php

declare(strict_types=1);

namespace App\Garage;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Scope;

/** Keeps every query inside the current garage. Without one nothing is found: it fails closed. */
final class GarageScope implements Scope
{
    /** @param Builder<covariant Model> $builder */
    public function apply(Builder $builder, Model $model): void
    {
        $builder->where($model->qualifyColumn('garage_id'), app(CurrentGarage::class)->id() ?? 0);
    }
}
