<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Harmozon\Core\Fit\AdapterPolicy;
use Illuminate\Foundation\Http\FormRequest;

class BoardRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['kit' => ['string', 'in:own,buy,none'], 'policy' => ['string', 'in:maker,certified,any']];
    }

    public function kit(): string
    {
        return $this->string('kit', 'own')->toString();
    }

    public function policy(): AdapterPolicy
    {
        return AdapterPolicy::from($this->string('policy', AdapterPolicy::Certified->value)->toString());
    }
}
