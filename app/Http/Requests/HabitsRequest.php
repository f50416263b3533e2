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
        $habits = GarageFields::habits();

        return [...$habits, 'units' => ['required_without_all:'.implode(',', array_diff(array_keys($habits), ['units'])), ...$habits['units']]];
    }

    /** @return array<string, string> by column, those that are given */
    public function habits(): array
    {
        $given = array_map(fn (string $habit): string => $this->string($habit)->toString(), array_combine($habits = array_keys(GarageFields::habits()), $habits));

        return array_filter($given, static fn (string $v): bool => $v !== '');
    }
}
