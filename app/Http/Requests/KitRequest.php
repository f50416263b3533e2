<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Tour;
use Harmozon\Core\Fit\AdapterPolicy;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Words\Message;
use Illuminate\Foundation\Http\FormRequest;

/** The smallest kit for the garage, or for one tour. */
final class KitRequest extends FormRequest
{
    /** Cars that travel at once. */
    private const MOST_TOGETHER = 12;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['tour' => ['string', 'max:60'], 'policy' => ['string', 'in:maker,certified,any'], 'together' => ['array', 'max:'.self::MOST_TOGETHER], 'together.*' => ['string', 'max:60']];
    }

    /** @throws FieldError where it is none of this garage */
    public function tour(): ?Tour
    {
        $id = $this->string('tour')->toString();

        return $id === '' ? null : Tour::query()->firstWhere('ulid', $id) ?? throw FieldError::at('tour', Message::of('app.not_in_garage'));
    }

    public function policy(): AdapterPolicy
    {
        return AdapterPolicy::from($this->string('policy', AdapterPolicy::Certified->value)->toString());
    }

    /** @return list<string> */
    public function together(): array
    {
        return array_values(array_filter((array) $this->input('together', []), is_string(...)));
    }
}
