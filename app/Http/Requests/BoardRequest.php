<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Tour;
use Harmozon\Core\Fit\AdapterPolicy;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Words\Message;
use Illuminate\Foundation\Http\FormRequest;

class BoardRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['kit' => ['string', 'in:own,buy,none'], 'policy' => ['string', 'in:maker,certified,any'], 'tour' => ['nullable', 'string']];
    }

    public function kit(): string
    {
        return $this->string('kit', 'own')->toString();
    }

    public function policy(): AdapterPolicy
    {
        return AdapterPolicy::from($this->string('policy', AdapterPolicy::Certified->value)->toString());
    }

    /** @throws FieldError where it is none of this garage */
    public function tour(): ?Tour
    {
        $id = $this->string('tour')->toString();

        return $id === '' ? null : (Tour::query()->firstWhere('ulid', $id) ?? throw FieldError::at('tour', Message::of('app.not_in_garage')));
    }
}
