<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\ChargeSession;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;

final class FinishRequest extends FormRequest
{
    /** A month: nobody leaves a car plugged in for longer. */
    private const LONGEST_S = 31 * 86_400;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['t_s' => ['nullable', 'numeric', 'min:0', 'max:'.self::LONGEST_S]];
    }

    /** The moment of the end; null for now. */
    public function at(ChargeSession $session): ?Carbon
    {
        $tS = $this->validated('t_s');

        return is_numeric($tS) ? $session->started_at->copy()->addSeconds((int) round((float) $tS)) : null;
    }
}
