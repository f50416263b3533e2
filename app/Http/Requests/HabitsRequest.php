<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\People\GarageFields;
use Harmozon\Core\Catalogue\Region;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class HabitsRequest extends FormRequest
{
    /** Columns of a garage. */
    private const HABITS = ['units', 'locale', 'region', 'timezone', 'currency'];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'units' => ['required_without_all:locale,region,timezone,currency', 'string', 'in:metric,us'],
            'locale' => ['string', GarageFields::knownLocale(...)],
            'region' => ['string', Rule::enum(Region::class)],
            'timezone' => ['string', 'timezone:all'],
            'currency' => ['string', 'regex:/^[A-Z]{3}$/'],
        ];
    }

    /** @return array<string, string> by column, those that are given */
    public function habits(): array
    {
        $given = array_map(fn (string $habit): string => $this->string($habit)->toString(), array_combine(self::HABITS, self::HABITS));

        return array_filter($given, static fn (string $v): bool => $v !== '');
    }
}
