<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Support\Carbon;

/**
 * A session starts on exactly one chain: the adapters are those in it, none for a direct joint. One that started
 * offline has its own id, so that it is created once however often it is sent, and says how long ago it started: a
 * phone's clock may be wrong, its elapsed seconds are right.
 */
final class BeginSessionRequest extends FitRequest
{
    /** A month may pass before a phone is online again (s). */
    private const LONGEST_AGO_S = 31 * 86_400;

    protected function prepareForValidation(): void
    {
        $this->merge(['exact' => true]);
    }

    public function rules(): array
    {
        return [
            ...parent::rules(),
            'adapters' => ['present', 'list', 'max:3'],
            'note' => ['nullable', 'string', 'max:1000'],
            'id' => ['nullable', 'string', 'ulid'],
            'age_s' => ['nullable', 'numeric', 'min:0', 'max:'.self::LONGEST_AGO_S],
            'stall' => ['nullable', 'string', 'max:60'],
        ];
    }

    public function startedAt(): Carbon
    {
        $ageS = $this->validated('age_s');

        return Carbon::now()->subSeconds(is_numeric($ageS) ? (int) round((float) $ageS) : 0);
    }

    public function id(): ?string
    {
        $id = $this->validated('id');

        return is_string($id) ? strtoupper($id) : null;
    }

    public function stall(): ?string
    {
        $stall = $this->validated('stall');

        return is_string($stall) && $stall !== '' ? $stall : null;
    }
}
