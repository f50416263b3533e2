<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Equipment\FitQuestion;
use Illuminate\Foundation\Http\FormRequest;

/** A car, an outlet, and the adapters to choose from (or exactly to use). */
class FitRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'outlet' => ['required', 'string'],
            'vehicle' => ['required', 'string'],
            'adapters' => ['nullable', 'list', 'max:20'],
            'adapters.*' => ['string'],
            'exact' => ['boolean'],
            'kit' => ['string', 'in:own,buy'],
            'policy' => ['string', 'in:maker,certified,any'],
            'conditions' => ['array'],
        ];
    }

    public function mayBuy(): bool
    {
        return $this->string('kit')->toString() === 'buy';
    }

    public function question(): FitQuestion
    {
        /** @var list<string>|null $adapters */
        $adapters = $this->validated('adapters');
        /** @var array<string, mixed> $conditions */
        $conditions = $this->validated('conditions', []);

        return FitQuestion::ask(
            $this->string('outlet')->toString(),
            $this->string('vehicle')->toString(),
            $adapters,
            $this->boolean('exact'),
            $this->string('policy', 'certified')->toString(),
            $conditions,
        );
    }
}
