<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** The smallest kit for the garage, or for one tour. */
final class KitRequest extends BoardRequest
{
    /** Cars that travel at once. */
    private const MOST_TOGETHER = 12;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [...parent::rules(), 'together' => ['array', 'max:'.self::MOST_TOGETHER], 'together.*' => ['string']];
    }

    /** @return list<string> */
    public function together(): array
    {
        return array_values(array_filter((array) $this->input('together', []), is_string(...)));
    }
}
