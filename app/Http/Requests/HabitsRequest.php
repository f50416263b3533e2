<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\People\GarageFields;
use Illuminate\Foundation\Http\FormRequest;

final class HabitsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'units' => ['required_without:locale', 'string', 'in:metric,us'],
            'locale' => ['string', GarageFields::knownLocale(...)],
        ];
    }

    /** @return array<string, string> by column, those that are given */
    public function habits(): array
    {
        return array_filter(['units' => $this->string('units')->toString(), 'locale' => $this->string('locale')->toString()], static fn (string $v): bool => $v !== '');
    }
}
