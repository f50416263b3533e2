<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\People\GarageFields;
use Harmozon\Core\Catalogue\Region;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class HabitsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'units' => ['required_without_all:locale,region', 'string', 'in:metric,us'],
            'locale' => ['string', GarageFields::knownLocale(...)],
            'region' => ['string', Rule::enum(Region::class)],
        ];
    }

    /** @return array<string, string> by column, those that are given */
    public function habits(): array
    {
        return array_filter(['units' => $this->string('units')->toString(), 'locale' => $this->string('locale')->toString(), 'region' => $this->string('region')->toString()], static fn (string $v): bool => $v !== '');
    }
}
